import { memo, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { DragLine, DropEnd } from "../DragLines";
import { endOf } from "../dropAct";
import type { TableRow } from "./rows";
import { TableRowView, type TableRowViewProps } from "./TableRowView";

/** A row where it stands. Drawn again only when it says something else: of a long quote a key changes one row and a few sums. */
export const PlacedRow = memo(function PlacedRow(props: TableRowViewProps) {
  return (
    <Placed row={props.row}>
      <TableRowView {...props} />
    </Placed>
  );
}, saysTheSame);

/** What is done in a row is asked of it only while one is there. */
function saysTheSame(before: TableRowViewProps, after: TableRowViewProps): boolean {
  return (
    before.column === null &&
    after.column === null &&
    isSameRow(before.row, after.row) &&
    before.isBelow === after.isBelow &&
    before.columns.length === after.columns.length &&
    before.texts.every((text, index) => text === after.texts[index])
  );
}

/** Whether two rows are of the same job and line, as they are. */
function isSameRow(one: TableRow, other: TableRow): boolean {
  return (
    one.kind === other.kind &&
    one.key === other.key &&
    ("job" in one ? one.job : null) === ("job" in other ? other.job : null)
  );
}

/** A line with its grip, the end of a job where one can be dropped, or a row as it is. */
function Placed({ row, children }: { row: TableRow; children: ReactNode }) {
  if (row.kind === "line")
    return (
      <DragLine id={row.line.id} isFixed={row.job.finishedAt !== null}>
        {children}
      </DragLine>
    );
  if (row.kind === "addLine")
    return (
      <DropEnd id={endOf(row.job.id)}>
        <View style={styles.inset}>{children}</View>
      </DropEnd>
    );
  return <View style={styles.inset}>{children}</View>;
}

const styles = StyleSheet.create({ inset: { paddingLeft: 22 } });
