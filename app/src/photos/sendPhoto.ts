import { routes } from "@mechanon/contract";
import { TIMEOUT_MS, addressOf, call, ofPerson, reach } from "../api/call";
import { ApiProblem, Unreachable } from "../api/problem";

/** So much goes at once: over one bar of signal some seconds. */
const PIECE_BYTES = 128 * 1024;
/** A clip in so small pieces would take as many ways as bytes. */
const CLIP_PIECE_BYTES = 512 * 1024;
const LARGE_BYTES = 2 * 1024 * 1024;

/**
 * Sends a picture's bytes; a large one in pieces, and on from what has arrived already.
 * @param onShare - told how much of it is there, 0 to 1, as pieces arrive.
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export function sendPhoto(id: string, photo: Blob, onShare: (share: number) => void = () => undefined): Promise<void> {
  return photo.size > PIECE_BYTES ? sendPieces(id, photo, onShare) : sendWhole(id, photo);
}

async function sendPieces(id: string, photo: Blob, onShare: (share: number) => void): Promise<void> {
  const pieceBytes = photo.size > LARGE_BYTES ? CLIP_PIECE_BYTES : PIECE_BYTES;
  const arrived = await call(routes.photoArrived, { params: { id } }).catch((error: unknown) => {
    // A server older than this app takes it whole.
    if (error instanceof ApiProblem && error.problem.code === "route/not-found") return null;
    throw error;
  });
  if (!arrived) return sendWhole(id, photo);
  for (let from = arrived.arrivedBytes; from < photo.size;) {
    const query = { from: String(from), of: String(photo.size) };
    const response = await reach(addressOf(routes.addPhotoPiece.path, { id }, query), {
      method: "POST",
      headers: { "Content-Type": "application/octet-stream", ...ofPerson() },
      body: photo.slice(from, from + pieceBytes),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    });
    const { arrivedBytes } = routes.addPhotoPiece.answer.parse(await response.json());
    // What does not go on now is tried again later, from where it is.
    if (arrivedBytes <= from) throw new Unreachable(new Error(`photo ${id} stays at ${from}`));
    from = arrivedBytes;
    onShare(from / photo.size);
  }
}

async function sendWhole(id: string, photo: Blob): Promise<void> {
  await reach(`/api/photos/${id}`, {
    method: "POST",
    headers: { "Content-Type": photo.type || "application/octet-stream", ...ofPerson() },
    body: photo,
  });
}
