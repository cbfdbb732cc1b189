import { ofPerson, reach } from "../api/call";

/** Sends a photo to a route that takes one. @throws what `reach` throws. */
export async function sendPhoto(address: string, photo: Blob): Promise<unknown> {
  const response = await reach(address, {
    method: "POST",
    headers: { Accept: "application/json", "Content-Type": photo.type, ...ofPerson() },
    body: photo,
  });
  return response.json();
}
