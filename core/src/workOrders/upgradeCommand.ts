import { z } from "zod";

const receivePartsBefore = z.strictObject({ type: z.literal("receiveParts"), lineIds: z.array(z.string()) });

/**
 * A command as devices send it now, from one that a device of an older version queued: parts in hand were told by their
 * lines alone, which meant all that was still to come.
 *
 * @param sent - anything; what is no older command comes back as it is, to be checked by the schema.
 */
export function upgradeCommand(sent: unknown): unknown {
  const before = receivePartsBefore.safeParse(sent);
  if (!before.success) return sent;
  return { type: "receiveParts", items: before.data.lineIds.map((lineId) => ({ lineId, quantity: null })) };
}
