import type { z } from "zod";
import type { Vehicle, vehicleChanges } from "@mechanon/contract";

/** What is sent to change a car: all that can be changed, as it is. */
export function changesOf({ id: _id, customerId: _customerId, ...fields }: Vehicle): z.input<typeof vehicleChanges> {
  return fields;
}
