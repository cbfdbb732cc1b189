import { z } from "zod";
import { settleCharge } from "../payments/cards";
import type { Deps } from "../scope";
import { settleOrder } from "../sourcing/orderParts";
import { findRequest } from "../externalRequests/externalRequest";

export const settlePayload = z.object({ businessId: z.string(), requestId: z.string() });

/**
 * Finds out what became of a request whose answer was lost, and records it. The other side knows it by its key; one it
 * never had is withdrawn there, so that it cannot be done any more, and lapses here.
 *
 * @throws {OutsideError} while nobody answers, so that the queue asks again.
 */
export async function settleRequest(
  deps: Pick<Deps, "db" | "rules" | "outside" | "config">,
  { businessId, requestId }: z.infer<typeof settlePayload>,
): Promise<void> {
  const request = await findRequest(deps.db, businessId, requestId);
  if (request?.status !== "asked") return;
  if (request.kind === "partsOrder") await settleOrder(deps, businessId, request);
  else await settleCharge(deps, businessId, request);
}
