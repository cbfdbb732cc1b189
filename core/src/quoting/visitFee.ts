import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { Refusal } from "../commands/refusal";
import { uuid } from "../commands/fields";
import { spread } from "../exact/spread";
import type { CallOutBand } from "./pricingRules";
import type { QuotingRefusal } from "./refusals";
import type { Job, QuoteSlice } from "./slice";

const MOST_CARS = 20;
const MOST_MILES = 10_000;

/** What a visit itself costs, as the owner set it: coming out, or having come for nothing. */
export const addVisitFeeSchema = z
  .strictObject({
    type: z.literal("addVisitFee"),
    jobId: uuid,
    lineId: uuid,
    kind: z.enum(["callOut", "callOff"]),
    /** How many cars the trip serves, and which of them this is, from 0. */
    cars: z.number().int().min(1).max(MOST_CARS),
    car: z
      .number()
      .int()
      .min(0)
      .max(MOST_CARS - 1),
    /** From the shop, where the owner charges by them; left out: nobody knows, or an older app. */
    miles: z.number().int().min(0).max(MOST_MILES).optional(),
  })
  .refine(({ cars, car }) => car < cars, "there are not so many cars");
export type AddVisitFee = z.output<typeof addVisitFeeSchema>;

/** What the owner asks for visits. */
export interface VisitFees {
  callOutCents: number;
  callOutByMiles?: readonly CallOutBand[] | undefined;
  callOutOn: "first" | "shared";
  callOffFeeCents: number;
}
export interface VisitFeeContext extends CommandContext {
  settings: { visits: VisitFees };
}

export const VISIT_FEE_TITLES = { callOut: "Call-out", callOff: "Visit called off late" } as const;

/**
 * What a car of a trip bears of what the visit costs: one call-out for the trip, on the first car or shared to the cent;
 * for a visit called off the whole fee, once. Where the owner charges by miles and they are known, the first band they fit.
 */
export function visitFeeCents(
  { callOutCents, callOutByMiles = [], callOutOn, callOffFeeCents }: VisitFees,
  { kind, cars, car, miles }: Pick<AddVisitFee, "kind" | "cars" | "car" | "miles">,
): number {
  const band = callOutByMiles.find(
    ({ upToMiles }) => miles !== undefined && (upToMiles === null || miles <= upToMiles),
  );
  const cents = kind === "callOut" ? (band?.cents ?? callOutCents) : callOffFeeCents;
  if (kind === "callOff" || callOutOn === "first") return car === 0 ? cents : 0;
  return Number(
    spread(
      BigInt(cents),
      Array.from({ length: cars }, () => 1n),
    )[car] ?? 0n,
  );
}

/**
 * Puts what a visit costs on the quote as a job with one fee; where it stands there already its share is set right, as
 * long as nobody answered it.
 * @throws {Refusal} when there is nothing to charge, or it was answered at another price.
 */
export function addVisitFee(
  state: Pick<QuoteSlice, "jobs">,
  command: AddVisitFee,
  context: VisitFeeContext,
): Pick<QuoteSlice, "jobs"> {
  const { jobId, lineId, kind } = command;
  const priceCents = visitFeeCents(context.settings.visits, command);
  const there = state.jobs.find(({ id }) => id === jobId);
  const isSame = there?.lines.some((line) => line.kind === "fee" && line.priceCents === priceCents) ?? false;
  if (isSame) return { jobs: state.jobs };
  if (there?.answer || there?.finishedAt) throw new Refusal<QuotingRefusal>("fee/answered");
  const others = state.jobs.filter(({ id }) => id !== jobId);
  if (priceCents === 0) {
    if (!there) throw new Refusal<QuotingRefusal>("fee/nothing");
    return { jobs: others };
  }
  const title = VISIT_FEE_TITLES[kind];
  const job: Job = {
    id: jobId,
    title,
    libraryJobId: null,
    concernId: null,
    pointIds: [],
    lines: [{ id: lineId, kind: "fee", description: title, quantity: 1, priceCents }],
    addedAt: there?.addedAt ?? context.at,
    answer: null,
    finishedAt: null,
  };
  return { jobs: there ? state.jobs.map((each) => (each.id === jobId ? job : each)) : [...others, job] };
}
