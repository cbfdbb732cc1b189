/** Words inside a name that stay small. */
const PARTICLES = new Set(["van", "von", "der", "den", "de", "del", "della", "di", "da", "dos", "la", "le", "ter", "ten", "zu", "al", "bin", "ibn", "y", "and", "of", "the"]); // prettier-ignore
/** Endings that are written in their own way. */
const FIXED = new Map([["llc", "LLC"], ["inc", "Inc"], ["jr", "Jr"], ["sr", "Sr"], ["ii", "II"], ["iii", "III"], ["iv", "IV"], ["usa", "USA"]]); // prettier-ignore

/**
 * A name typed all in lower case, capitalized; anything else is left as it was typed, trimmed.
 * @example
 * tidyName("maren o'dell-reyes") //=> "Maren O'Dell-Reyes"
 * tidyName("joe's van der berg llc") //=> "Joe's van der Berg LLC"
 */
export function tidyName(typed: string): string {
  const name = typed.trim().replace(/\s+/g, " ");
  if (name !== name.toLowerCase()) return name;
  return name
    .split(" ")
    .map((word, index, all) => {
      const fixed = index > 0 ? FIXED.get(word.replace(/[.,]/g, "")) : undefined;
      if (fixed !== undefined) return word.replace(/[^.,]+/, fixed);
      // A particle leads to a further word; alone or at the end it is a name like any other.
      if (PARTICLES.has(word) && index > 0 && index < all.length - 1) return word;
      return capitalize(word);
    })
    .join(" ");
}

function capitalize(word: string): string {
  return word
    .replace(/(^|[-/&(.])(\p{Ll})/gu, (_, before: string, letter: string) => before + letter.toUpperCase())
    .replace(
      /(^|-)(Mc|\p{Lu}['’])(\p{Ll})(?=\p{L}{2})/gu,
      (_, before: string, start: string, letter: string) => before + start + letter.toUpperCase(),
    );
}
