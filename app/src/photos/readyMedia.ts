import { wrap, type Remote } from "comlink";
import type { PhotoFault } from "./photoFault";
import type { PhotoReader, ReadyMedia } from "./photo.worker";

const LONGEST_SIDE = 1600;
const MOST_CLIP_SECONDS = 20;
/** A clip of twenty seconds may end a little behind them. */
const LEEWAY_SECONDS = 1;

let client: Remote<PhotoReader> | undefined;

/**
 * A file made ready to be kept and sent, in a worker: a photo upright, at most 1600 px and without place and device; a
 * clip of twenty seconds at most without these.
 */
export async function readyMedia(file: Blob): Promise<ReadyMedia | PhotoFault> {
  client ??= wrap<PhotoReader>(new Worker("/workers/photo.js"));
  const ready = await client.makeReady(file, LONGEST_SIDE);
  if ("fault" in ready || ready.media === "photo") return ready;
  const seconds = await clipSeconds(ready.blob);
  if (seconds === null) return { fault: "damaged" };
  return seconds > MOST_CLIP_SECONDS + LEEWAY_SECONDS ? { fault: "clipTooLong" } : ready;
}

/** How long a clip plays; null: it does not. */
function clipSeconds(clip: Blob): Promise<number | null> {
  const player = document.createElement("video");
  const address = URL.createObjectURL(clip);
  return new Promise<number | null>((resolve) => {
    player.preload = "metadata";
    // A clip recorded in a browser does not say how long it is before it was sought to its end.
    player.onloadedmetadata = () => {
      if (Number.isFinite(player.duration)) resolve(player.duration);
      else player.currentTime = Number.MAX_SAFE_INTEGER;
    };
    player.ondurationchange = () => {
      if (Number.isFinite(player.duration)) resolve(player.duration);
    };
    player.onerror = () => resolve(null);
    player.src = address;
  }).finally(() => {
    player.removeAttribute("src");
    URL.revokeObjectURL(address);
  });
}
