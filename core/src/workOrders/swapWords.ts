import type { SwapStakes } from "./swap";
import { countOf } from "../text/countOf";
import { showMoney } from "../money/money";

/** What is done with what hangs on a work order. */
export interface SwapChoice {
  kind: "vehicle" | "detach" | "customer";
  keepFindings: boolean;
  keepAnswers: boolean;
}

/** What a swap means, said before it is done: findings, prices, approvals, parts, money; one sentence each. */
export function swapWords(stakes: SwapStakes, { kind, keepFindings, keepAnswers }: SwapChoice): string[] {
  const { findings, odometerMiles, pricedJobs, answers, finishedJobs, partsOnTheWay, paidCents } = stakes;
  const isCar = kind !== "customer";
  const words: string[] = [];
  const found = [findings > 0 ? countOf(findings, "finding") : "", odometerMiles === null ? "" : "the odometer"]
    .filter(Boolean)
    .join(" and ");
  if (isCar && found !== "")
    words.push(
      keepFindings
        ? `${capital(found)}: kept, as found on the car in front of you.`
        : `${capital(found)}: taken off, since they are of the other car. The history keeps them.`,
    );
  if (isCar && pricedJobs > 0)
    words.push(
      `${countOf(pricedJobs, "job")}: the prices stay as they are. Hours, parts and amounts may not fit ${kind === "detach" ? "the next car" : "this car"}; look through the quote.`,
    );
  if (!isCar && pricedJobs > 0)
    words.push(`${countOf(pricedJobs, "job")}: the prices stay; the tax goes by the new customer's exemption.`);
  if (answers > 0)
    words.push(
      keepAnswers
        ? `${countOf(answers, "answer")}: the customer's word still holds.`
        : `${countOf(answers, "answer")}: asked anew. The approvals stay on record.`,
    );
  if (finishedJobs > 0)
    words.push(
      `${countOf(finishedJobs, "finished job")}: stays on the bill${isCar ? ", with its answer" : ", which goes to the new customer"}.`,
    );
  if (partsOnTheWay > 0)
    words.push(
      isCar
        ? `${countOf(partsOnTheWay, "part")} ordered or in hand: check that they fit, or send them back.`
        : `${countOf(partsOnTheWay, "part")} ordered or in hand: they stay with this work order.`,
    );
  if (paidCents > 0)
    words.push(
      `${showMoney(paidCents)} paid: stays with this work order${isCar ? "" : "; the receipt goes to the new customer"}.`,
    );
  if (words.length === 0) words.push("Nothing hangs on it yet.");
  return words;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
