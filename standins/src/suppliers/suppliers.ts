import { randomInt } from "node:crypto";
import { Router } from "express";
import { LIBRARY, SUPPLIER } from "@mechanon/demo";
import { z } from "zod";
import { Answers } from "../answers";

interface StockItem {
  costCents: number;
  available: number;
}

const offersBody = z.strictObject({ partNumbers: z.array(z.string()).max(200) });
const orderBody = z.strictObject({
  items: z
    .array(z.strictObject({ partNumber: z.string(), quantity: z.number().positive(), costCents: z.number().int() }))
    .min(1),
});

/** Part suppliers by id: what each has, orders filled once a key, and what became of one. */
export function suppliers(): Router {
  const router = Router();
  router.use(`/${SUPPLIER.id}`, supplier(stockOf()));
  return router;
}

/** The supplier's shelves: what jobs usually take, and what they take in other grades and qualities. */
function stockOf(): Map<string, StockItem> {
  const usual = LIBRARY.flatMap(({ lines }) => lines).flatMap((line) => (line.kind === "part" ? [line] : []));
  const others = LIBRARY.flatMap(({ variants = [], fits = [] }) => [
    ...variants.flatMap(({ parts }) => parts),
    ...fits.flatMap(({ grades = [] }) => grades),
  ]);
  // Where two have one number the usual one says what it costs.
  const parts = [...others, ...usual].flatMap(({ partNumber, costCents }) =>
    partNumber === null ? [] : [{ partNumber, costCents: costCents ?? 0 }],
  );
  return new Map(
    parts.map(({ partNumber, costCents }) => [
      partNumber,
      {
        costCents: SUPPLIER.costNow[partNumber] ?? costCents,
        available: SUPPLIER.available[partNumber] ?? SUPPLIER.usualStock,
      },
    ]),
  );
}

function supplier(stock: Map<string, StockItem>): Router {
  const router = Router();
  const answers = new Answers();
  const filled: { key: string; items: z.infer<typeof orderBody>["items"] }[] = [];
  const readyAt = (): string => new Date(Date.now() + SUPPLIER.readyInMinutes * 60_000).toISOString();
  const itemOf = (partNumber: string, fault: unknown): StockItem | undefined => {
    const item = stock.get(partNumber);
    if (!item) return undefined;
    return {
      ...item,
      costCents: fault === "wrongPrice" ? Math.round(item.costCents * 1.25) : item.costCents,
      available: fault === "outOfStock" ? 0 : item.available,
    };
  };
  router.post("/offers", (req, res) => {
    const { partNumbers } = offersBody.parse(req.body);
    const offers = partNumbers.flatMap((partNumber) => {
      const item = itemOf(partNumber, res.locals.fault);
      return item ? [{ partNumber, ...item, readyAt: readyAt() }] : [];
    });
    res.json({ offers });
  });
  router.post("/orders", (req, res) => {
    const { items } = orderBody.parse(req.body);
    const key = req.get("Idempotency-Key");
    const answer = answers.once(key, () => {
      for (const { partNumber, quantity, costCents } of items) {
        const item = itemOf(partNumber, res.locals.fault);
        if (!item || item.available < quantity) return { status: 409, body: { reason: "outOfStock", partNumber } };
        if (item.costCents !== costCents) return { status: 409, body: { reason: "priceChanged", partNumber } };
      }
      for (const { partNumber, quantity } of items) {
        const item = stock.get(partNumber);
        if (item) item.available -= quantity;
      }
      filled.push({ key: key ?? "", items });
      return { status: 201, body: { orderNumber: `GH-${randomInt(100_000, 999_999)}`, readyAt: readyAt() } };
    });
    res.status(answer.status).json(answer.body);
  });
  router.post("/orders/:key/settle", (req, res) => {
    const answer = answers.settle(req.params.key);
    res.status(answer.status).json(answer.body);
  });
  // A truck came: the shelves are as they were.
  router.post("/restock", (_req, res) => {
    stockOf().forEach((item, partNumber) => stock.set(partNumber, item));
    res.status(204).end();
  });
  // What the supplier filled, for whoever plays its part.
  router.get("/orders", (_req, res) => void res.json(filled));
  return router;
}
