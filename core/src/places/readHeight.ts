const INCHES_IN_FOOT = 12;
const FEET = /^(\d{1,2}(?:\.\d+)?)\s*(?:ft|feet|foot|')\s*(?:(\d{1,2})\s*(?:in|inches|")?)?$/i;
const INCHES = /^(\d{2,3})\s*(?:in|inches|")$/i;

/**
 * Inches of a height as people write it down; null: it says something else.
 * @example
 * readHeight("7 ft 6 in") //=> 90
 */
export function readHeight(typed: string): number | null {
  const inches = INCHES.exec(typed.trim());
  if (inches) return Number(inches[1]);
  const feet = FEET.exec(typed.trim());
  return feet ? Math.floor(Number(feet[1]) * INCHES_IN_FOOT) + Number(feet[2] ?? 0) : null;
}
