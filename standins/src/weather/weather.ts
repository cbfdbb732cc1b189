import { Router, type Response } from "express";
import { z } from "zod";
import { forecastHours, type Sky } from "./forecastHours";

const HOURS_AHEAD = 24 * 10;
const HOUR_MS = 3_600_000;
const asked = z.object({
  latitude: z.coerce.number().min(-90).max(90),
  longitude: z.coerce.number().min(-180).max(180),
  from: z.iso.datetime(),
  to: z.iso.datetime(),
});

/** An hourly forecast, ten days ahead; the same for an hour and a place, however often it is asked. */
export function weather(): Router {
  const router = Router();
  router.get("/", (req, res: Response) => {
    const { latitude, longitude, from, to } = asked.parse(req.query);
    const last = Math.min(Date.parse(to), Date.now() + HOURS_AHEAD * HOUR_MS);
    const fault = String(res.locals.fault);
    const turns = Date.now() + 48 * HOUR_MS;
    const hours = forecastHours({ latitude, longitude }, Date.parse(from), last, (at) => skyAt(fault, at < turns));
    res.json({ hours });
  });
  return router;
}

/** As the switch says, or as it comes. */
function skyAt(fault: string, isSoon: boolean): Sky {
  if (fault === "wetTwoDays") return isSoon ? "wet" : "dry";
  return fault === "wet" || fault === "dry" ? fault : "asItComes";
}
