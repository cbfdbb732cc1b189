import { Router } from "express";
import { DIRECTORY } from "@mechanon/demo";

/** Whose phone it is, for some. */
export function phoneDirectory(): Router {
  const router = Router();
  router.get("/phones/:phone", (req, res) => {
    const found = DIRECTORY.find(({ phone }) => phone === req.params.phone);
    if (!found) return void res.json({ entry: null });
    const { phone: _, ...entry } = found;
    res.json({ entry });
  });
  return router;
}
