/** Codes of this area's problems, with the status each comes with. */
export const VEHICLE_PROBLEMS = {
  "vehicle/not-found": 404,
  "vehicle/vin-taken": 409,
  "vehicle/plate-taken": 409,
  "vehicle/owner-driver": 409,
  "vehicle/no-source": 422,
  "vehicle/source-unreachable": 503,
  "plate/unknown": 404,
  "plate/register-unreachable": 503,
} as const;
