/** What a trouble code's letters and digits say by themselves. */
export interface ReadCode {
  /** As it is written: P0301. */
  code: string;
  system: "powertrain" | "chassis" | "body" | "network";
  /** Its meaning is the same on every make, or the maker's own. */
  isGeneric: boolean;
}

const SYSTEMS = { P: "powertrain", C: "chassis", B: "body", U: "network" } as const;

/**
 * Reads a trouble code as a reader shows it; blanks, hyphens and a failure type behind it do not matter.
 *
 * @returns null: it is none.
 * @see SAE J2012
 * @example readCode("p0301-00")?.code //=> "P0301"
 */
export function readCode(typed: string): ReadCode | null {
  const match = /^([PCBU])[\s-]?([0-3])([0-9A-F]{3})(?:[\s-][0-9A-F]{2})?$/i.exec(typed.trim());
  const letter = match?.[1]?.toUpperCase();
  if (!match || !isSystem(letter)) return null;
  const [, , second = "", rest = ""] = match;
  const code = `${letter}${second}${rest.toUpperCase()}`;
  return { code, system: SYSTEMS[letter], isGeneric: isGeneric(letter, second, rest) };
}

const isSystem = (letter: string | undefined): letter is keyof typeof SYSTEMS =>
  letter !== undefined && letter in SYSTEMS;

/** P0, P2 and P34 to P39 are the standard's; so are B0, C0, U0 and U3. */
function isGeneric(letter: string, second: string, rest: string): boolean {
  if (letter === "P") return second === "0" || second === "2" || (second === "3" && /^[4-9A-F]/i.test(rest));
  return second === "0" || (letter === "U" && second === "3");
}
