import type { ImportField } from "./importFields";

/** The cells of a row by what their columns hold. */
export interface RowCells {
  /** What a column of that kind holds, the first that is not empty; "" without any. */
  first: (field: ImportField) => string;
  /** All of a kind that are not empty, in the order of the columns. */
  all: (field: ImportField) => string[];
  /** Those of a kind by place, empty ones too: the second street belongs to the second town. */
  placed: (field: ImportField) => string[];
  /** Cells of these kinds in the order of the columns, each with the label column that stands behind it. */
  labeled: (
    fields: readonly ImportField[],
    labels: ImportField,
  ) => { field: ImportField; value: string; label: string }[];
  /** What goes into the notes, since it fits nowhere else. */
  left: string[];
  remarks: string[];
  /** Takes what is not too long; what is goes into the notes, and is told. */
  fitting: (what: string, value: string, most: number) => string;
  /** What does not fit its field goes into the notes, and is told. */
  leave: (what: string, typed: string) => void;
}

/** Reads the cells of a row. @param mapping - what each column holds; null: not taken. */
export function rowCells(values: readonly string[], mapping: readonly (ImportField | null)[]): RowCells {
  const columns = mapping.map((field, column) => ({ field, value: cleanCell(values[column] ?? "") }));
  const placed = (field: ImportField): string[] =>
    columns.filter((column) => column.field === field).map(({ value }) => value);
  const all = (field: ImportField): string[] => placed(field).filter((value) => value !== "");
  const left: string[] = [];
  const remarks: string[] = [];
  const leave = (what: string, typed: string): void => {
    left.push(`${what[0]?.toUpperCase() ?? ""}${what.slice(1)} as it came: ${typed}`);
    remarks.push(`"${short(typed)}" is no ${what}; it is kept in the notes`);
  };
  return {
    all,
    placed,
    first: (field) => all(field)[0] ?? "",
    labeled: (fields, labels) =>
      columns.flatMap(({ field, value }, column) => {
        if (field === null || !fields.includes(field) || value === "") return [];
        const behind = columns
          .slice(column + 1)
          .find((next) => next.field === labels || (next.field !== null && fields.includes(next.field)));
        return [{ field, value, label: behind?.field === labels ? behind.value : "" }];
      }),
    left,
    remarks,
    leave,
    fitting: (what, value, most) => {
      if (value.length <= most) return value;
      left.push(`${what[0]?.toUpperCase() ?? ""}${what.slice(1)} as it came: ${value}`);
      remarks.push(`"${short(value)}" is too long for a ${what}; it is kept whole in the notes`);
      return value.slice(0, most);
    },
  };
}

/** A cell without control signs. */
function cleanCell(value: string): string {
  return value.replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, "").trim();
}

/**
 * A cell of a table without the apostrophe that keeps a formula from running in a table program.
 * @example
 * withoutFormulaGuard("'=1+1") //=> "=1+1"
 */
export function withoutFormulaGuard(cell: string): string {
  return cell.replace(/^'(?='*\s*[=+\-@\uFF1D\uFF20\uFF0B\uFF0D\t\r])/, "");
}

/** A text as a remark quotes it: 40 characters at most. @example short("x".repeat(50)).length //=> 41 */
export function short(text: string): string {
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
