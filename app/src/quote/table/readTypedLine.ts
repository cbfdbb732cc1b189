import { readMoney, standingTable, type MoneyRules, type NewLine } from "@mechanon/core";
import { readAmount } from "../readAmount";
import type { TableRights } from "./cells";

const LABOR = /^(\d+(?:\.\d+)?)\s*h(?:\s+|$)(.*)$/i;
const KINDED = /^(fee|core|bought in)\s+(.+)$/i;
const AMOUNT = /^(\d+(?:\.\d+)?)\s*(?:x|×)?\s+(.+)$/i;
const COST = /^(.+?)\s+cost\s+\$?([\d,]+(?:\.\d{1,2})?)$/i;
const PRICE = /^(.+?)\s+\$?([\d,]+(?:\.\d{1,2})?)$/;

/**
 * A line from what was typed in one go: `1.5 h clean slides`, `2 wiper blade 14.50`, `2 wiper blade cost 8.40`,
 * `fee parking 6.00`, `bought in alignment cost 80`.
 *
 * @returns words that say what is missing, where it is no line.
 */
export function readTypedLine(typed: string, id: string, rules: MoneyRules, rights: TableRights): NewLine | string {
  const text = typed.trim();
  const labor = LABOR.exec(text);
  if (labor) {
    const hours = readAmount(labor[1] ?? "");
    const description = (labor[2] ?? "").trim();
    if (hours === null || description === "") return "hours and what is done, like 1.5 h clean slides";
    return {
      ...{ id, kind: "labor", description, hours, rateCents: rules.laborRateCents, wageCents: rules.wageCents },
      paidHours: null,
    };
  }
  if (!rights.mayPrice) return "you may not change prices: choose a part below, or type hours like 1.5 h clean slides";
  const kinded = KINDED.exec(text);
  const kind = kinded?.[1]?.toLowerCase();
  const rest = kinded?.[2] ?? text;
  const counted = AMOUNT.exec(rest);
  const quantity = counted ? (readAmount(counted[1] ?? "") ?? 1) : 1;
  const named = counted?.[2] ?? rest;
  const cost = COST.exec(named);
  if (cost) {
    const costCents = readMoney(cost[2] ?? "");
    const description = cost[1] ?? "";
    if (costCents === null || !rights.seesCost) return "a cost like 8.40";
    if (kind === "bought in") return { id, kind: "sublet", description, costCents, percent: 0, priceCents: null };
    return { ...part(id, description, quantity), costCents, markup: standingTable(rules, {}), priceCents: null };
  }
  const priced = PRICE.exec(named);
  const priceCents = priced ? readMoney(priced[2] ?? "") : null;
  if (!priced || priceCents === null)
    return "a price at the end, like 2 wiper blade 14.50; or its cost, like cost 8.40";
  const description = priced[1] ?? "";
  if (kind === "fee" || kind === "core") return { id, kind, description, quantity, priceCents };
  if (kind === "bought in") return "what it costs us, like bought in alignment cost 80";
  return { ...part(id, description, quantity), costCents: null, markup: null, priceCents };
}

function part(
  id: string,
  description: string,
  quantity: number,
): Omit<Extract<NewLine, { kind: "part" }>, "costCents" | "markup" | "priceCents"> {
  return { id, kind: "part", description, quantity, partNumber: null, brand: null };
}
