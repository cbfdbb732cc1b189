import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { creditWords, creditsOf, showMoney, standingAnswer, type Job, type PricedQuote } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { JobFitting } from "../jobLibrary/JobFitting";
import { KeepJob } from "../jobLibrary/KeepJob";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { answerWords } from "./answerWords";
import { LedTo } from "./LedTo";
import { LineLeadsTo } from "./LineLeadsTo";
import { QuoteLineRow } from "./QuoteLineRow";
import { NewLine } from "./NewLine";

/** One job of the quote with its lines; a line opens to be changed. */
export function QuoteJob({
  job,
  view,
  business,
  priced,
}: {
  job: Job;
  view: WorkOrderView;
  business: Business;
  priced: PricedQuote;
}) {
  const colors = useColors();
  const mayKeep = useRight("settings");
  const [editing, setEditing] = useState<string | null>(null);
  const [isAdding, setAdding] = useState(job.lines.length === 0);
  const total = priced.jobs.find(({ id }) => id === job.id)?.total ?? 0;
  const credit = creditsOf(view.state).get(job.id);
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
      {credit ? (
        <Words size="small" tone="muted" figures>
          {creditWords("en", credit.cents)}
        </Words>
      ) : null}
      {job.lines.map((line) => (
        <QuoteLineRow
          key={line.id}
          workOrderId={view.state.id}
          line={line}
          rules={view.state.rules}
          netCents={nets.get(line.id)?.net ?? 0}
          unitPriceCents={nets.get(line.id)?.unitPrice ?? 0}
          isFixed={job.finishedAt !== null}
          isEditing={editing === line.id}
          onEdit={setEditing}
          more={editing === line.id ? <LineLeadsTo line={line} job={job} view={view} business={business} /> : null}
        />
      ))}
      <LedTo diagnosis={job} view={view} />
      <JobFitting job={job} view={view} business={business} />
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
      {mayKeep && job.lines.length > 0 ? (
        <KeepJob
          workOrderId={view.state.id}
          jobId={job.id}
          initial={{
            title: job.title,
            area: business.library.find(({ id }) => id === job.libraryJobId)?.area ?? "Service",
          }}
        />
      ) : null}
      {isAdding ? <NewLine view={view} jobId={job.id} onDone={() => setAdding(false)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  job: { borderTopWidth: 1.5, paddingTop: SPACE.s, gap: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "baseline" },
  grow: { flex: 1 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
