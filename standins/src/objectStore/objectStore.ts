import express, { type Router } from "express";

/** The least of the S3 protocol that keeping pictures takes: put, get, delete by path, in memory. */
export function objectStore(): Router {
  const router = express.Router();
  const objects = new Map<string, { type: string; bytes: Buffer }>();
  const keyOf = (path: string): string => decodeURIComponent(path);
  router.use(express.raw({ type: () => true, limit: "20mb" }));
  router.put(/.*/, (req, res) => {
    const bytes = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0);
    objects.set(keyOf(req.path), { type: req.get("Content-Type") ?? "application/octet-stream", bytes });
    res.status(200).set("ETag", '"kept"').end();
  });
  router.get(/.*/, (req, res) => {
    const found = objects.get(keyOf(req.path));
    if (found) return void res.type(found.type).send(found.bytes);
    res.status(404).type("application/xml").send('<?xml version="1.0"?><Error><Code>NoSuchKey</Code></Error>');
  });
  router.delete(/.*/, (req, res) => {
    objects.delete(keyOf(req.path));
    res.status(204).end();
  });
  return router;
}
