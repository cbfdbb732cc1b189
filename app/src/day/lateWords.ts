const HOUR_MINUTES = 60;

/** How late a visit is that should have begun. @example lateWords(75) //=> "1 h 15 min late" */
export function lateWords(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / HOUR_MINUTES), minutes % HOUR_MINUTES];
  return [hours > 0 ? `${hours} h` : "", rest > 0 ? `${rest} min` : "", "late"].filter(Boolean).join(" ");
}
