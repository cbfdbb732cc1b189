import type { AskedTime, AskedVisit } from "@mechanon/core";
import type { VisitRequest } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";

/** A request as it is kept. */
export interface KeptRequest {
  id: string;
  asked: AskedVisit;
  status: VisitRequest["status"];
  phone: string | null;
  email: string | null;
  workOrderId: string;
  visitId: string;
  newCustomerId: string;
  newVehicleId: string;
  customerId: string | null;
  vehicleId: string | null;
  takenBy: string | null;
  takenAt: string | null;
  offered: AskedTime[];
  words: string;
  at: string;
}

/** Columns of `requests r`, as `KeptRequest` has them. */
export const REQUEST_COLUMNS = `r.id, r.asked, r.status, r.phone, r.email, r.work_order_id as "workOrderId",
  r.visit_id as "visitId", r.new_customer_id as "newCustomerId", r.new_vehicle_id as "newVehicleId",
  r.customer_id as "customerId", r.vehicle_id as "vehicleId", r.taken_by as "takenBy", iso(r.taken_at) as "takenAt",
  r.offered, r.words, iso(r.created_at) as at`;

/** @throws {AppError} `visit-request/not-found`. @param lock - whoever changes it comes alone. */
export async function findRequest(
  db: Sequelize,
  businessId: string,
  id: string,
  transaction?: Transaction,
  lock?: "locked",
): Promise<KeptRequest> {
  const [found] = await askPrepared<KeptRequest>(
    db,
    `select ${REQUEST_COLUMNS} from requests r where r.business_id = $1 and r.id = $2 ${lock ? "for update" : ""}`,
    [businessId, id],
    transaction,
  );
  if (!found)
    throw new AppError(
      "visit-request/not-found",
      "This request is not kept here. Nothing was changed; look at the list.",
    );
  return found;
}
