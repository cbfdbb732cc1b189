import { z } from "zod";
import { laborRate, workHours } from "../quoting/laborRate";
import type { MoneyRules } from "../quoting/moneyRules";

const MOST_RATES = 20;

/** What the owner sets about labor; of the rates the first that fits stands. */
export const laborSettings = z.strictObject({
  laborRateCents: laborRate.shape.cents,
  rates: z
    .array(laborRate)
    .max(MOST_RATES, `at most ${MOST_RATES} rates`)
    .refine((rates) => new Set(rates.map(({ id }) => id)).size === rates.length, "two rates have one id"),
  /** Null: no hour is after hours. */
  workHours: workHours.nullable(),
  diagnosisCreditPercent: z.number().int().min(0).max(100),
});
export type LaborSettings = z.infer<typeof laborSettings>;

/** What stands about labor among the money rules. */
export function laborSettingsOf({
  laborRateCents,
  rates = [],
  workHours: hours,
  diagnosisCreditPercent = 0,
}: MoneyRules): LaborSettings {
  return { laborRateCents, rates, workHours: hours ?? null, diagnosisCreditPercent };
}

/** Money rules with labor as the owner set it. */
export function withLaborSettings(rules: MoneyRules, labor: LaborSettings): MoneyRules {
  const { workHours: _before, ...others } = rules;
  const { workHours: hours, ...set } = labor;
  return { ...others, ...set, ...(hours ? { workHours: hours } : {}) };
}
