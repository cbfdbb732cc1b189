import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { useRouter } from "expo-router";
import { CUSTOMER_PAYER, priceWorkOrder, quoteTotalCents, showMoney } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useRight, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Press } from "../ui/Press";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { JobLibrary } from "./JobLibrary";
import { QuoteJob } from "./QuoteJob";
import { quoteSums } from "./quoteSums";

/** The priced jobs; margin only for those who may see it. */
export function QuotePart({ view, business }: { view: WorkOrderView; business: Business }) {
  const router = useRouter();
  const { state } = view;
  const seesCost = useRight("seeCost");
  const [isPicking, setPicking] = useState(state.jobs.length === 0);
  const [isExplained, setExplained] = useState(false);
  const priced = priceWorkOrder(state, "all");
  const payer = priced.payers.find(({ id }) => id === CUSTOMER_PAYER);
  const total = quoteTotalCents(state);
  return (
    <View style={styles.list}>
      {state.jobs.map((job) => (
        <QuoteJob key={job.id} job={job} view={view} priced={priced} />
      ))}
      {isPicking ? (
        <JobLibrary view={view} business={business} onDone={() => setPicking(false)} />
      ) : (
        <Button label="Add a job" onPress={() => setPicking(true)} />
      )}
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

const styles = StyleSheet.create({ list: { gap: SPACE.l }, sums: { gap: SPACE.s } });
