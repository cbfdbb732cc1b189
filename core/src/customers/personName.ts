/**
 * A name typed all in lower case, capitalized; anything else is left as it was typed, trimmed.
 * @example
 * tidyName("maren o'dell-reyes") //=> "Maren O'Dell-Reyes"
 */
export function tidyName(typed: string): string {
  const name = typed.trim().replace(/\s+/g, " ");
  if (name !== name.toLowerCase()) return name;
  return name.replace(/(^|[\s'’-])(\p{Ll})/gu, (_, before: string, letter: string) => before + letter.toUpperCase());
}
