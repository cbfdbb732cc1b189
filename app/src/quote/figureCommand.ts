import type { ClientWorkOrderCommand, QuoteLine } from "@mechanon/core";

/** Changes how many of a line, or its price or rate; what is left out stays. */
export function figureCommand(
  { id: lineId, kind }: QuoteLine,
  { amount = null, priceCents = null }: { amount?: number | null; priceCents?: number | null },
): Extract<ClientWorkOrderCommand, { type: "changeLine" }> {
  const isLabor = kind === "labor";
  return { type: "changeLine", lineId, hours: isLabor ? amount : null, quantity: isLabor ? null : amount, priceCents };
}
