import Papa from "papaparse";

/** A row of a file; what is not there is empty. */
export type Line = (string | null | undefined)[];

/**
 * What a table program may take for a formula, in the signs of other scripts too. A phone or a number alone that begins
 * with + or - is none.
 * @see OWASP, CSV injection
 */
const FORMULA =
  /^'+\s*[=+\-@\uFF1D\uFF20\uFF0B\uFF0D]|^\s*[=@\uFF1D\uFF20\uFF0B\uFF0D]|^[\t\r\n]|^\s*[+-](?![\d\s().-]*(?:ext\. \d+)?$)/;

/** A table as CSV, in which no formula runs. */
export function csv(headings: readonly string[], lines: readonly Line[]): string {
  const data = lines.map((line) => line.map((cell) => cell ?? ""));
  const text = Papa.unparse({ fields: [...headings], data }, { escapeFormulae: FORMULA });
  return data.length === 0 ? `${headings.join(",")}\r\n` : `${text}\r\n`;
}
