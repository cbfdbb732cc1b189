import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMoney, standingAnswer, type Job, type PricedQuote } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/store";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { answerWords } from "./answerWords";
import { LineEditor } from "./LineEditor";
import { NewLine } from "./NewLine";

/** One job of the quote with its lines; a line opens to be changed. */
export function QuoteJob({ job, view, priced }: { job: Job; view: WorkOrderView; priced: PricedQuote }) {
  const colors = useColors();
  const [editing, setEditing] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(job.lines.length === 0);
  const total = priced.jobs.find(({ id }) => id === job.id)?.total ?? 0;
  const nets = new Map(priced.lines.map((line) => [line.id, line]));
  return (
    <View style={[styles.job, { borderColor: colors.ink }]} role="group" aria-label={job.title}>
      <View style={styles.row}>
        <Words strong size="lead" style={styles.grow}>
          {job.title}
        </Words>
        <Words strong size="lead" figures>
          {showMoney(total)}
        </Words>
      </View>
      <Words size="small" strong tone={standingAnswer(job, total) === "yes" ? "petrol" : "muted"}>
        {answerWords(job, total)}
      </Words>
      {job.lines.map((line) => {
        const quantity = line.kind === "labor" ? `${line.hours} h` : `${line.quantity} ×`;
        const net = nets.get(line.id)?.net ?? 0;
        return (
          <View key={line.id}>
            <Press
              label={`${quantity} ${line.description}, ${showMoney(net)}, change`}
              disabled={job.finishedAt !== null}
              aria-expanded={editing === line.id}
              onPress={() => setEditing(editing === line.id ? null : line.id)}
            >
              <View style={styles.row}>
                <Words figures tone="muted" style={styles.quantity}>
                  {quantity}
                </Words>
                <View style={styles.grow}>
                  <Words>{line.description}</Words>
                  {line.byHand ? (
                    <Words size="small" tone="muted">
                      {line.kind === "labor" ? "Hours typed by hand" : "Quantity typed by hand"}
                    </Words>
                  ) : null}
                  {line.kind === "part" && line.partNumber ? (
                    <Words size="small" tone="muted">
                      {`${line.brand ?? ""} ${line.partNumber}`.trim()}
                    </Words>
                  ) : null}
                </View>
                <Words figures>{showMoney(net)}</Words>
              </View>
            </Press>
            {editing === line.id ? (
              <LineEditor
                workOrderId={view.state.id}
                line={line}
                unitPriceCents={nets.get(line.id)?.unitPrice ?? 0}
                onDone={() => setEditing(null)}
              />
            ) : null}
          </View>
        );
      })}
      {job.finishedAt === null ? (
        <View style={styles.acts}>
          {isAdding ? null : <Button kind="quiet" label="Add a line" onPress={() => setAdding(true)} />}
          <Button
            kind="quiet"
            label={`Take off ${job.title.toLowerCase()}`}
            onPress={() => sendCommand(view.state.id, { type: "removeJob", jobId: job.id })}
          />
        </View>
      ) : null}
      {isAdding ? <NewLine view={view} jobId={job.id} onDone={() => setAdding(false)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  job: { borderTopWidth: 1.5, paddingTop: SPACE.s, gap: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "baseline" },
  quantity: { width: 58 },
  grow: { flex: 1 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
