import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { cents, decimal, uuid, words } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { markConflict } from "../conflicts/markConflict";
import type { ConflictSlice } from "../conflicts/slice";
import type { QuoteLine } from "../quoting/quoteLine";
import type { QuoteSlice } from "../quoting/slice";
import type { SourcingConflict } from "./conflicts";
import { orderedQuantity } from "./ordered";
import { quantityToCome } from "./partStatus";
import type { SourcingSlice } from "./slice";

/** Parts in hand; a quantity of null is all that was still to come. */
const receivePartsSchema = z.strictObject({
  type: z.literal("receiveParts"),
  items: z
    .array(z.strictObject({ lineId: uuid, quantity: decimal.nullable() }))
    .min(1)
    .max(200),
});

/** What the server records after the supplier confirmed. */
const recordPartsOrderSchema = z.strictObject({
  type: z.literal("recordPartsOrder"),
  orderId: uuid,
  supplierId: words(60).min(1).nullable(),
  supplier: words(120).min(1),
  orderNumber: words(60).min(1),
  readyAt: z.iso.datetime().nullable(),
  items: z.array(z.strictObject({ lineId: uuid, partNumber: words(60), quantity: decimal, costCents: cents })).min(1),
});

type Reads = SourcingSlice & Pick<QuoteSlice, "jobs"> & ConflictSlice;
const rule = ruleFor<Reads, SourcingSlice & ConflictSlice>();

export const sourcingRules = {
  receiveParts: rule({ schema: receivePartsSchema, kind: "fact", apply: receiveParts }),
  recordPartsOrder: rule({
    schema: recordPartsOrderSchema,
    kind: "fact",
    source: "server",
    apply: recordPartsOrder,
  }),
};

function recordPartsOrder(
  state: Reads,
  { orderId: id, supplierId, supplier, orderNumber, readyAt, items }: z.output<typeof recordPartsOrderSchema>,
  context: CommandContext,
): Partial<SourcingSlice & ConflictSlice> {
  if (state.orders.some((order) => order.id === id)) return {};
  const { at, actor } = context;
  const orders = [...state.orders, { id, at, by: actor.id, supplierId, supplier, orderNumber, readyAt, items }];
  const tooMuch = items
    .map(({ lineId }) => lineOf(state, lineId))
    .filter((line) => line?.kind === "part" && orderedQuantity({ orders }, line.id) > line.quantity);
  const lost = lostLines(state, items, context);
  if (tooMuch.length === 0) return { orders, conflicts: lost };
  const code: SourcingConflict = "part/ordered-twice";
  const names = tooMuch.map((line) => line?.description ?? "").join(", ");
  return { orders, conflicts: markConflict(lost, code, names, context) };
}

function receiveParts(
  state: Reads,
  { items }: z.output<typeof receivePartsSchema>,
  context: CommandContext,
): Partial<SourcingSlice & ConflictSlice> {
  const { at, actor } = context;
  const fresh = items.flatMap(({ lineId, quantity }) => {
    const line = lineOf(state, lineId);
    const wanted = line?.kind === "part" ? line.quantity : 1;
    const came = quantity ?? quantityToCome(state, { id: lineId, quantity: wanted });
    return came > 0 ? [{ lineId, quantity: came, at, by: actor.id }] : [];
  });
  return { received: [...state.received, ...fresh], conflicts: lostLines(state, fresh, context) };
}

/** The marks, with one more where parts are for lines that are no longer there. */
function lostLines(
  state: Reads,
  items: readonly { lineId: string }[],
  context: CommandContext,
): ConflictSlice["conflicts"] {
  const lost = items.filter(({ lineId }) => !lineOf(state, lineId));
  const code: SourcingConflict = "part/line-gone";
  return lost.length === 0 ? state.conflicts : markConflict(state.conflicts, code, String(lost.length), context);
}

function lineOf({ jobs }: Pick<QuoteSlice, "jobs">, lineId: string): QuoteLine | undefined {
  return jobs.flatMap(({ lines }) => lines).find(({ id }) => id === lineId);
}
