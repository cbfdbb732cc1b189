import { idTaken, type ConstraintProblems } from "../http/constraints";

/** What is said of a car that is kept already. */
export const VEHICLE_TAKEN = {
  "vehicle/vin-taken": "A car with this VIN is kept already. Find it by its VIN and go on with that one.",
  "vehicle/plate-taken": "A car with this plate is kept already. Find it by its plate and go on with that one.",
} as const;

/** What it means when a constraint of cars stands in the way. */
export const VEHICLE_CONSTRAINTS: ConstraintProblems = {
  vehicles_pkey: idTaken,
  vehicles_vin: { code: "vehicle/vin-taken", detail: VEHICLE_TAKEN["vehicle/vin-taken"] },
  vehicles_plate: { code: "vehicle/plate-taken", detail: VEHICLE_TAKEN["vehicle/plate-taken"] },
};
