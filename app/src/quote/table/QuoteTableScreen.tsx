import { useRouter } from "expo-router";
import { useState } from "react";
import { ScrollView, StyleSheet, View } from "react-native";
import {
  KIND_TITLES,
  jobTotals,
  quoteTotalCents,
  type WorkOrderState,
  showCustomer,
  showMoney,
  showVehicle,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useBusiness, useRight, type Business } from "../../session/useSession";
import { SheetWaits } from "../../sheet/SheetWaits";
import { Refusals } from "../../sync/Refusals";
import { SyncLine } from "../../sync/SyncLine";
import { useUnsent } from "../../sync/useUnsent";
import { useWorkOrder } from "../../sync/useWorkOrder";
import { Button } from "../../ui/Button";
import { useColors } from "../../ui/face";
import { Heading } from "../../ui/Heading";
import { Row } from "../../ui/Row";
import { Screen } from "../../ui/Screen";
import { SPACE } from "../../ui/theme";
import { useIsWide } from "../../ui/useIsWide";
import { Words } from "../../ui/Words";
import { QuoteDiscounts } from "../QuoteDiscounts";
import { QuoteMargin } from "../QuoteMargin";
import { QuoteSection } from "../QuoteSection";
import { QuoteTotals } from "../QuoteTotals";
import { useTaxLaw } from "../useTaxLaw";
import { kindSums } from "./kindSums";
import { drafted } from "./drafted";
import { QuoteTable } from "./QuoteTable";
import { RowWhy } from "./RowWhy";
import { rowsOf } from "./rows";
import type { CellFocus } from "./useCells";

/** The quote by itself: a table for the keyboard where there is room, its jobs below each other on a phone. */
export function QuoteTableScreen({ id }: { id: string }) {
  const router = useRouter();
  const business = useBusiness();
  const { view, asOf, error, refetch } = useWorkOrder(id);
  if (view && business) return <Quote view={view} business={business} asOf={asOf} />;
  return (
    <SheetWaits title="Quote" error={error} onRetry={refetch}>
      <Button kind="quiet" label="To the work order" onPress={() => router.navigate(`/work/${id}`)} />
    </SheetWaits>
  );
}

interface QuoteProps {
  view: WorkOrderView;
  business: Business;
  asOf: string | null;
}

function Quote({ view, business, asOf }: QuoteProps) {
  const router = useRouter();
  const isWide = useIsWide();
  const { state } = view;
  useTaxLaw(view, business);
  const isUnsent = useUnsent(state.id);
  const rows = rowsOf(state.jobs);
  const [focus, setFocus] = useState<CellFocus>({ rowKey: rows[0]?.key ?? "", column: "what", typed: null });
  const row = rows.find(({ key }) => key === focus.rowKey);
  const shown = drafted(state, row, focus.column, focus.typed);
  const title = `Quote, ${showCustomer(view.customer)}`;
  const foot = (
    <>
      {state.jobs.length > 0 ? (
        <Button
          kind="next"
          label={`Show quote, ${showMoney(quoteTotalCents(shown))}`}
          onPress={() => router.navigate(`/show/${state.id}`)}
        />
      ) : null}
      <SyncLine asOf={asOf} />
    </>
  );
  const toSheet = (
    <Button kind="quiet" label="To the work order" onPress={() => router.navigate(`/work/${state.id}`)} />
  );
  if (!isWide)
    return (
      <Screen title={title} foot={foot}>
        <Heading level={1}>{title}</Heading>
        {toSheet}
        <Refusals of={state.id} />
        <QuoteSection view={view} business={business} isUnsent={isUnsent} />
      </Screen>
    );
  return (
    <View style={styles.columns}>
      <Left state={shown} />
      <Screen title={title} foot={foot}>
        <View style={styles.head}>
          <Heading level={1}>{`${showCustomer(view.customer)} · ${showVehicle(view.vehicle)}`}</Heading>
          {toSheet}
        </View>
        <Refusals of={state.id} />
        <QuoteTable view={view} business={business} rows={rows} shown={shown} focus={focus} onFocus={setFocus} />
        <Words size="small" tone="muted">
          Arrows go about · type to change · enter takes it · esc leaves it · delete takes a row off · ctrl z takes back
          · ctrl d copies · alt ↑↓ moves
        </Words>
      </Screen>
      <Right view={{ ...view, state: shown }} business={business}>
        {row ? <RowWhy row={row} quote={shown} /> : null}
        <QuoteDiscounts state={state} business={business} foundUsBy={view.customer?.foundUsBy ?? null} />
        {state.jobs.length > 0 ? <QuoteTotals state={shown} /> : null}
      </Right>
    </View>
  );
}

/** Why the customer called, with what of it is answered; the jobs with their sums. */
function Left({ state }: { state: WorkOrderState }) {
  const colors = useColors();
  const { concerns, jobs } = state;
  const totals = jobTotals(state);
  const kinds = kindSums(state);
  return (
    <ScrollView
      style={[styles.side, styles.left, { borderColor: colors.hairline }]}
      role="complementary"
      aria-label="Concerns"
    >
      <View style={styles.panel}>
        <Heading level={2}>Concerns</Heading>
        {concerns.length === 0 ? <Words tone="muted">None was written down.</Words> : null}
        {concerns.map((concern) => {
          const by = jobs.filter(({ concernId }) => concernId === concern.id);
          const isOpen = by.length === 0 && !concern.answer;
          return (
            <View key={concern.id}>
              <Words>{concern.text}</Words>
              <Words size="small" strong={isOpen} tone={isOpen ? "alarm" : "muted"}>
                {isOpen
                  ? "○ Nothing answers it yet"
                  : by.length > 0
                    ? `Answered by ${by.map(({ title }) => title).join(", ")}`
                    : "Answered"}
              </Words>
            </View>
          );
        })}
        {jobs.length > 0 ? <Heading level={2}>Jobs</Heading> : null}
        {jobs.map(({ id, title }) => (
          <Row key={id} left={title} right={showMoney(totals.get(id) ?? 0)} />
        ))}
        {kinds.map(({ kind, cents }) => (
          <Row key={kind} tone="muted" left={KIND_TITLES[kind]} right={showMoney(cents)} />
        ))}
      </View>
    </ScrollView>
  );
}

function Right({ view, business, children }: { view: WorkOrderView; business: Business; children: React.ReactNode }) {
  const colors = useColors();
  const seesCost = useRight("seeCost");
  return (
    <ScrollView
      style={[styles.side, styles.right, { borderColor: colors.hairline }]}
      role="complementary"
      aria-label="How it comes about"
    >
      <View style={styles.panel}>
        {children}
        {seesCost && view.state.jobs.length > 0 ? (
          <>
            <Heading level={2}>Margin</Heading>
            <QuoteMargin view={view} business={business} />
          </>
        ) : null}
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: "row" },
  head: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between", alignItems: "baseline" },
  side: { flexGrow: 0 },
  left: { width: 210, maxWidth: 210, borderRightWidth: 1 },
  right: { width: 300, maxWidth: 300, borderLeftWidth: 1 },
  panel: { padding: SPACE.l, gap: SPACE.s },
});
