import { exact, fromTenThousandths } from "../exact/decimal";
import type { SourcingSlice } from "./slice";

type Orders = Pick<SourcingSlice, "orders">;

/** Whether any of a line is on order. */
export function isOrdered({ orders }: Orders, lineId: string): boolean {
  return orders.some(({ items }) => items.some((item) => item.lineId === lineId));
}

/** How much of a line was ordered, over all orders. @returns In the unit of its quantity, exact to four decimals. */
export function orderedQuantity({ orders }: Orders, lineId: string): number {
  return total(orders.flatMap(({ items }) => items).filter((item) => item.lineId === lineId));
}

/** How much of a line is in hand. @returns In the unit of its quantity, exact to four decimals. */
export function receivedQuantity({ received }: Pick<SourcingSlice, "received">, lineId: string): number {
  return total(received.filter((receipt) => receipt.lineId === lineId));
}

function total(items: readonly { quantity: number }[]): number {
  return fromTenThousandths(items.reduce((sum, { quantity }) => sum + exact(quantity), 0n));
}
