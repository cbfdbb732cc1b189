import { specSheet, type SpecSheet } from "@mechanon/core";
import { elsewhereReport, recallReport, type ElsewhereReport, type RecallReport } from "@mechanon/contract";
import { z } from "zod";
import { OutsideHttp } from "./http";

export interface RegisterCar {
  vin: string | null;
  plate: string;
  color: string | null;
  year: number | null;
  make: string | null;
  model: string | null;
}
export type DirectoryEntry = z.infer<typeof directoryEntry>;
export type Town = z.infer<typeof town>;
export interface SupplierOffer {
  partNumber: string;
  costCents: number;
  available: number;
  readyAt: string;
}
export type OrderAnswer =
  | { outcome: "confirmed"; supplier: string; orderNumber: string; readyAt: string }
  | { outcome: "refused"; reason: "outOfStock" | "priceChanged"; partNumber: string };
export type ChargeAnswer =
  { outcome: "taken"; lastFour: string; authorization: string } | { outcome: "declined"; reason: string };

export interface SpecQuery {
  vin: string | null;
  year: number | null;
  make: string | null;
  model: string | null;
  engine: string | null;
}

/** Everything outside our walls, one port a kind. Each call throws an OutsideError when the other side fails. */
export interface Outside {
  plateRegister: { carsBehind(region: string, plateKey: string): Promise<RegisterCar[]> };
  supplier: {
    offers(partNumbers: string[]): Promise<{ supplier: string; offers: SupplierOffer[] }>;
    /** @param key - the same key is ordered once. */
    order(key: string, items: { partNumber: string; quantity: number; costCents: number }[]): Promise<OrderAnswer>;
  };
  /** @param key - the same key is charged once. */
  cardTerminal: { charge(key: string, amountCents: number, reference: string): Promise<ChargeAnswer> };
  /** Whose phone it is, as far as a phone directory knows; null when it does not. */
  directory: { whoseIs(phone: string): Promise<DirectoryEntry | null> };
  /** Towns of postcodes beyond the shipped table. */
  postcodes: { townsOf(postcode: string): Promise<Town[]> };
  /** What a car needs, by its make; the same for the same car. */
  specs: { of(car: SpecQuery): Promise<SpecSheet> };
  /** What the maker calls back. */
  recalls: { of(car: Pick<SpecQuery, "year" | "make" | "model"> & { vin: string }): Promise<RecallReport> };
  /** What others did to a car. */
  serviceHistory: { of(vin: string): Promise<ElsewhereReport> };
  messenger: { send(key: string, to: string, text: string): Promise<void> };
}

const town = z.object({ town: z.string(), region: z.string() });
const directoryEntry = z.object({
  name: z.string(),
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
});
const registerAnswer = z.object({
  cars: z.array(
    z.object({
      vin: z.string().nullable(),
      plate: z.string(),
      color: z.string().nullable(),
      year: z.number().nullable(),
      make: z.string().nullable(),
      model: z.string().nullable(),
    }),
  ),
});
const offersAnswer = z.object({
  supplier: z.string(),
  offers: z.array(
    z.object({ partNumber: z.string(), costCents: z.number().int(), available: z.number(), readyAt: z.iso.datetime() }),
  ),
});
const orderConfirmed = z
  .object({ supplier: z.string(), orderNumber: z.string(), readyAt: z.iso.datetime() })
  .transform((answer): OrderAnswer => ({ outcome: "confirmed", ...answer }));
const orderRefused = z
  .object({ reason: z.enum(["outOfStock", "priceChanged"]), partNumber: z.string() })
  .transform((answer): OrderAnswer => ({ outcome: "refused", ...answer }));
const chargeAnswer = z
  .discriminatedUnion("status", [
    z.object({ status: z.literal("approved"), lastFour: z.string(), authorization: z.string() }),
    z.object({ status: z.literal("declined"), reason: z.string() }),
  ])
  .transform((answer): ChargeAnswer =>
    answer.status === "approved"
      ? { outcome: "taken", lastFour: answer.lastFour, authorization: answer.authorization }
      : { outcome: "declined", reason: answer.reason },
  );

/** The outside as the stand-ins speak it. */
export function connectOutside(baseUrl: string, timeoutMs: number): Outside {
  const http = new OutsideHttp(timeoutMs);
  return {
    plateRegister: {
      async carsBehind(region, plateKey) {
        const url = `${baseUrl}/register/plates/${encodeURIComponent(region)}/${encodeURIComponent(plateKey)}`;
        return (await http.call({ url, method: "GET", answers: { 200: registerAnswer } })).cars;
      },
    },
    supplier: {
      offers: (partNumbers) =>
        http.call({
          url: `${baseUrl}/supplier/offers`,
          method: "POST",
          body: { partNumbers },
          answers: { 200: offersAnswer },
        }),
      order: (key, items) =>
        http.call<OrderAnswer>({
          url: `${baseUrl}/supplier/orders`,
          method: "POST",
          key,
          body: { items },
          answers: { 201: orderConfirmed, 409: orderRefused },
        }),
    },
    cardTerminal: {
      charge: (key, amountCents, reference) =>
        http.call({
          url: `${baseUrl}/terminal/charges`,
          method: "POST",
          key,
          body: { amountCents, reference },
          answers: { 200: chargeAnswer },
        }),
    },
    directory: {
      async whoseIs(phone) {
        const url = `${baseUrl}/directory/phones/${encodeURIComponent(phone)}`;
        return (
          await http.call({ url, method: "GET", answers: { 200: z.object({ entry: directoryEntry.nullable() }) } })
        ).entry;
      },
    },
    specs: {
      of: (car) => http.call({ url: `${baseUrl}/specs?${queryOf(car)}`, method: "GET", answers: { 200: specSheet } }),
    },
    recalls: {
      of: ({ vin, ...car }) =>
        http.call({
          url: `${baseUrl}/recalls/${encodeURIComponent(vin)}?${queryOf(car)}`,
          method: "GET",
          answers: { 200: recallReport },
        }),
    },
    serviceHistory: {
      of: (vin) =>
        http.call({
          url: `${baseUrl}/history/${encodeURIComponent(vin)}`,
          method: "GET",
          answers: { 200: elsewhereReport },
        }),
    },
    postcodes: {
      async townsOf(postcode) {
        const url = `${baseUrl}/postcodes/${encodeURIComponent(postcode)}`;
        return (await http.call({ url, method: "GET", answers: { 200: z.object({ towns: z.array(town) }) } })).towns;
      },
    },
    messenger: {
      async send(key, to, text) {
        await http.call({
          url: `${baseUrl}/messages`,
          method: "POST",
          key,
          body: { to, text },
          answers: { 202: z.object({ accepted: z.literal(true) }) },
        });
      },
    },
  };
}

function queryOf(values: object): string {
  return new URLSearchParams(
    Object.entries(values).flatMap(([name, value]) => (value === null ? [] : [[name, String(value)]])),
  ).toString();
}
