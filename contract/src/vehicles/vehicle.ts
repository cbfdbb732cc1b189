import { z } from "zod";

/** A car as it is kept. */
export const vehicle = z
  .object({
    id: z.string(),
    customerId: z.string(),
    vin: z.string().nullable(),
    /** Why a VIN is kept although its check digit does not hold. */
    vinNote: z.string().nullable(),
    plate: z.string().nullable(),
    region: z.string().nullable(),
    year: z.number().int().nullable(),
    make: z.string().nullable(),
    model: z.string().nullable(),
    trim: z.string().nullable(),
    engine: z.string().nullable(),
    drive: z.string().nullable(),
    transmission: z.string().nullable(),
    color: z.string().nullable(),
    /** A fleet's own number for it. */
    unitNumber: z.string().nullable(),
    nickname: z.string().nullable(),
    photoId: z.string().nullable(),
    version: z.number().int(),
  })
  .meta({ id: "Vehicle" });
export type Vehicle = z.infer<typeof vehicle>;

/** What a look-up says a car is, before a person confirms it. */
export const vehicleGuess = vehicle.pick({
  vin: true,
  plate: true,
  region: true,
  year: true,
  make: true,
  model: true,
  trim: true,
  engine: true,
  drive: true,
  transmission: true,
  color: true,
});
export type VehicleGuess = z.infer<typeof vehicleGuess>;
