import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { addressOf, ofPerson, reach } from "../api/call";

/** Sends a calendar file as what keeps a mechanic otherwise. */
export async function sendBusyTimes(
  personId: string,
  file: File,
): Promise<z.output<typeof routes.readBusyTimes.answer>> {
  const response = await reach(addressOf(routes.readBusyTimes.path, { id: personId }), {
    method: "POST",
    headers: { "Content-Type": "text/calendar", ...ofPerson() },
    body: file,
  });
  return routes.readBusyTimes.answer.parse(await response.json());
}
