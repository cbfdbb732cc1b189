import type { AskedTime } from "@mechanon/core";
import { personScope } from "../access/personScope";
import { AppError } from "../errors/appError";
import { agreeToRequest, type AgreeDeps } from "../requests/agree";
import { matchRequest } from "../requests/matchRequest";
import { findRequest } from "../requests/model";
import type { FoundPage } from "./findPage";

/**
 * A customer takes one of the times they were offered: whoever offered them has agreed to it.
 * @throws {AppError} `ask/time-gone` for a time that was not offered, or that was taken meanwhile.
 */
export async function pickOffered(deps: AgreeDeps, page: FoundPage, requestId: string, time: AskedTime): Promise<void> {
  const { db } = deps;
  const { businessId } = page;
  const request = await findRequest(db, businessId, requestId);
  if (request.status === "agreed") return;
  const isOffered = request.offered.some(
    ({ mechanicId, startsAt }) => mechanicId === time.mechanicId && startsAt === time.startsAt,
  );
  if (request.status !== "offered" || !isOffered || request.takenBy === null)
    throw new AppError("ask/time-gone", "This time is offered no more. Nothing was booked; pick another, or call us.");
  const scope = await personScope(db, businessId, request.takenBy);
  const { customers, car } = await matchRequest(db, { businessId }, request);
  // Without anybody looking only a phone or mail says who it is, where one alone has it.
  const sure = customers.filter(({ likenesses }) => likenesses.some((why) => why === "phone" || why === "email"));
  const customerId = sure.length === 1 ? (sure[0]?.customer.id ?? null) : null;
  const vehicleId = car && car.ownerId === customerId ? car.vehicle.id : null;
  await agreeToRequest(deps, scope, requestId, { customerId, vehicleId, time });
}
