import { z } from "zod";
import { rulesInput } from "../quoting/price/input";
import { serviceInterval } from "../vehicles/specs/specSheet";

/** One inspection point of the business's list. */
export const inspectionPoint = z.object({
  id: z.string(),
  title: z.string(),
  area: z.string(),
  /** What is measured there, if anything; below the limits the grade follows by itself. */
  measure: z
    .object({
      name: z.string(),
      unit: z.string(),
      step: z.number().positive(),
      start: z.number(),
      most: z.number(),
      watchBelow: z.number(),
      actBelow: z.number(),
    })
    .nullable(),
});
export type InspectionPoint = z.infer<typeof inspectionPoint>;

/** A ready phrase for what a customer calls about. */
export const concernPhrase = z.object({
  id: z.string(),
  text: z.string(),
  kind: z.enum(["fault", "wish"]),
  area: z.string(),
});
export type ConcernPhrase = z.infer<typeof concernPhrase>;

/** What a gap of a phrase, such as `{when}`, is usually filled with. */
export const concernGap = z.object({ name: z.string(), choices: z.array(z.string()) });
export type ConcernGap = z.infer<typeof concernGap>;

/** A service of the owner's list: how often, where it differs from the spec sheet, and which library jobs do it. */
export const ownersInterval = serviceInterval.extend({ jobIds: z.array(z.string()) });
export type OwnersInterval = z.infer<typeof ownersInterval>;

/** Money rules of a business: how prices are made and what labor costs. */
export const moneyRules = z.object({
  pricing: rulesInput,
  laborRateCents: z.number().int(),
  wageCents: z.number().int().nullable(),
});
export type MoneyRules = z.infer<typeof moneyRules>;

/** What the owner wants to know of newcomers: how they found us, and questions of the owner's own. */
export const newcomerSettings = z.object({
  foundUsBy: z.array(z.string()),
  questions: z.array(
    z.object({
      id: z.string(),
      text: z.string(),
      /** Answers to choose from; empty: the answer is typed. */
      choices: z.array(z.string()),
    }),
  ),
});
export type NewcomerSettings = z.infer<typeof newcomerSettings>;

/** Lists of the settings that several people change; each change counts its list's version up. */
export const LIST_NAMES = ["concerns", "intervals", "newcomers"] as const;
export type ListName = (typeof LIST_NAMES)[number];
const FIRST_VERSIONS = { concerns: 1, intervals: 1, newcomers: 1 };
export const listVersions = z.record(z.enum(LIST_NAMES), z.number().int());

const RECEIPT_LINK_MONTHS = 18;

export const businessSettings = z.object({
  /** How often each list was changed; whoever changes one says which version it was made from. */
  versions: listVersions.default(FIRST_VERSIONS),
  rules: moneyRules,
  inspection: z.array(inspectionPoint),
  concerns: z.array(concernPhrase),
  concernGaps: z.array(concernGap),
  intervals: z.array(ownersInterval),
  home: z.object({ street: z.string(), latitude: z.number(), longitude: z.number() }),
  phone: z.string(),
  /** Streets of the area with a point on each, so that an address typed by its street has a place on the road. */
  streets: z.array(
    z.object({
      name: z.string(),
      town: z.string(),
      region: z.string(),
      postcode: z.string(),
      latitude: z.number(),
      longitude: z.number(),
    }),
  ),
  newcomers: newcomerSettings,
  visitMinutes: z.array(z.number().int().positive()),
  regions: z.array(z.string()),
  /** How long a receipt can be opened by the link it was sent with. */
  receiptLinkMonths: z.number().int().positive().default(RECEIPT_LINK_MONTHS),
});
export type BusinessSettings = z.infer<typeof businessSettings>;

type Newer = "versions" | "receiptLinkMonths";

/** Settings as they were stored, brought forward: before lists had versions, all of them were at their first. */
export function upgradeSettings(
  stored: Omit<BusinessSettings, Newer> & Partial<Pick<BusinessSettings, Newer>>,
): BusinessSettings {
  const { versions = FIRST_VERSIONS, receiptLinkMonths = RECEIPT_LINK_MONTHS } = stored;
  return { ...stored, versions, receiptLinkMonths };
}
