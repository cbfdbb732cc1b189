import { useCallback, type KeyboardEvent } from "react";

const STEPS: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };

/**
 * Moves among the rows of a list by the arrow keys; Home and End go to the first and last that are drawn. Rows are the
 * controls marked by `ROW`.
 */
export function useRowKeys(): { onKeyDown: (event: KeyboardEvent<HTMLElement>) => void } {
  const onKeyDown = useCallback((event: KeyboardEvent<HTMLElement>) => {
    const rows = [...event.currentTarget.querySelectorAll<HTMLElement>(`[data-testid="${ROW}"]`)];
    const at = rows.findIndex((row) => row.contains(document.activeElement));
    const step = STEPS[event.key];
    const next =
      event.key === "Home" ? 0 : event.key === "End" ? rows.length - 1 : step === undefined || at < 0 ? -1 : at + step;
    const row = rows[next];
    if (!row || at < 0) return;
    event.preventDefault();
    row.focus();
    row.scrollIntoView({ block: "nearest" });
  }, []);
  return { onKeyDown };
}

/** The test id of what is a row. */
export const ROW = "row";
