import { z } from "zod";
import { JOB_CONDITIONS } from "../places/conditions";
import { OPERATION_PER } from "../laborGuide/guide";
import { POSITIONS, positionChoices, positionsFor, type Position } from "../laborGuide/position";
import { SPEC_KEYS } from "../vehicles/specs/specSheet";
import { quoteLine } from "./quoteLine";

const cents = z.number().int().nonnegative();

/** What of a part line differs by grade or quality; without the right to see cost, a price instead. */
const otherPart = z.object({
  costCents: cents.nullable(),
  priceCents: cents.nullable(),
  partNumber: z.string().nullable(),
  brand: z.string().nullable(),
});

/** How a line of a library job fits itself to a car. */
export const lineFit = z.object({
  lineId: z.string(),
  /** Labor: operations of the guide whose hours it takes. */
  operations: z.array(z.string()).default([]),
  /** Labor: what is tightened to the car's own torque. */
  torques: z.array(z.enum(SPEC_KEYS)).default([]),
  /** How many: one for each place, each cylinder, or what a spec says, in units of so much. */
  count: z
    .discriminatedUnion("by", [
      z.object({ by: z.literal("positions") }),
      z.object({ by: z.literal("cylinders") }),
      z.object({
        by: z.literal("spec"),
        key: z.enum(SPEC_KEYS),
        /** So much of what the spec counts is in one. */
        unit: z.number().positive(),
        /** Sold whole. */
        whole: z.boolean(),
      }),
    ])
    .nullable()
    .default(null),
  /** A spec that is said with it, and that it may differ by: the grade of oil, the size of a tire. */
  spec: z.enum(SPEC_KEYS).nullable().default(null),
  grades: z.array(otherPart.extend({ value: z.string() })).default([]),
  /** It is only there on cars of which a spec says so; on others it comes to nothing. */
  onlyWhere: z
    .object({ spec: z.enum(SPEC_KEYS), value: z.string() })
    .nullable()
    .default(null),
});
export type LineFit = z.infer<typeof lineFit>;

/** The same job in another quality: some of its parts are others. */
export const jobVariant = z.object({
  id: z.string(),
  title: z.string(),
  parts: z.array(otherPart.extend({ lineId: z.string(), description: z.string() })),
});
export type JobVariant = z.infer<typeof jobVariant>;

/** One job of a whole order that is kept ready. */
const broughtJob = z.object({
  libraryJobId: z.string(),
  /** Empty: where it is usually done. */
  positions: z.array(z.enum(POSITIONS)),
  variantId: z.string().nullable(),
});

/** What has to be so before a job is done on site. */
export const JOB_RIGHTS = ["highVoltage", "refrigerant"] as const;

/** A job kept ready in the library; its lines get ids of their own when it is put on a quote. */
export const libraryJob = z.object({
  id: z.string(),
  title: z.string(),
  area: z.string(),
  /** Inspection points a bad grade of which offers this job. */
  curesPoints: z.array(z.string()),
  /** Concern phrases this job answers. */
  answersConcerns: z.array(z.string()),
  lines: z.array(quoteLine),
  fits: z.array(lineFit).default([]),
  /** Where it is done is chosen as it is put on a quote. */
  per: z.enum(OPERATION_PER).default("job"),
  /** Of all positions there are, only these; empty: all. */
  positions: z.array(z.enum(POSITIONS)).default([]),
  variants: z.array(jobVariant).default([]),
  /** What else to offer with it: ids of library jobs. */
  companions: z.array(z.string()).default([]),
  /** A whole order kept ready: the jobs it puts on a quote, each as a job of its own; it has no lines then. */
  brings: z.array(broughtJob).default([]),
  /** The owner wants it on top of the list. */
  isFavorite: z.boolean().default(false),
  /** It finds out what is wrong. */
  isDiagnosis: z.boolean().default(false),
  /** Said of it on the customer's paper, and to whoever does it. */
  words: z.object({ customer: z.string(), mechanic: z.string() }).default({ customer: "", mechanic: "" }),
  needs: z
    .object({
      skill: z.string().nullable(),
      /** What the van must carry for it. */
      carries: z.string().nullable().default(null),
      place: z.array(z.enum(JOB_CONDITIONS)),
      rights: z.array(z.enum(JOB_RIGHTS)),
    })
    .default({ skill: null, carries: null, place: [], rights: [] }),
});
export type LibraryJob = z.infer<typeof libraryJob>;
/** As it is written down: what is left out stands as usual. */
export type LibraryJobInput = z.input<typeof libraryJob>;

/** Where a job can be done; empty: there is nothing to choose. */
export function positionsOfJob({ per, positions }: LibraryJob): readonly Position[] {
  const all = positionsFor(per);
  return positions.length === 0 ? all : all.filter((place) => positions.includes(place));
}

/** Where it is usually done: at both of an axle, or at all there are; empty: there is nothing to choose. */
export function usualPositions(job: LibraryJob): readonly Position[] {
  const choices = positionChoices(positionsOfJob(job));
  return choices.find(({ length }) => length === 2) ?? choices[0] ?? [];
}
