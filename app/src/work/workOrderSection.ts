import type { ComponentType } from "react";
import type { CarFacts, NextAct } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";

/** What a section of a work order's sheet is drawn from. */
export interface WorkOrderSectionProps {
  view: WorkOrderView;
  business: Business;
  /** Something of the work order waits to be sent. */
  isUnsent: boolean;
}

/** A section of a work order's sheet. */
export interface WorkOrderSection {
  name: string;
  title: string;
  /** The next acts that are done in it: it stands open while one of them is next. */
  acts: readonly NextAct["act"][];
  /** It stands open for a reason of its own, too. */
  standsOpen?: (shown: Pick<WorkOrderSectionProps, "view">) => boolean;
  /** The line it still says while it is folded; `today` in the business's zone. */
  line: (shown: {
    view: WorkOrderView;
    business: Pick<Business, "settings" | "timeZone">;
    today: string;
    facts: CarFacts;
  }) => string;
  Body: ComponentType<WorkOrderSectionProps>;
}
