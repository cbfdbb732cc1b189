import { Router } from "express";
import { FAR_POSTCODES } from "@mechanon/demo";

/** Towns of postcodes far away. */
export function postcodes(): Router {
  const router = Router();
  router.get("/:postcode", (req, res) => {
    const wanted = req.params.postcode.replace(/\s/g, "");
    const towns = FAR_POSTCODES.filter(({ postcode }) => postcode.replace(/\s/g, "") === wanted);
    res.json({ towns: towns.map(({ town, region }) => ({ town, region })) });
  });
  return router;
}
