import type { Actor } from "../access/rights";
import type { LibraryJob } from "../quoting/line";
import type { BusinessSettings } from "../settings/businessSettings";

/** What a command is applied with: who, when, and what the business keeps ready. */
export interface CommandContext {
  workOrderId: string;
  commandId: string;
  /** ISO instant the command was given. */
  at: string;
  actor: Actor;
  settings: Pick<BusinessSettings, "rules" | "inspection">;
  library: readonly LibraryJob[];
  /** The customer pays no tax; read when the work order is opened. */
  taxExempt: boolean;
}
