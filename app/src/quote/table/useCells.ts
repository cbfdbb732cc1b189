import { COLUMNS, type Column, type TableRow } from "./rows";

/** The cell that has the focus, and what is being typed in it. */
export interface CellFocus {
  rowKey: string;
  column: Column;
  /** Null: nothing is being typed. */
  typed: string | null;
}

export interface Cells {
  at: (rowKey: string, column: Column) => void;
  type: (typed: string | null) => void;
  onKey: (heard: KeyHeard) => void;
}

/** A key as it was heard, by the table or by the field one types in. */
export interface KeyHeard extends Pick<KeyboardEvent, "key" | "shiftKey" | "ctrlKey" | "metaKey" | "altKey"> {
  /** Nobody else is to hear it. */
  stop: () => void;
}

interface CellActs {
  /** What the cell is typed over with; null: it cannot be. */
  textOf: (row: TableRow, column: Column) => string | null;
  /** @returns whether it fits, so that the cell is left. */
  commit: (row: TableRow, column: Column, typed: string) => boolean;
  /** Goes about among what is kept ready, while one types on a row that adds. */
  suggest: (by: -1 | 1) => void;
  remove: (row: TableRow) => void;
  move: (row: TableRow, by: -1 | 1) => void;
  copy: (row: TableRow) => void;
  undo: () => void;
}

/** The keys of the table: arrows go about, enter and typing change a cell, escape leaves it as it was. */
export function useCells(
  rows: readonly TableRow[],
  focus: CellFocus,
  setFocus: (focus: CellFocus) => void,
  acts: CellActs,
): Cells {
  const at = Math.max(
    0,
    rows.findIndex(({ key }) => key === focus.rowKey),
  );
  const row = rows[at];
  const go = (rowIndex: number, columnIndex: number): void => {
    const next = rows[Math.min(rows.length - 1, Math.max(0, rowIndex))];
    const column = COLUMNS[Math.min(COLUMNS.length - 1, Math.max(0, columnIndex))];
    if (next && column) setFocus({ rowKey: next.key, column, typed: null });
  };
  const column = COLUMNS.indexOf(focus.column);
  const leave = (down: number, right: number): void => {
    if (!row || focus.typed === null) return;
    if (acts.commit(row, focus.column, focus.typed)) go(at + down, column + right);
  };
  const onKey = (event: KeyHeard): void => {
    if (!row) return;
    const { stop } = event;
    const isAdding = row.kind === "addLine" || row.kind === "addJob";
    if (focus.typed !== null) {
      if (isAdding && (event.key === "ArrowDown" || event.key === "ArrowUp")) {
        stop();
        acts.suggest(event.key === "ArrowDown" ? 1 : -1);
      } else if (event.key === "Enter") {
        stop();
        leave(isAdding ? 0 : 1, 0);
      } else if (event.key === "Tab") {
        stop();
        leave(0, event.shiftKey ? -1 : 1);
      } else if (event.key === "Escape") {
        stop();
        setFocus({ ...focus, typed: null });
      }
      return;
    }
    const isCommand = event.ctrlKey || event.metaKey;
    if (isCommand && event.key.toLowerCase() === "z") return (stop(), acts.undo());
    if (isCommand && event.key.toLowerCase() === "d") return (stop(), acts.copy(row));
    if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown"))
      return (stop(), acts.move(row, event.key === "ArrowUp" ? -1 : 1));
    const step = STEPS[event.key];
    if (step) return (stop(), go(at + step[0], column + step[1]));
    if (event.key === "Home") return (stop(), go(at, 0));
    if (event.key === "End") return (stop(), go(at, COLUMNS.length - 1));
    if (event.key === "Delete") {
      stop();
      acts.remove(row);
      // What is gone has no focus to keep: it goes to what stands nearest.
      const left = rows.filter((each) => !goesWith(each, row));
      const next =
        rows
          .slice(0, at)
          .reverse()
          .find((each) => left.includes(each)) ?? left[0];
      if (next) setFocus({ rowKey: next.key, column: focus.column, typed: null });
      return;
    }
    const text = acts.textOf(row, focus.column);
    if (event.key === "Enter" || event.key === "F2") {
      stop();
      if (text !== null) setFocus({ ...focus, typed: text });
      return;
    }
    if (event.key === "Backspace" && text !== null) {
      stop();
      setFocus({ ...focus, typed: "" });
      return;
    }
    if (event.key.length === 1 && !isCommand && !event.altKey && text !== null) {
      stop();
      setFocus({ ...focus, typed: event.key });
    }
  };
  return {
    at: (rowKey, nextColumn) => setFocus({ rowKey, column: nextColumn, typed: null }),
    type: (typed) => setFocus({ ...focus, typed }),
    onKey,
  };
}

/** Whether a row goes when another is taken off: itself, and all of a job. */
function goesWith(each: TableRow, taken: TableRow): boolean {
  if (taken.kind === "addLine" || taken.kind === "addJob") return false;
  return each.key === taken.key || (taken.kind === "job" && each.kind !== "addJob" && each.job.id === taken.job.id);
}

const STEPS: Readonly<Record<string, readonly [down: number, right: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-10, 0],
  PageDown: [10, 0],
};
