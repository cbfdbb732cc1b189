import { decode, encodingExists } from "iconv-lite";

const QUOTED_PRINTABLE = /QUOTED-PRINTABLE/i;
/** Parameters that stood without a name in version 2.1 and are no type. */
const ENCODINGS = /^(?:7BIT|8BIT|BASE64|BINARY|QUOTED-PRINTABLE)$/i;
/** Pictures, sounds and keys a card may bring, with the lines they go on in: many times what a person types. */
const MEDIA = /^(?:[\w-]+\.)?(?:PHOTO|LOGO|SOUND|KEY)[;:].*(?:\r?\n[ \t].*)*\r?\n/gim;
/** The beginning of a property: its name, perhaps with the group it belongs to. */
const PROPERTY = /^(?:[\w-]+\.)?[\w-]+(?:;[^:]*)?:/;

/**
 * A card's text as today's readers take it: without media, with an end, parameters of version 2.1 named, and what was
 * written in quoted-printable spelled out.
 *
 * @returns the text and the lines that are no property at all.
 * @see vCard 2.1 (versit Consortium, 1996), RFC 6350
 */
export function plainCard(whole: string): { text: string; odd: string[] } {
  const isOld = /^VERSION:2\.1\s*$/im.test(whole);
  const lines = joinedLines(whole.replace(MEDIA, ""));
  const odd = lines.filter((line) => !PROPERTY.test(line));
  const plain = lines
    .filter((line) => PROPERTY.test(line) && !/^END:VCARD\s*$/i.test(line))
    .map((line) => plainLine(line, isOld));
  return { text: `${[...plain, "END:VCARD"].join("\r\n")}\r\n`, odd };
}

/** Lines put together again that were folded, or broken softly in quoted-printable. */
function joinedLines(card: string): string[] {
  const out: string[] = [];
  for (const line of card.split(/\r\n?|\n/)) {
    const last = out.at(-1);
    const isBroken = last !== undefined && last.endsWith("=") && QUOTED_PRINTABLE.test(last.split(":")[0] ?? "");
    if (isBroken) out[out.length - 1] = last.slice(0, -1) + line;
    else if (last !== undefined && /^[ \t]/.test(line)) out[out.length - 1] = last + line.slice(1);
    else if (line.trim() !== "") out.push(line);
  }
  return out;
}

function plainLine(line: string, isOld: boolean): string {
  if (/^VERSION:/i.test(line)) return isOld ? "VERSION:3.0" : line;
  const { head, value } = split(line);
  const [name = "", ...parameters] = head.split(/;(?=(?:[^"]*"[^"]*")*[^"]*$)/);
  const isQuoted = parameters.some((parameter) => QUOTED_PRINTABLE.test(parameter));
  const charset = parameters.map((parameter) => /^CHARSET=(.*)$/i.exec(parameter)?.[1]).find(Boolean) ?? "utf-8";
  const types = parameters.filter((parameter) => !parameter.includes("=") && !ENCODINGS.test(parameter));
  const named = parameters.filter((parameter) => parameter.includes("=") && !/^(?:CHARSET|ENCODING)=/i.test(parameter));
  const all = [...named, ...(types.length > 0 ? [`TYPE=${types.join(",")}`] : [])];
  return `${[name, ...all].join(";")}:${isQuoted ? spelledOut(value, charset) : value}`;
}

/** At the first colon that stands in no quotes. */
function split(line: string): { head: string; value: string } {
  let isQuoted = false;
  for (const [at, sign] of [...line].entries()) {
    if (sign === '"') isQuoted = !isQuoted;
    if (sign === ":" && !isQuoted) {
      const head = [...line].slice(0, at).join("");
      return { head, value: line.slice(head.length + 1) };
    }
  }
  const at = line.indexOf(":");
  return { head: line.slice(0, at), value: line.slice(at + 1) };
}

/** @see RFC 2045, 6.7 */
function spelledOut(value: string, charset: string): string {
  const bytes = Buffer.from(
    value.replace(/=([0-9A-F]{2})/gi, (_, hex: string) => String.fromCharCode(parseInt(hex, 16))),
    "latin1",
  );
  const text = decode(bytes, encodingExists(charset) ? charset : "utf-8");
  return text.replace(/\r\n?|\n/g, "\\n");
}
