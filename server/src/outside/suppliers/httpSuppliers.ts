import { z } from "zod";
import type { OutsideHttp } from "../http";
import { supplierOffer, type OrderAnswer, type Suppliers } from "./port";

const offersAnswer = z.object({ offers: z.array(supplierOffer) });
const confirmed = z
  .object({ orderNumber: z.string(), readyAt: z.iso.datetime() })
  .transform((answer): OrderAnswer => ({ outcome: "confirmed", ...answer }));
const refused = z
  .object({ reason: z.enum(["outOfStock", "priceChanged"]), partNumber: z.string() })
  .transform((answer): OrderAnswer => ({ outcome: "refused", ...answer }));
const withdrawn = z.object({ withdrawn: z.literal(true) }).transform((): OrderAnswer => ({ outcome: "withdrawn" }));
const answers = { 201: confirmed, 409: refused, 410: withdrawn };

export function httpSuppliers(http: OutsideHttp, baseUrl: string): Suppliers {
  const at = (supplierId: string): string => `${baseUrl}/suppliers/${encodeURIComponent(supplierId)}`;
  return {
    async offers(supplierId, partNumbers) {
      const url = `${at(supplierId)}/offers`;
      return (await http.call({ url, method: "POST", body: { partNumbers }, answers: { 200: offersAnswer } })).offers;
    },
    order: (supplierId, key, items) =>
      http.call<OrderAnswer>({ url: `${at(supplierId)}/orders`, method: "POST", key, body: { items }, answers }),
    settle: (supplierId, key) =>
      http.call<OrderAnswer>({
        url: `${at(supplierId)}/orders/${encodeURIComponent(key)}/settle`,
        method: "POST",
        answers,
      }),
  };
}
