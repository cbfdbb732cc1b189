import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { useRouter } from "expo-router";
import { countOf, priceFromTo, priceWorkOrder, quoteTotalCents, showMoney, type WorkOrderState } from "@mechanon/core";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { AskPart } from "../answer/AskPart";
import { JobLibrary } from "../jobLibrary/JobLibrary";
import { KeepJob } from "../jobLibrary/KeepJob";
import { wholeOrderTitle } from "../jobLibrary/wholeOrderTitle";
import type { WorkOrderSection, WorkOrderSectionProps } from "../work/workOrderSection";
import { DragLines } from "./DragLines";
import { dropAct } from "./dropAct";
import { OtherQuotes } from "./OtherQuotes";
import { PartsFrom } from "./PartsFrom";
import { QuoteDiscounts } from "./QuoteDiscounts";
import { QuoteJob } from "./QuoteJob";
import { QuoteMargin } from "./QuoteMargin";
import { QuoteRules } from "./QuoteRules";
import { QuoteTotals } from "./QuoteTotals";
import { TakenOffLine } from "./TakenOffLine";

/** What is proposed, and what it costs. */
export const quoteSection: WorkOrderSection = {
  name: "quote",
  title: "Quote",
  acts: ["addJob", "showQuote"],
  line: ({ view: { state } }) =>
    state.jobs.length === 0 ? "No job yet" : `${countOf(state.jobs.length, "job")}, ${totalWords(state)}`,
  Body: QuoteSection,
};

/** What the quote comes to; from so much while not all of the car is known. */
function totalWords(state: WorkOrderState): string {
  const { isOpen, totalCents } = priceFromTo(state);
  const to = showMoney(quoteTotalCents(state));
  return isOpen ? `${showMoney(totalCents)} to ${to}` : to;
}

/** The priced jobs; margin only for those who may see it. */
export function QuoteSection({ view, business, isUnsent }: WorkOrderSectionProps) {
  const router = useRouter();
  const isWide = useIsWide();
  const { state } = view;
  const seesCost = useRight("seeCost");
  const mayKeep = useRight("settings");
  const [isPicking, setPicking] = useState(state.jobs.length === 0);
  const priced = priceWorkOrder(state, "all");
  return (
    <View style={styles.list}>
      {isWide && state.jobs.length > 0 ? (
        <Button label="Edit as a table" onPress={() => router.navigate(`/work/${state.id}/quote`)} />
      ) : null}
      <DragLines
        onDrop={(lineId, on) => {
          const act = dropAct(state.jobs, lineId, on);
          if (act) sendCommand(state.id, act.command);
        }}
      >
        {state.jobs.map((job) => (
          <QuoteJob key={job.id} job={job} view={view} business={business} priced={priced} />
        ))}
      </DragLines>
      <TakenOffLine state={state} />
      <PartsFrom view={view} business={business} isUnsent={isUnsent} />
      {isPicking ? (
        <JobLibrary view={view} business={business} onDone={() => setPicking(false)} />
      ) : (
        <Button label="Add a job" onPress={() => setPicking(true)} />
      )}
      {mayKeep && state.jobs.length > 1 ? (
        <KeepJob
          workOrderId={state.id}
          jobId={null}
          initial={{ title: wholeOrderTitle(state.jobs), area: "Whole orders" }}
        />
      ) : null}
      {state.jobs.length > 0 ? (
        <View style={styles.sums}>
          <QuoteDiscounts state={state} business={business} foundUsBy={view.customer?.foundUsBy ?? null} />
          <QuoteTotals state={state} />
          {seesCost ? <QuoteMargin view={view} business={business} /> : null}
          <QuoteRules view={view} business={business} />
          <OtherQuotes view={view} business={business} />
          <AskPart view={view} business={business} />
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.l }, sums: { gap: SPACE.s } });
