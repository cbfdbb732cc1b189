import { routes, type ImportView } from "@mechanon/contract";
import { addressOf, ofPerson, reach } from "../api/call";

/** Sends a file of customers; the same id again changes nothing. */
export async function sendImport(id: string, file: File): Promise<ImportView> {
  const address = addressOf(routes.startImport.path, { id }, { name: file.name });
  const response = await reach(address, {
    method: "POST",
    headers: { "Content-Type": "application/octet-stream", ...ofPerson() },
    body: file,
  });
  return routes.startImport.answer.parse(await response.json());
}
