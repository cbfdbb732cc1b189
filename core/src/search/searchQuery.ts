import { nationalDigits, readPhone } from "../customers/phone";
import { normalizePlate } from "../vehicles/plate";
import { wordsOf } from "../text/words";

/** What a typed search may mean; all of it is tried. */
export interface SearchQuery {
  words: string[];
  /** Digits that may be a phone or the beginning or end of one. */
  phones: string[];
  /** With O and 0, I and 1 alike. */
  plate: string | null;
  vin: string | null;
  email: string | null;
  /** Of a work order, its visits and its bill. */
  number: number | null;
  /** A phone, plate, VIN or model year typed together with words of the same customer. */
  mixed: { code: SearchQuery; words: string[] } | null;
}

const MOST_WORDS = 6;
const FEWEST_PHONE_DIGITS = 3;
/** A phone without its area code. */
export const LOCAL_PHONE_DIGITS = 7;
const MOST_PHONE_DIGITS = 15;
const VIN_ENDS = [8, 6];
const LARGEST_NUMBER = 2_147_483_647;

/**
 * Reads what was typed into the one search box.
 * @example
 * readSearch("#1012").number //=> 1012
 * readSearch("(360) 555-0111").phones //=> ["13605550111", "3605550111"]
 */
export function readSearch(typed: string): SearchQuery {
  // Tabs and line ends come along when a text is copied; a null character is none that a database knows.
  const text = withoutLabel(typed.replace(/\p{Cc}/gu, " ").trim());
  const email =
    /[^\s<>,;]*@[^\s<>,;]*/
      .exec(text)?.[0]
      .replace(/^mailto:/i, "")
      .toLowerCase() ?? null;
  const squeezed = text
    .normalize("NFKC")
    .replace(/[\s.·-]/g, "")
    .toUpperCase();
  const isCode = /^[\p{L}\p{N}]{2,18}$/u.test(squeezed);
  const phones = phonesIn(text);
  const isWholePhone = phones.some((digits) => digits.length >= LOCAL_PHONE_DIGITS);
  return {
    words: email !== null || isWholePhone ? [] : longest(wordsOf(text)),
    phones,
    plate: isCode && squeezed.length <= 10 ? normalizePlate({ plate: squeezed, region: "-" }).key : null,
    vin: isCode && squeezed.length >= 4 && /\d/.test(squeezed) ? vinKey(squeezed) : null,
    email,
    number: numberIn(text),
    mixed: email === null ? mixedIn(text) : null,
  };
}

/** Copied from somewhere, a phone brings the way to call along, a code what it is. */
function withoutLabel(text: string): string {
  const bare = text.replace(
    /^(?:(?:tel|sms|callto):(?:\/\/)?|(?:vin|plate|license plate|phone|cell|mobile|tel|e-?mail)[\s:.#]+)/i,
    "",
  );
  return /[\d@]/.test(bare) ? bare : text;
}

/** A VIN as it is compared: no I, O or Q was ever in one. */
export function vinKey(vin: string): string {
  return vin.toUpperCase().replace(/[OQ]/g, "0").replace(/I/g, "1");
}

/**
 * What a stored VIN is found by: the whole, and the last eight and six signs, which people read out and misread.
 * @example
 * vinKeys("1HGCV1F34KA048217") //=> ["1HGCV1F34KA048217", "KA048217", "048217"]
 */
export function vinKeys(vin: string): string[] {
  const whole = vinKey(vin);
  return [...new Set([whole, ...VIN_ENDS.map((signs) => whole.slice(-signs))])];
}

/**
 * What a stored phone is found by: its digits with the country, without it, and a local number's last seven.
 * @example
 * phoneKeys("+13605550111") //=> ["13605550111", "3605550111", "5550111"]
 */
export function phoneKeys(e164: string): string[] {
  const all = e164.replace(/\D/g, "");
  const national = nationalDigits(e164);
  return [...new Set([all, national, national.length === 10 ? national.slice(-7) : national])];
}

function phonesIn(text: string): string[] {
  // An extension says which desk, not which phone.
  const [number = ""] = text.split(/\s*(?:ext\.?|x|#|;ext=)\s*\d*\s*$/i);
  if (!/^[\d\s().+/·–-]+$/u.test(number)) return [];
  const digits = number.replace(/\D/g, "");
  if (digits.length < FEWEST_PHONE_DIGITS || digits.length > MOST_PHONE_DIGITS + 3) return [];
  const parsed = readPhone(number)?.number.replace(/\D/g, "");
  // 00 and 011 lead out of a country, a single 0 into its network.
  const bare = digits.replace(/^(?:00|011|0)(?=\d{4})/, "");
  return [...new Set([...(parsed === undefined ? [] : [parsed]), digits, bare, withoutTrunk(number)])].filter(
    (key) => key.length >= FEWEST_PHONE_DIGITS && key.length <= MOST_PHONE_DIGITS,
  );
}

/** "+44 (0)20 7946 0018": the zero is dialed inside the country only. */
function withoutTrunk(number: string): string {
  return number.replace(/\(0\)/g, "").replace(/\D/g, "");
}

/** A phone anywhere among words, or one word with digits that may be a plate or a VIN. */
function mixedIn(text: string): SearchQuery["mixed"] {
  const digits = /(?<=^|\s)\+?[\d(][\d().\s/-]+\d(?=\s|$)/.exec(text)?.[0];
  const phone = (digits?.replace(/\D/g, "").length ?? 0) >= LOCAL_PHONE_DIGITS ? digits : undefined;
  const [sign, ...more] = text.split(/[\s,]+/).filter((word) => word.length >= FEWEST_PHONE_DIGITS && /\d/.test(word));
  const code = phone ?? (more.length === 0 ? sign : undefined);
  const words = code === undefined ? [] : longest(wordsOf(text.replace(code, " ")));
  return code === undefined || words.length === 0 ? null : { code: readSearch(code), words };
}

function numberIn(text: string): number | null {
  const match =
    /^(?:(?:wo|work ?order|order|job|bill|invoice|inv|receipt|quote|visit)[\s.:-]*)?(?:no\b\.?|nr\b\.?|number)?[\s:]*#?\s*(\d{1,10})$/i.exec(
      text,
    );
  const value = match ? Number(match[1]) : NaN;
  return value > 0 && value <= LARGEST_NUMBER ? value : null;
}

/** The words that say most, in the order they were typed. */
function longest(words: string[]): string[] {
  if (words.length <= MOST_WORDS) return words;
  const kept = new Set([...words].sort((a, b) => b.length - a.length).slice(0, MOST_WORDS));
  return words.filter((word) => kept.has(word));
}
