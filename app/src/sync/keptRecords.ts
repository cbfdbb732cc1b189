import { customerFields, fieldsOf, type Customer, type Vehicle } from "@mechanon/contract";
import type { CustomerRecord, VehicleRecord } from "./pending";

/** What can be changed of a customer, as it is. */
export function customerRecord(customer: Customer): CustomerRecord {
  return customerFields.parse(fieldsOf(customer));
}

/** What can be changed of a car, as it is. */
export function vehicleRecord({
  id: _id,
  customerId: _owner,
  version: _version,
  ...fields
}: Omit<Vehicle, "version"> & { version?: number }): VehicleRecord {
  return fields;
}
