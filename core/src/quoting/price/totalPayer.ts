import { exact, roundPercent } from "../../exact/decimal";
import type { LineKind, PriceInput, RulesInput } from "./input";
import { sumNets, type WorkingLine } from "./workThrough";

/** A tax of one payer: what it is taken of, and what it comes to; in cents. */
export interface TakenTax {
  id: string;
  percent: number;
  isExempt: boolean;
  lines: WorkingLine[];
  /** Supplies it is taken of. */
  supplies: bigint;
  base: bigint;
  cents: bigint;
}

/** What one payer owes, in cents. */
export interface WorkedPayer {
  id: string;
  lines: WorkingLine[];
  labor: bigint;
  supplies: { wanted: bigint; cents: bigint };
  taxes: TakenTax[];
  total: bigint;
}

/**
 * Rules 7 to 9 for one payer: supplies on labor, taxes, the total.
 * @see calculations.md, price
 */
export function totalPayer(
  payer: PriceInput["payers"][number],
  all: readonly WorkingLine[],
  rules: RulesInput,
): WorkedPayer {
  const lines = all.filter((line) => line.payer === payer.id);
  const labor = sumNets(lines.filter(ofKind("labor")));
  const supplies = suppliesOn(labor, rules);
  const taxes = (rules.taxes ?? []).map((tax): TakenTax => {
    const isExempt = payer.taxExempt === true;
    const taxed = lines.filter(({ input }) =>
      input.taxes ? input.taxes.includes(tax.id) : tax.on.includes(input.kind),
    );
    const taxedSupplies = tax.on.includes("fee") ? supplies.cents : 0n;
    const base = sumNets(taxed) + taxedSupplies;
    const cents = isExempt ? 0n : roundPercent(base, exact(tax.percent));
    return { id: tax.id, percent: tax.percent, isExempt, lines: taxed, supplies: taxedSupplies, base, cents };
  });
  const total = sumNets(lines) + supplies.cents + taxes.reduce((sum, tax) => sum + tax.cents, 0n);
  return { id: payer.id, lines, labor, supplies, taxes, total };
}

/** Tells lines of a kind. */
export function ofKind(kind: LineKind): (line: WorkingLine) => boolean {
  return ({ input }) => input.kind === kind;
}

function suppliesOn(labor: bigint, { supplies }: RulesInput): WorkedPayer["supplies"] {
  if (!supplies) return { wanted: 0n, cents: 0n };
  const wanted = roundPercent(labor, exact(supplies.percentOfLabor));
  const cap = supplies.cap ?? null;
  return { wanted, cents: cap !== null && wanted > BigInt(cap) ? BigInt(cap) : wanted };
}
