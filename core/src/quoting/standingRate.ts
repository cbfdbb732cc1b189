import { inZone, minuteOfDay } from "../dates/dates";
import { NO_FACTS, carFacts, type CarFacts } from "../laborGuide/carFacts";
import type { LaborRate, WorkHours } from "./laborRate";
import type { MoneyRules } from "./moneyRules";
import type { LaborLine, LineRate, QuoteLine } from "./quoteLine";
import type { Job } from "./slice";

/** What decides the rate of a job's labor. */
export interface RateCircumstances {
  isDiagnosis: boolean;
  facts: Pick<CarFacts, "vehicleClass" | "power" | "ageYears">;
  isAfterHours: boolean;
  hasCustomersPart: boolean;
}

/** Why a rate stands, in the order it is said. */
export const RATE_REASONS = ["diagnosis", "vehicleClass", "power", "age", "afterHours", "customersPart"] as const;
export type RateReason = (typeof RATE_REASONS)[number];

/** In place of a reason: a person chose it. */
export const CHOSEN_RATE = "chosen";

/** A rate with why it stands. */
export interface StandingRate {
  /** Null: the general one. */
  id: string | null;
  cents: number;
  because: RateReason[];
}

/**
 * The rate that stands by itself: the first of the owner's that fits in all it names, else the general one. What is not
 * known of the car fits no rate that names it.
 */
export function standingRate(
  { rates = [], laborRateCents }: Pick<MoneyRules, "rates" | "laborRateCents">,
  circumstances: RateCircumstances,
): StandingRate {
  for (const rate of rates) {
    const because = reasonsFor(rate, circumstances);
    if (because && because.length > 0) return { id: rate.id, cents: rate.cents, because };
  }
  return { id: null, cents: laborRateCents, because: [] };
}

/** Why a rate fits; null: it does not. */
function reasonsFor({ when }: LaborRate, circumstances: RateCircumstances): RateReason[] | null {
  const { vehicleClass, power, ageYears } = circumstances.facts;
  const named: [RateReason, boolean, boolean][] = [
    ["diagnosis", when.isDiagnosis, circumstances.isDiagnosis],
    [
      "vehicleClass",
      when.vehicleClasses.length > 0,
      vehicleClass !== null && when.vehicleClasses.includes(vehicleClass.value),
    ],
    ["power", when.powers.length > 0, power !== null && when.powers.includes(power.value)],
    [
      "age",
      when.olderThanYears !== null,
      ageYears !== null && when.olderThanYears !== null && ageYears.value > when.olderThanYears,
    ],
    ["afterHours", when.isAfterHours, circumstances.isAfterHours],
    ["customersPart", when.hasCustomersPart, circumstances.hasCustomersPart],
  ];
  const asked = named.filter(([, isNamed]) => isNamed);
  return asked.every(([, , isSo]) => isSo) ? asked.map(([reason]) => reason) : null;
}

/** What decides the rate of a job on a quote, as it was when the job was put there. */
export function circumstancesOf(job: Pick<Job, "fit" | "on" | "isDiagnosis" | "lines">): RateCircumstances {
  const on = job.fit ?? job.on;
  const facts = carFacts.safeParse(on?.facts);
  return {
    isDiagnosis: job.isDiagnosis === true,
    // Facts that another version wrote down decide nothing here.
    facts: facts.success ? facts.data : NO_FACTS,
    isAfterHours: on?.isAfterHours ?? false,
    hasCustomersPart: job.lines.some((line) => line.kind === "part" && line.isCustomers === true),
  };
}

/** A job with its labor at the rate that stands by itself; a rate that was typed or chosen stays, and one of before there were any. */
export function withStandingRates(job: Job, rules: MoneyRules): Job {
  const rate = standingRate(rules, circumstancesOf(job));
  const lines = job.lines.map((line) => (followsRates(line) ? atRate(line, rate) : line));
  return { ...job, lines };
}

function followsRates(line: QuoteLine): line is LaborLine & { rate: LineRate } {
  return line.kind === "labor" && line.rate !== undefined && !line.rate.because.includes(CHOSEN_RATE);
}

/** Labor that follows the rates of the house, unless it was given one of its own. */
export function withHousesRate(line: QuoteLine): QuoteLine {
  return line.kind === "labor" && !line.priceByHand ? { ...line, rate: { id: null, because: [] } } : line;
}

/** A line at a rate of the house. */
export function atRate(
  line: LaborLine,
  { id, cents, because }: { id: string | null; cents: number; because: readonly string[] },
): LaborLine {
  const { priceByHand: _typed, ...kept } = line;
  return { ...kept, rateCents: cents, rate: { id, because: [...because] } };
}

/** Whether a moment lies outside the hours of work. @param zone - the business's time zone. */
export function isAfterHours(instant: string, zone: string, hours: WorkHours | undefined): boolean {
  if (!hours) return false;
  const minute = minuteOfDay(instant, zone);
  return (
    !hours.weekdays.includes(inZone(instant, zone).weekday) || minute < hours.fromMinute || minute >= hours.untilMinute
  );
}
