import { z } from "zod";
import { SPEC_KEYS, specFault } from "@mechanon/core";
import { idField, idParams, pageQuery, textField, versionField } from "../fields";
import { route } from "../route";
import { elsewhereReport, knownVehicle, recallReport, vehicleSheet } from "./sheet";
import { workOrderSummary } from "../workOrders/summary";
import { vehicle, vehicleGuess, type Vehicle } from "./vehicle";

const optionalText = (most: number) =>
  textField(most)
    .nullable()
    .transform((value) => value || null);

const vehicleFields = {
  vin: optionalText(40),
  vinNote: optionalText(200).default(null),
  plate: optionalText(20),
  region: optionalText(20),
  year: z.number().int().min(1886).max(2100).nullable(),
  make: optionalText(80),
  model: optionalText(120),
  trim: optionalText(200),
  engine: optionalText(120),
  drive: optionalText(60),
  transmission: optionalText(60).default(null),
  color: optionalText(40),
  unitNumber: optionalText(40).default(null),
  nickname: optionalText(60).default(null),
  photoId: idField.nullable().default(null),
};

/** At least a VIN, a plate or a name for it; a plate comes with its state. */
function checkIdentity(
  { vin, plate, region, make, model }: Pick<Vehicle, "vin" | "plate" | "region" | "make" | "model">,
  context: z.RefinementCtx,
): void {
  if (vin === null && plate === null && make === null && model === null)
    context.addIssue({ code: "custom", path: ["make"], message: "a VIN, a plate, or a make is needed" });
  if (plate !== null && region === null)
    context.addIssue({ code: "custom", path: ["region"], message: "the state of the plate is needed" });
}

/** A car to keep for a customer. */
export const vehicleBody = z
  .strictObject({ id: idField, customerId: idField, ...vehicleFields })
  .superRefine(checkIdentity);
export const vehicleChanges = z.strictObject({ version: versionField, ...vehicleFields }).superRefine(checkIdentity);

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

/** What a model comes with, where the VIN leaves it open. */
export const variants = z.object({
  trims: z.array(z.string()),
  engines: z.array(z.string()),
  drives: z.array(z.string()),
});

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
  changeVehicle: route({
    method: "patch",
    path: "/api/vehicles/:id",
    area: "vehicles",
    summary: "Change what is known of a car",
    params: idParams,
    body: vehicleChanges,
    answer: vehicle,
  }),
  moveVehicle: route({
    method: "post",
    path: "/api/vehicles/:id/move",
    area: "vehicles",
    summary: "Give a car to another customer; its history goes along, the bills stay whose they are",
    params: idParams,
    body: z.strictObject({ customerId: idField, version: versionField }),
    answer: vehicle,
  }),
  linkPerson: route({
    method: "post",
    path: "/api/vehicles/:id/people",
    area: "vehicles",
    summary: "Link somebody who drives a car without owning it",
    params: idParams,
    body: z.strictObject({ customerId: idField, role: textField(60).min(1, "what they are to the car is needed") }),
    answer: vehicle,
  }),
  unlinkPerson: route({
    method: "delete",
    path: "/api/vehicles/:id/people/:customerId",
    area: "vehicles",
    summary: "Take a driver off a car",
    params: idParams.extend({ customerId: idField }),
    answer: vehicle,
  }),
  vehicleSheet: route({
    method: "get",
    path: "/api/vehicles/:id/sheet",
    area: "vehicles",
    summary: "A car with its work, odometer, later list, specs and services due",
    params: idParams,
    answer: vehicleSheet,
  }),
  vehicleWork: route({
    method: "get",
    path: "/api/vehicles/:id/work",
    area: "vehicles",
    summary: "A page of a car's past work, newest first",
    params: idParams,
    query: z.object(pageQuery),
    answer: z.object({ workOrders: z.array(workOrderSummary) }),
  }),
  vehiclePaper: route({
    method: "get",
    path: "/api/vehicles/:id/history.pdf",
    area: "vehicles",
    summary: "A car's history and specs on paper, as PDF",
    params: idParams,
  }),
  correctSpec: route({
    method: "post",
    path: "/api/vehicles/:id/corrections",
    area: "vehicles",
    summary: "Correct a spec by what was found on the car; without a value, take the correction back",
    params: idParams,
    body: z
      .strictObject({ key: z.enum(SPEC_KEYS), value: textField(80).nullable() })
      .superRefine(({ key, value }, context) => {
        const fault = value === null ? null : specFault(key, value);
        if (fault !== null) context.addIssue({ code: "custom", path: ["value"], message: fault });
      }),
    answer: vehicleSheet,
  }),
  refreshSpecs: route({
    method: "post",
    path: "/api/vehicles/:id/specs",
    area: "vehicles",
    rate: { most: 120, minutes: 60 },
    summary: "Ask the source for the specs of a car, and keep them",
    params: idParams,
    answer: vehicleSheet,
  }),
  vehicleRecalls: route({
    method: "get",
    path: "/api/vehicles/:id/recalls",
    area: "vehicles",
    rate: { most: 120, minutes: 60 },
    summary: "What the maker calls back, from the source",
    params: idParams,
    answer: recallReport,
  }),
  vehicleElsewhere: route({
    method: "get",
    path: "/api/vehicles/:id/elsewhere",
    area: "vehicles",
    rate: { most: 120, minutes: 60 },
    summary: "What others did to the car, from the source",
    params: idParams,
    answer: elsewhereReport,
  }),
  decodeVin: route({
    method: "get",
    path: "/api/vins/:vin",
    area: "vehicles",
    summary: "What a VIN says, what is wrong with it, and whether we know the car",
    params: z.object({ vin: textField(60).min(1) }),
    answer: z.object({ report: vinReport, guess: vehicleGuess, variants, known: knownVehicle.nullable() }),
  }),
  lookUpPlate: route({
    method: "get",
    path: "/api/plates/:region/:plate",
    area: "vehicles",
    rate: { most: 120, minutes: 60 },
    summary: "The car behind a plate: ours if we know it, else from the register",
    params: z.object({ region: textField(20).min(1), plate: textField(20).min(1) }),
    answer: z.object({ guesses: z.array(vehicleGuess), known: knownVehicle.nullable() }),
  }),
};
