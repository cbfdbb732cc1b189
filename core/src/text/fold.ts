import removeAccents from "remove-accents";

/**
 * Text as it is compared: small letters without accents, in one form of each letter.
 * @example
 * fold("Jørgen Weiß") //=> "jorgen weiss"
 */
export function fold(text: string): string {
  // Most texts are plain, and an import folds a million of them.
  if (/^[\x20-\x7E]*$/.test(text)) return text.toLowerCase();
  return removeAccents(text).normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase().replace(/ß/g, "ss");
}
