import { showMoney } from "@mechanon/core";

/** What a diagnosis takes off the repair it led to. @example creditWords(13800) //=> "Less $138.00 of the diagnosis" */
export function creditWords(cents: number): string {
  return `Less ${showMoney(cents)} of the diagnosis`;
}
