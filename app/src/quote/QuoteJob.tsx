import { useState } from "react";
import { StyleSheet, View } from "react-native";
import {
  creditWords,
  creditsOf,
  marginStanding,
  marginsOf,
  payerName,
  priceFromTo,
  showMoney,
  standingAnswer,
  type Job,
  type Margin,
  type PricedQuote,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { JobFitting } from "../jobLibrary/JobFitting";
import { KeepJob } from "../jobLibrary/KeepJob";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { answerWords } from "../work/answerWords";
import { discountWords } from "./discountWords";
import { DragLine, DropEnd } from "./DragLines";
import { endOf } from "./dropAct";
import { JobActs } from "./JobActs";
import { LedTo } from "./LedTo";
import { LineLeadsTo } from "./LineLeadsTo";
import { MarginBar } from "./MarginBar";
import { NewLine } from "./NewLine";
import { QuoteLineRow } from "./QuoteLineRow";
import { WaysBeside } from "./WaysBeside";

/** One job of the quote with its lines; a line opens to be changed, and so does the job. */
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
  const { state } = view;
  const mayKeep = useRight("settings");
  const seesCost = useRight("seeCost");
  const [editing, setEditing] = useState<string | null>(null);
  const [isOpen, setOpen] = useState(false);
  const [isAdding, setAdding] = useState(job.lines.length === 0);
  const total = priced.jobs.find(({ id }) => id === job.id)?.total ?? 0;
  const credit = creditsOf(state).get(job.id);
  const nets = new Map(priced.lines.map((line) => [line.id, line]));
  const { lines: margins, jobs: jobMargins } = marginsOf(state);
  const target = state.rules.targetMarginPercent;
  const margin = jobMargins.get(job.id);
  const fromCents = priceFromTo(state).jobs.get(job.id) ?? total;
  const price = fromCents < total ? `${showMoney(fromCents)} to ${showMoney(total)}` : showMoney(total);
  /** Of a line only what is below the target is said. */
  const toldMargin = (lineId: string): Margin | null => {
    const own = seesCost ? margins.get(lineId) : undefined;
    const standing = own ? marginStanding(own, target) : null;
    return own && (standing === "below" || standing === "loss") ? own : null;
  };
  return (
    <View style={[styles.job, { borderColor: colors.ink }]} role="group" aria-label={job.title}>
      <Press
        label={`${job.title}, ${price}, how it comes about and what stands about it`}
        aria-expanded={isOpen}
        onPress={() => setOpen(!isOpen)}
      >
        <View style={styles.row}>
          <Words strong size="lead" style={styles.grow}>
            {job.title}
          </Words>
          <Words strong size="lead" figures>
            {price}
          </Words>
        </View>
      </Press>
      <Words size="small" strong tone={standingAnswer(state, job) === "yes" ? "petrol" : "muted"}>
        {answerWords(state, job)}
      </Words>
      {saidOf(job, view, credit?.cents ?? null).map((words) => (
        <Words key={words} size="small" tone="muted" figures>
          {words}
        </Words>
      ))}
      {seesCost && margin && job.lines.length > 0 ? (
        <MarginBar label={`Left of ${job.title}`} margin={margin} targetPercent={target} />
      ) : null}
      {isOpen ? <JobActs job={job} state={state} /> : null}
      {job.lines.map((line) => (
        <DragLine key={line.id} id={line.id} isFixed={job.finishedAt !== null}>
          <QuoteLineRow
            workOrderId={state.id}
            line={line}
            job={job}
            quote={state}
            netCents={nets.get(line.id)?.net ?? 0}
            unitPriceCents={nets.get(line.id)?.unitPrice ?? 0}
            margin={toldMargin(line.id)}
            isFixed={job.finishedAt !== null}
            isEditing={editing === line.id}
            onEdit={setEditing}
            more={editing === line.id ? <LineLeadsTo line={line} job={job} view={view} business={business} /> : null}
          />
        </DragLine>
      ))}
      <DropEnd id={endOf(job.id)} />
      {job.lines.length === 0 ? (
        <Words tone="muted">Nothing in it yet: it costs nothing, and the customer is not asked for it.</Words>
      ) : null}
      <LedTo diagnosis={job} view={view} />
      <WaysBeside job={job} state={state} />
      <JobFitting job={job} view={view} business={business} />
      {job.finishedAt === null ? (
        <View style={styles.acts}>
          {isAdding ? null : <Button kind="quiet" label="Add a line" onPress={() => setAdding(true)} />}
          <Button
            kind="quiet"
            label={`Take off ${job.title.toLowerCase()}`}
            onPress={() => sendCommand(state.id, { type: "removeJob", jobId: job.id })}
          />
        </View>
      ) : null}
      {mayKeep && job.lines.length > 0 ? (
        <KeepJob
          workOrderId={state.id}
          jobId={job.id}
          initial={{
            title: job.title,
            area: business.library.find(({ id }) => id === job.libraryJobId)?.area ?? "Service",
          }}
        />
      ) : null}
      {isAdding ? <NewLine view={view} business={business} job={job} onDone={() => setAdding(false)} /> : null}
    </View>
  );
}

/** What stands about a job as a whole. */
function saidOf(job: Job, { state }: WorkOrderView, creditCents: number | null): string[] {
  return [
    ...(creditCents === null ? [] : [creditWords("en", creditCents)]),
    ...(job.setPrice ? ["One price for all of it"] : []),
    ...(job.off ? [discountWords(job.off)] : []),
    ...(job.payerId ? [`${payerName(state, job.payerId)} pays`] : []),
    ...(job.libraryJobId !== null && job.feesLeftOut?.length ? ["A fee of the owner’s was taken off"] : []),
  ];
}

const styles = StyleSheet.create({
  job: { borderTopWidth: 1.5, paddingTop: SPACE.s, gap: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "baseline" },
  grow: { flex: 1 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
