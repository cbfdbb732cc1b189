import { z } from "zod";
import { idField, idParams, textField } from "../fields";
import { route } from "../route";
import { vehicle, vehicleGuess } from "./vehicle";

const optionalText = (most: number) =>
  textField(most)
    .nullable()
    .transform((value) => value || null);

/** A car to keep for a customer; at least a VIN, a plate or a name for it. */
export const vehicleBody = z
  .strictObject({
    id: idField,
    customerId: idField,
    vin: optionalText(40),
    plate: optionalText(20),
    region: optionalText(20),
    year: z.number().int().min(1886).max(2100).nullable(),
    make: optionalText(80),
    model: optionalText(120),
    trim: optionalText(200),
    engine: optionalText(120),
    drive: optionalText(60),
    color: optionalText(40),
  })
  .refine((car) => car.vin !== null || car.plate !== null || car.make !== null || car.model !== null, {
    message: "a VIN, a plate, or a make is needed",
    path: ["make"],
  })
  .refine((car) => car.plate === null || car.region !== null, {
    message: "the state of the plate is needed",
    path: ["region"],
  });

export const vinReport = z
  .object({
    vin: z.string(),
    checkDigit: z.object({ expected: z.string().nullable(), actual: z.string().nullable(), ok: z.boolean() }),
    modelYear: z.number().nullable(),
    maker: z.string().nullable(),
    make: z.string().nullable(),
    model: z.string().nullable(),
    series: z.string().nullable(),
    trim: z.string().nullable(),
    bodyClass: z.string().nullable(),
    doors: z.number().nullable(),
    drive: z.string().nullable(),
    engine: z.object({
      displacementL: z.number().nullable(),
      cylinders: z.number().nullable(),
      configuration: z.string().nullable(),
      fuel: z.string().nullable(),
      horsepower: z.number().nullable(),
      turbo: z.boolean().nullable(),
    }),
    transmission: z.string().nullable(),
    gvwr: z.string().nullable(),
    plant: z.string().nullable(),
    country: z.string().nullable(),
    problems: z.array(z.object({ code: z.string(), message: z.string(), position: z.number().nullable() })),
    suggestions: z.array(
      z.object({
        vin: z.string(),
        changes: z.array(z.object({ position: z.number(), from: z.string(), to: z.string() })),
      }),
    ),
  })
  .meta({ id: "VinReport" });

/** A car we know already, and whose it is. */
export const knownVehicle = z.object({ vehicle, customerName: z.string() });

export const vehicleRoutes = {
  createVehicle: route({
    method: "post",
    path: "/api/vehicles",
    area: "vehicles",
    summary: "Keep a car for a customer",
    keyed: true,
    body: vehicleBody,
    answer: vehicle,
    status: 201,
  }),
  getVehicle: route({
    method: "get",
    path: "/api/vehicles/:id",
    area: "vehicles",
    summary: "A car",
    params: idParams,
    answer: vehicle,
  }),
  decodeVin: route({
    method: "get",
    path: "/api/vins/:vin",
    area: "vehicles",
    summary: "What a VIN says, what is wrong with it, and whether we know the car",
    params: z.object({ vin: z.string().min(1).max(60) }),
    answer: z.object({ report: vinReport, guess: vehicleGuess, known: knownVehicle.nullable() }),
  }),
  lookUpPlate: route({
    method: "get",
    path: "/api/plates/:region/:plate",
    area: "vehicles",
    summary: "The car behind a plate: ours if we know it, else from the register",
    params: z.object({ region: z.string().min(1).max(20), plate: z.string().min(1).max(20) }),
    answer: z.object({ guesses: z.array(vehicleGuess), known: knownVehicle.nullable() }),
  }),
};
