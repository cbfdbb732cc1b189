import type { VisitState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../../session/useSession";

/** A trip of a work order. */
export interface VisitProps {
  visit: VisitState;
  view: WorkOrderView;
  business: Business;
}
