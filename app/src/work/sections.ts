import type { NextAct } from "@mechanon/core";
import { arrivalSection } from "../arrival/ArrivalSection";
import { checkSection } from "./CheckSection";
import { messagesSection } from "./MessagesSection";
import { moneySection } from "./MoneySection";
import { partsSection } from "./PartsSection";
import { quoteSection } from "../quote/QuoteSection";
import { visitsSection } from "./visits/VisitsSection";
import { workSection } from "./WorkSection";
import type { WorkOrderSection } from "./workOrderSection";

/** The sections of a work order's sheet in the order of work; each is a file of its own, named here. */
export const WORK_ORDER_SECTIONS: readonly WorkOrderSection[] = [
  visitsSection,
  arrivalSection,
  checkSection,
  quoteSection,
  partsSection,
  workSection,
  moneySection,
  messagesSection,
];

/** The section the next act belongs to; it stands open. */
export function sectionOf(next: NextAct): string | null {
  return WORK_ORDER_SECTIONS.find(({ acts }) => acts.includes(next.act))?.name ?? null;
}
