import { Router } from "express";

const METERS_PER_DEGREE = 111_320;
const METERS_PER_SECOND = 11;

/** A routing server: seconds between points as the crow flies, at a steady speed. */
export function routing(): Router {
  const router = Router();
  router.get("/table/v1/driving/:points", (req, res) => {
    const points = req.params.points.split(";").map((point) => point.split(",").map(Number));
    if (points.some((point) => point.length !== 2 || point.some(Number.isNaN)))
      return void res.status(400).json({ code: "InvalidQuery" });
    const durations = points.map(([x = 0, y = 0]) =>
      points.map(([toX = 0, toY = 0]) => {
        const across = (toX - x) * Math.cos((y * Math.PI) / 180);
        return Math.round((Math.hypot(across, toY - y) * METERS_PER_DEGREE) / METERS_PER_SECOND);
      }),
    );
    res.json({ code: "Ok", durations });
  });
  return router;
}
