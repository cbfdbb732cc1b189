import { z } from "zod";
import { concernGap, concernPhrase } from "../concerns/phrase";
import { newcomerSettings } from "../customers/newcomers";
import { inspectionPoint } from "../inspection/point";
import { inspectionSheet } from "../inspection/sheet";
import { upgradeInspection } from "../inspection/upgradeInspection";
import { USUAL_MESSAGES, messageSettings, upgradeMessages } from "../messages/messageSettings";
import { USUAL_PAPERS, paperSettings } from "../papers/paperSettings";
import { knownStreet } from "../places/knownStreet";
import { USUAL_REQUESTS, requestSettings } from "../requests/requestSettings";
import { crewMember } from "../schedule/crewMember";
import { USUAL_VISITS, visitSettings } from "../visits/visitSettings";
import { moneyRules } from "../quoting/moneyRules";
import { stockItem } from "../stock/stockItem";
import { ownersInterval } from "../servicing/ownersInterval";

/** Lists of the settings that several people change; each change counts its list's version up. */
const version = z.number().int().default(1);
const listVersions = z.object({
  concerns: version,
  intervals: version,
  newcomers: version,
  labor: version,
  pay: version,
  crew: version,
  visits: version,
  messages: version,
  requests: version,
  inspection: version,
  pricing: version,
  stock: version,
  papers: version,
});
export type ListName = keyof z.infer<typeof listVersions>;
const FIRST_VERSIONS = {
  concerns: 1,
  intervals: 1,
  newcomers: 1,
  labor: 1,
  pay: 1,
  crew: 1,
  visits: 1,
  messages: 1,
  requests: 1,
  inspection: 1,
  pricing: 1,
  stock: 1,
  papers: 1,
};

const RECEIPT_LINK_MONTHS = 18;

/** What a business has set: each list is one of an area, which keeps its shape. */
export const businessSettings = z.object({
  /** How often each list was changed; whoever changes one says which version it was made from. */
  versions: listVersions.default(FIRST_VERSIONS),
  rules: moneyRules,
  /** Every point there is; a sheet says which it has. */
  inspection: z.array(inspectionPoint),
  sheets: z.array(inspectionSheet),
  concerns: z.array(concernPhrase),
  concernGaps: z.array(concernGap),
  intervals: z.array(ownersInterval),
  home: z.object({ street: z.string(), latitude: z.number(), longitude: z.number() }),
  phone: z.string(),
  streets: z.array(knownStreet),
  newcomers: newcomerSettings,
  visitMinutes: z.array(z.number().int().positive()),
  regions: z.array(z.string()),
  /** When mechanics drive, and what they can do; who is not there does as usual. */
  crew: z.array(crewMember).default([]),
  visits: visitSettings.default(USUAL_VISITS),
  messages: messageSettings.default(USUAL_MESSAGES),
  requests: requestSettings.default(USUAL_REQUESTS),
  /** What is on the vans. */
  stock: z.array(stockItem).default([]),
  /** What is on papers of the owner's own. */
  papers: paperSettings.default(USUAL_PAPERS),
  /** How long a receipt can be opened by the link it was sent with. */
  receiptLinkMonths: z.number().int().positive().default(RECEIPT_LINK_MONTHS),
});
export type BusinessSettings = z.infer<typeof businessSettings>;

type Newer =
  "versions" | "receiptLinkMonths" | "crew" | "visits" | "messages" | "requests" | "sheets" | "stock" | "papers";
type Stored = Omit<BusinessSettings, Newer | "inspection" | "concerns"> &
  Partial<Pick<BusinessSettings, Exclude<Newer, "versions">>> & {
    versions?: Partial<BusinessSettings["versions"]>;
    /** Of this version or of an older one. */
    inspection: readonly unknown[];
    concerns: readonly unknown[];
  };

/** Settings as they were stored, brought forward: a list that had no version yet is at its first. */
export function upgradeSettings(stored: Stored): BusinessSettings {
  const { versions = {}, receiptLinkMonths = RECEIPT_LINK_MONTHS, crew = [], visits = USUAL_VISITS } = stored;
  const { messages = USUAL_MESSAGES, requests = USUAL_REQUESTS, stock = [], papers = USUAL_PAPERS } = stored;
  const members = crew.map((member) => crewMember.parse(member));
  return {
    ...stored,
    versions: { ...FIRST_VERSIONS, ...versions },
    receiptLinkMonths,
    crew: members,
    visits,
    messages: messageSettings.parse(upgradeMessages(messages)),
    requests,
    stock,
    papers,
    concerns: stored.concerns.map((phrase) => concernPhrase.parse(phrase)),
    ...upgradeInspection(stored.inspection, stored.sheets),
  };
}
