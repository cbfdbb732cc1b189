import { z } from "zod";
import type { Right } from "../access/rights";
import { approvalRules } from "../approvals/commands";
import { arrivalRules } from "../arrival/commands";
import { concernRules } from "../concerns/commands";
import type { CommandRule } from "../commands/rule";
import { conflictRules } from "../conflicts/commands";
import { inspectionRules } from "../inspection/commands";
import { paperRules } from "../papers/commands";
import { paymentRules } from "../payments/commands";
import { pictureRules } from "../pictures/commands";
import { quotingRules } from "../quoting/commands";
import { sourcingRules } from "../sourcing/commands";
import { troubleCodeRules } from "../troubleCodes/commands";
import { workRules } from "../work/commands";
import type { WorkOrderContext } from "./context";
import { openWorkOrderRule } from "./openWorkOrder";
import type { WorkOrderState } from "./state";
import { swapRules } from "./swap";

/** Every command of an opened work order, by its name: what each area keeps, put together. */
export const workOrderRules = {
  ...swapRules,
  ...concernRules,
  ...arrivalRules,
  ...inspectionRules,
  ...pictureRules,
  ...troubleCodeRules,
  ...quotingRules,
  ...approvalRules,
  ...paperRules,
  ...sourcingRules,
  ...workRules,
  ...paymentRules,
  ...conflictRules,
};
const rules = { openWorkOrder: openWorkOrderRule, ...workOrderRules };
type Rules = typeof rules;

/** A command as it is applied. */
export type WorkOrderCommand = { [Type in keyof Rules]: z.output<Rules[Type]["schema"]> }[keyof Rules];
type ServerCommandType =
  "answerOnPage" | "takeBackOnPage" | "recordPartsOrder" | "takeOffer" | "recordCardPayment" | "recordCardDecline";
/** A command that a person's device may send. */
export type ClientWorkOrderCommand = Exclude<WorkOrderCommand, { type: ServerCommandType }>;

/** What is known of a command before it is applied: its kind, who may send it, and what it needs loaded. */
export function ruleOf(type: WorkOrderCommand["type"]): Pick<Rules[keyof Rules], "kind" | "source" | "needs"> {
  return rules[type];
}

/** The rights a command takes on an opened work order; none: anybody's to give. */
export function rightsFor(command: WorkOrderCommand, state: WorkOrderState): readonly Right[] {
  if (command.type === "openWorkOrder") return [];
  // Each rule of the table takes the command of its own type.
  const { rights } = workOrderRules[command.type] as CommandRule<
    WorkOrderState,
    WorkOrderState,
    never,
    WorkOrderContext
  >;
  return rights(command as never, state);
}

/** Every command, the server's own included. */
export const workOrderCommand: z.ZodType<WorkOrderCommand> = unionOf(Object.values(rules));

/** The commands a person's device may send. */
export const clientWorkOrderCommand: z.ZodType<ClientWorkOrderCommand> = unionOf(
  Object.values(rules).filter(({ source }) => source === "device"),
);

/** One schema for all of some rules, told apart by their type. */
function unionOf<Command>(of: readonly { schema: z.ZodType }[]): z.ZodType<Command> {
  const schemas = of.map(({ schema }) => schema);
  // Each schema is an object with a literal type; the table's own type says which.
  return z.discriminatedUnion("type", schemas as never);
}
