import { Router } from "express";
import { DateTime } from "luxon";
import { z } from "zod";
import { elsewhereOf, recallsOf, specsOf } from "./cars";

const askedCar = z.object({
  year: z.coerce.number().int().nullable().default(null),
  make: z.string().nullable().default(null),
  model: z.string().nullable().default(null),
  engine: z.string().nullable().default(null),
});

/** What cars need, by their make. */
export function specSource(): Router {
  const router = Router();
  router.get("/", (req, res) => void res.json(specsOf(askedCar.parse(req.query))));
  return router;
}

/** What makers call back. */
export function recallSource(): Router {
  const router = Router();
  router.get("/:vin", (req, res) => void res.json(recallsOf(req.params.vin, askedCar.parse(req.query))));
  return router;
}

/** What others did to a car. */
export function historySource(): Router {
  const router = Router();
  router.get("/:vin", (req, res) => void res.json(elsewhereOf(req.params.vin, DateTime.utc())));
  return router;
}
