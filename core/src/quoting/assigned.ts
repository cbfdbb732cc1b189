import { exact, fromTenThousandths, roundPercent, roundProduct } from "../exact/decimal";
import { spread } from "../exact/spread";
import type { MoneyRules } from "./moneyRules";
import type { LaborLine } from "./quoteLine";

/** What one person is credited with of a line. */
export interface CreditedHours {
  personId: string;
  hours: number;
}

/**
 * The hours each person who does a line is credited with: what was typed for them; those without hours of their own share
 * equally what is billed, less that. Billed hours stay as they are, whatever is credited.
 */
export function creditedHours({ hours, assigned = [] }: Pick<LaborLine, "hours" | "assigned">): CreditedHours[] {
  const typed = assigned.reduce((sum, each) => sum + (each.hours === null ? 0n : exact(each.hours)), 0n);
  const rest = exact(hours) > typed ? exact(hours) - typed : 0n;
  const shares = spread(
    rest,
    assigned.map((each) => (each.hours === null ? 1n : 0n)),
  );
  return assigned.map(({ personId, hours: own }, index) => ({
    personId,
    hours: own ?? fromTenThousandths(shares[index] ?? 0n),
  }));
}

/** What each person earns with a line. */
export interface EarnedPay extends CreditedHours {
  cents: number;
}

/**
 * What the people who do a line are paid for it: their rate for the credited hours, or a share of what the labor comes to,
 * by their part of the credited hours. Whoever is paid by the hour of presence costs as much for the credited hours; for
 * whom nothing was set, the wage of the house stands.
 *
 * @param netCents - what the customer pays for the line, discounts taken off.
 */
export function earnedPay(line: LaborLine, netCents: number, { pay = [], wageCents }: MoneyRules): EarnedPay[] {
  const credited = creditedHours(line);
  const shares = spread(
    BigInt(netCents),
    credited.map(({ hours }) => exact(hours)),
  );
  return credited.map(({ personId, hours }, index) => {
    const own = pay.find((each) => each.personId === personId);
    const cents =
      own?.by === "commission"
        ? roundPercent(shares[index] ?? 0n, exact(own.percent))
        : roundProduct(BigInt(own?.cents ?? line.wageCents ?? wageCents ?? 0), exact(hours));
    return { personId, hours, cents: Number(cents) };
  });
}
