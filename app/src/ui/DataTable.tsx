import { flexRender, getCoreRowModel, useReactTable, type ColumnDef } from "@tanstack/react-table";
import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { SPACE } from "./theme";
import { useIsWide } from "./useIsWide";
import { Words } from "./Words";

/** A column: what stands above it, how wide it is beside the others, how it is drawn. */
export type Column<Row> = ColumnDef<Row, unknown> & {
  header: string;
  meta?: {
    /** Its share of the width on a wide screen; left out: one. */
    share?: number;
  };
};

export interface DataTableProps<Row> {
  label: string;
  /** The same array as long as nothing of it changed. */
  rows: Row[];
  columns: Column<Row>[];
  keyOf: (row: Row) => string;
}

/** Rows of figures and words: columns beside each other on a wide screen, below each other on a phone. */
export function DataTable<Row>({ label, rows, columns, keyOf }: DataTableProps<Row>) {
  // The table changes in place, which a compiled component would not notice.
  "use no memo";
  const colors = useColors();
  const isWide = useIsWide();
  const table = useReactTable({ data: rows, columns, getRowId: keyOf, getCoreRowModel: getCoreRowModel() });
  const share = (columnId: string): number => columns.find(({ id }) => id === columnId)?.meta?.share ?? 1;
  return (
    <View role="table" aria-label={label} aria-colcount={columns.length}>
      {isWide ? (
        <View role="row" style={[styles.row, styles.head, { borderColor: colors.ink }]}>
          {table.getFlatHeaders().map(({ id, column, getContext }) => (
            <View key={id} role="columnheader" style={{ flex: share(column.id) }}>
              <Words size="small" strong tone="muted">
                {flexRender(column.columnDef.header, getContext())}
              </Words>
            </View>
          ))}
        </View>
      ) : null}
      {table.getRowModel().rows.map((row) => (
        <View
          key={row.id}
          role="row"
          style={[isWide ? styles.row : styles.stack, styles.line, { borderColor: colors.hairline }]}
        >
          {row.getVisibleCells().map(({ id, column, getContext }) => (
            <View key={id} role="cell" style={isWide ? { flex: share(column.id), minWidth: 0 } : undefined}>
              {flexRender(column.columnDef.cell, getContext())}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "center" },
  stack: { gap: SPACE.xs },
  head: { borderBottomWidth: 1, paddingBottom: SPACE.xs },
  line: { borderTopWidth: 1, paddingVertical: SPACE.xs },
});
