import { z } from "zod";
import type { OutsideHttp } from "../http";
import type { CardTerminal, ChargeAnswer } from "./port";

const known = z
  .discriminatedUnion("status", [
    z.object({ status: z.literal("approved"), lastFour: z.string(), authorization: z.string() }),
    z.object({ status: z.literal("declined"), reason: z.string() }),
  ])
  .transform((answer): ChargeAnswer =>
    answer.status === "approved"
      ? { outcome: "taken", lastFour: answer.lastFour, authorization: answer.authorization }
      : { outcome: "declined", reason: answer.reason },
  );
const withdrawn = z.object({ withdrawn: z.literal(true) }).transform((): ChargeAnswer => ({ outcome: "withdrawn" }));
const answers = { 200: known, 410: withdrawn };

export function httpCardTerminal(http: OutsideHttp, baseUrl: string): CardTerminal {
  return {
    charge: (key, amountCents, reference) =>
      http.call<ChargeAnswer>({
        url: `${baseUrl}/terminal/charges`,
        method: "POST",
        key,
        body: { amountCents, reference },
        answers,
      }),
    settle: (key) =>
      http.call<ChargeAnswer>({
        url: `${baseUrl}/terminal/charges/${encodeURIComponent(key)}/settle`,
        method: "POST",
        answers,
      }),
  };
}
