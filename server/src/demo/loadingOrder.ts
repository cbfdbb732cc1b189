import type { DemoWorkOrder } from "@mechanon/demo";
import type { WorkOrderCommand, WorkOrderState } from "@mechanon/core";

/** A work order of the demo while it is loaded. */
export interface LoadingOrder {
  order: DemoWorkOrder;
  customerName: string;
  /** When the mechanic was there. */
  onSiteAt: string;
  /** As it is by now. */
  state: () => Promise<WorkOrderState>;
  send: (command: WorkOrderCommand, at: string) => Promise<unknown>;
}
