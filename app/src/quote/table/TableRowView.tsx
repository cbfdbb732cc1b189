import { useEffect, useRef } from "react";
import { StyleSheet, TextInput, View, type ViewStyle } from "react-native";
import { useColors } from "../../ui/face";
import { FONT, SPACE, TEXT_SIZE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { COLUMNS, COLUMN_TITLES, type Column, type TableRow } from "./rows";
import { keyOf } from "./keyOf";
import type { KeyHeard } from "./useCells";
import { COLUMN_SHARES } from "./columnShares";

export interface TableRowViewProps {
  row: TableRow;
  /** What stands in each cell, in the order of the columns. */
  texts: readonly string[];
  columns: readonly Column[];
  /** Where one is, in this row; null: elsewhere. */
  column: Column | null;
  /** Null: nothing is being typed in it. */
  typed: string | null;
  fault: string | null;
  /** It is below the margin to reach. */
  isBelow: boolean;
  onCell: (rowKey: string, column: Column) => void;
  onType: (typed: string) => void;
  onKey: (heard: KeyHeard) => void;
}

/** One row of the table. By itself, so that going about draws two rows and not all of them. */
export function TableRowView({
  row,
  texts,
  columns,
  column,
  typed,
  fault,
  isBelow,
  onCell,
  onType,
  onKey,
}: TableRowViewProps) {
  const colors = useColors();
  const isJob = row.kind === "job";
  const isAdd = row.kind === "addLine" || row.kind === "addJob";
  return (
    <View
      role="row"
      style={[styles.row, FAR_ROWS, { borderColor: isJob ? colors.ink : colors.hairline }, isJob && styles.job]}
    >
      {columns.map((each) => {
        const text = texts[COLUMNS.indexOf(each)] ?? "";
        const isHere = each === column;
        const shown = isAdd && each === "what" ? ADD_WORDS[row.kind] : text;
        return (
          <Cell
            key={each}
            label={`${COLUMN_TITLES[each]}: ${shown || "empty"}`}
            column={each}
            isHere={isHere}
            isTyping={isHere && typed !== null}
            onFocus={() => onCell(row.key, each)}
          >
            {isHere && typed !== null ? (
              <TypedCell
                label={isAdd ? ADD_WORDS[row.kind] : COLUMN_TITLES[each]}
                typed={typed}
                fault={fault}
                onType={onType}
                onKey={onKey}
              />
            ) : (
              <Words
                strong={isJob}
                tone={isAdd ? "muted" : each === "margin" && isBelow ? "alarm" : "ink"}
                figures
                align={each === "what" ? "left" : "right"}
                numberOfLines={1}
              >
                {each === "margin" && isBelow && text ? `▼ ${shown}` : shown}
              </Words>
            )}
          </Cell>
        );
      })}
    </View>
  );
}

const ADD_WORDS = { addLine: "Type to add a line", addJob: "Type to add a job" } as const;

interface CellProps {
  label: string;
  column: Column;
  isHere: boolean;
  isTyping: boolean;
  onFocus: () => void;
  children: React.ReactNode;
}

function Cell({ label, column, isHere, isTyping, onFocus, children }: CellProps) {
  const colors = useColors();
  const cell = useRef<View>(null);
  const wasHere = useRef(false);
  useEffect(() => {
    const element: unknown = cell.current;
    if (!isHere || isTyping || !(element instanceof HTMLElement)) return;
    // The page's first look is not at the table where somebody is elsewhere on it.
    if (!wasHere.current && !isInTable(element)) return;
    wasHere.current = true;
    element.focus();
    element.scrollIntoView({ block: "nearest" });
  }, [isHere, isTyping]);
  return (
    <View
      ref={cell}
      role="cell"
      aria-label={label}
      // One cell of the table is in the order of the page; arrows go to the others.
      tabIndex={isHere ? 0 : -1}
      onFocus={isHere ? undefined : onFocus}
      onPointerDown={onFocus}
      style={[styles.cell, { flex: COLUMN_SHARES[column], borderColor: isHere ? colors.petrol : "transparent" }]}
    >
      {children}
    </View>
  );
}

/** Whether one is about in the table, or has just typed in it. */
function isInTable(element: HTMLElement): boolean {
  const active = document.activeElement;
  return active === null || active === document.body || (element.closest('[role="grid"]')?.contains(active) ?? false);
}

interface TypedCellProps {
  label: string;
  typed: string;
  fault: string | null;
  onType: (typed: string) => void;
  onKey: (heard: KeyHeard) => void;
}

function TypedCell({ label, typed, fault, onType, onKey }: TypedCellProps) {
  const colors = useColors();
  return (
    <View>
      <TextInput
        autoFocus
        aria-label={label}
        aria-invalid={fault !== null}
        value={typed}
        onChangeText={onType}
        onKeyPress={(event) => {
          // A field keeps its keys to itself: those that leave it are handed on.
          const heard: unknown = event.nativeEvent;
          if (typeof KeyboardEvent !== "undefined" && heard instanceof KeyboardEvent)
            onKey({ ...keyOf(heard), stop: () => event.preventDefault() });
        }}
        style={[styles.input, { color: colors.ink, backgroundColor: colors.inset }]}
      />
      {fault === null ? null : (
        <Words size="small" tone="alarm" role="alert">
          {`✕ ${fault}`}
        </Words>
      )}
    </View>
  );
}

/** Of a long quote only the rows in sight are laid out; the web alone knows of that. */
const FAR_ROWS = { contentVisibility: "auto", containIntrinsicSize: "auto 38px" } as unknown as ViewStyle;

const styles = StyleSheet.create({
  row: { flexDirection: "row", borderTopWidth: 1, alignItems: "flex-start" },
  job: { borderTopWidth: 1.5, marginTop: SPACE.s },
  // Its edge says where one is; the browser's own would be cut off by the row.
  cell: {
    outlineWidth: 0,
    minWidth: 0,
    borderWidth: 2,
    borderRadius: 3,
    paddingHorizontal: SPACE.xs,
    paddingVertical: 5,
    minHeight: 36,
  },
  input: { fontSize: TEXT_SIZE.body, fontFamily: FONT.regular, paddingHorizontal: 2, borderRadius: 2, width: "100%" },
});
