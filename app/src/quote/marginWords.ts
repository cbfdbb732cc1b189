import { marginStanding, showMoney, type Margin } from "@mechanon/core";

/**
 * A margin as it is read.
 * @example marginWords({ revenueCents: 4200, costCents: 1900, leftCents: 2300, percent: 54.8 }, 60)
 *   //=> "$23.00 left of $42.00, 54.8 %, below the target of 60 %"
 */
export function marginWords(margin: Margin, targetPercent: number | undefined): string {
  const { leftCents, revenueCents, percent } = margin;
  if (percent === null) return "Nothing is sold";
  const figure = `${showMoney(leftCents)} left of ${showMoney(revenueCents)}, ${percent} %`;
  switch (marginStanding(margin, targetPercent)) {
    case "loss":
      return `${figure}: it costs more than it brings`;
    case "below":
      return `${figure}, below the target of ${targetPercent ?? 0} %`;
    case "met":
      return `${figure}, target of ${targetPercent ?? 0} % met`;
    case null:
      return figure;
  }
}
