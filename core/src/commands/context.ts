import type { Actor } from "../access/rights";
import type { LibraryJob } from "../quoting/line";
import type { BusinessSettings } from "../settings/businessSettings";

/** What a command is applied with: who, when, and what the business keeps ready. */
export interface CommandContext {
  /** The work order or visit it is for. */
  aggregateId: string;
  commandId: string;
  /** ISO instant the command was given. */
  at: string;
  actor: Actor;
  settings: Pick<BusinessSettings, "rules" | "inspection">;
  /** Empty where the command does not need it. */
  library: readonly LibraryJob[];
  /** The customer named by the command pays no tax. */
  taxExempt: boolean;
  /** What the card terminal was asked to charge and has not said whether it did; left out where it does not matter. */
  unclearChargeCents?: number;
}
