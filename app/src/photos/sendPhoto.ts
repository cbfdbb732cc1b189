import { routes } from "@mechanon/contract";
import { TIMEOUT_MS, addressOf, call, ofPerson, reach } from "../api/call";
import { ApiProblem, Unreachable } from "../api/problem";

/** So much goes at once: over one bar of signal some seconds. */
const PIECE_BYTES = 128 * 1024;

/**
 * Sends a picture's bytes; a large one in pieces, and on from what has arrived already.
 * @throws {ApiProblem} when the server says no, {Unreachable} when it says nothing.
 */
export function sendPhoto(id: string, photo: Blob): Promise<void> {
  return photo.size > PIECE_BYTES ? sendPieces(id, photo) : sendWhole(id, photo);
}

async function sendPieces(id: string, photo: Blob): Promise<void> {
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
      body: photo.slice(from, from + PIECE_BYTES),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    });
    const { arrivedBytes } = routes.addPhotoPiece.answer.parse(await response.json());
    // What does not go on now is tried again later, from where it is.
    if (arrivedBytes <= from) throw new Unreachable(new Error(`photo ${id} stays at ${from}`));
    from = arrivedBytes;
  }
}

async function sendWhole(id: string, photo: Blob): Promise<void> {
  await reach(`/api/photos/${id}`, {
    method: "POST",
    headers: { "Content-Type": photo.type || "application/octet-stream", ...ofPerson() },
    body: photo,
  });
}
