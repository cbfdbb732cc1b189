import type { Request, Response } from "express";
import type { KeptPhoto } from "./photos";

/**
 * Sends a photo or clip, or the part of it that was asked for: players of some phones ask for a clip in parts.
 * @see RFC 9110, section 14
 */
export function sendMedia(req: Request, res: Response, { type, bytes }: Pick<KeptPhoto, "type" | "bytes">): void {
  res.set("Accept-Ranges", "bytes").type(type);
  const ranges = req.range(bytes.length, { combine: true });
  if (ranges === -1) {
    res.status(416).set("Content-Range", `bytes */${bytes.length}`).end();
    return;
  }
  const [range] = typeof ranges === "object" && ranges.type === "bytes" ? ranges : [];
  if (!range) {
    res.send(bytes);
    return;
  }
  const { start, end } = range;
  res
    .status(206)
    .set("Content-Range", `bytes ${start}-${end}/${bytes.length}`)
    .send(bytes.subarray(start, end + 1));
}
