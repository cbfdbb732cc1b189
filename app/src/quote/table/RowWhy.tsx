import { StyleSheet, View } from "react-native";
import { explainedWorkOrder, showMoney, type WorkOrderState } from "@mechanon/core";
import { Heading } from "../../ui/Heading";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { LineWhy } from "../LineWhy";
import { WhyRows } from "../WhyRows";
import type { TableRow } from "./rows";

/** How the figures of the row one is at came about. */
export function RowWhy({ row, quote }: { row: TableRow; quote: WorkOrderState }) {
  if (row.kind === "addJob")
    return (
      <Words tone="muted">Type a few letters of a job that is kept ready, or what a job of its own is called.</Words>
    );
  const { job } = row;
  const jobNow = quote.jobs.find(({ id }) => id === job.id);
  if (row.kind === "addLine")
    return (
      <Words tone="muted">
        1.5 h clean slides · 2 wiper blade 14.50 · 2 wiper blade cost 8.40 · fee parking 6.00 · core battery 22.00 ·
        bought in alignment cost 80
      </Words>
    );
  const line = row.kind === "line" ? jobNow?.lines.find(({ id }) => id === row.line.id) : undefined;
  const explained = explainedWorkOrder(quote).jobs.get(job.id);
  return (
    <View style={styles.list}>
      <Heading level={2}>{line ? line.description : job.title}</Heading>
      {line ? (
        <LineWhy line={line} quote={quote} />
      ) : explained ? (
        <>
          <Words figures strong>
            {showMoney(explained.cents)}
          </Words>
          <WhyRows explained={explained} quote={quote} />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
