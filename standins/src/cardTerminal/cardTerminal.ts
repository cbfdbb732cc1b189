import { randomInt } from "node:crypto";
import { Router } from "express";
import { z } from "zod";
import { Answers } from "../answers";

const chargeBody = z.strictObject({ amountCents: z.number().int().positive(), reference: z.string() });

/** A card terminal: charges once a key, and tells what became of one. */
export function cardTerminal(): Router {
  const router = Router();
  const answers = new Answers();
  const charged: { key: string; amountCents: number }[] = [];
  router.post("/charges", (req, res) => {
    const { amountCents } = chargeBody.parse(req.body);
    const key = req.get("Idempotency-Key");
    const answer = answers.once(key, () => {
      if (res.locals.fault === "declined")
        return { status: 200, body: { status: "declined", reason: "The bank refused this card." } };
      charged.push({ key: key ?? "", amountCents });
      const lastFour = String(randomInt(0, 10_000)).padStart(4, "0");
      return {
        status: 200,
        body: { status: "approved", lastFour, authorization: `A${randomInt(100_000, 999_999)}` },
      };
    });
    res.status(answer.status).json(answer.body);
  });
  router.post("/charges/:key/settle", (req, res) => {
    const answer = answers.settle(req.params.key);
    res.status(answer.status).json(answer.body);
  });
  // What was charged, for whoever plays the bank.
  router.get("/charges", (_req, res) => void res.json(charged));
  return router;
}
