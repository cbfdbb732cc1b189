import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { useRouter } from "expo-router";
import { CUSTOMER_PAYER, countOf, earnedByPerson, priceWorkOrder, quoteTotalCents, showMoney } from "@mechanon/core";
import { useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { Press } from "../ui/Press";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { JobLibrary } from "../jobLibrary/JobLibrary";
import { KeepJob } from "../jobLibrary/KeepJob";
import { wholeOrderTitle } from "../jobLibrary/wholeOrderTitle";
import { QuoteJob } from "./QuoteJob";
import { quoteSums } from "./quoteSums";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";

/** What is proposed, and what it costs. */
export const quoteSection: WorkOrderSection = {
  name: "quote",
  title: "Quote",
  acts: ["addJob", "showQuote"],
  line: ({ view: { state } }) =>
    state.jobs.length === 0
      ? "No job yet"
      : `${countOf(state.jobs.length, "job")}, ${showMoney(quoteTotalCents(state))}`,
  Body: QuoteSection,
};

/** The priced jobs; margin only for those who may see it. */
export function QuoteSection({ view, business }: WorkOrderSectionProps) {
  const router = useRouter();
  const { state } = view;
  const seesCost = useRight("seeCost");
  const mayKeep = useRight("settings");
  const [isPicking, setPicking] = useState(state.jobs.length === 0);
  const [isExplained, setExplained] = useState(false);
  const priced = priceWorkOrder(state, "all");
  const payer = priced.payers.find(({ id }) => id === CUSTOMER_PAYER);
  const total = quoteTotalCents(state);
  return (
    <View style={styles.list}>
      {state.jobs.map((job) => (
        <QuoteJob key={job.id} job={job} view={view} business={business} priced={priced} />
      ))}
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
      {state.jobs.length > 0 && payer ? (
        <View style={styles.sums}>
          <Press
            label={`Quote total ${showMoney(total)}, how it adds up`}
            aria-expanded={isExplained}
            onPress={() => setExplained(!isExplained)}
          >
            <Row
              strong
              rule
              left={isExplained ? "Total, adds up from" : "Total (touch to see how)"}
              right={showMoney(total)}
            />
          </Press>
          {isExplained
            ? quoteSums(state).map(({ label, cents }) => (
                <Row key={label} tone="muted" left={label} right={showMoney(cents)} />
              ))
            : null}
          {seesCost
            ? earnedByPerson(priced, state).map(({ personId, hours, cents }) => (
                <Row
                  key={personId}
                  tone="muted"
                  left={`${nameOf(business, personId)}, credited ${hours} h`}
                  right={showMoney(cents)}
                />
              ))
            : null}
          {seesCost ? (
            <Words tone="muted" figures>
              {`Margin ${priced.profit.marginPercent ?? "–"} %, ${showMoney(priced.profit.gross)} of ${showMoney(priced.profit.revenue)}`}
            </Words>
          ) : null}
          <Button label="Turn to the customer" onPress={() => router.navigate(`/show/${state.id}`)} />
        </View>
      ) : null}
    </View>
  );
}

function nameOf({ people }: WorkOrderSectionProps["business"], personId: string): string {
  return people.find(({ id }) => id === personId)?.name ?? "Somebody who left";
}

const styles = StyleSheet.create({ list: { gap: SPACE.l }, sums: { gap: SPACE.s } });
