import { useRouter } from "expo-router";
import { ArrowLeft } from "../ui/icons";
import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { ScrollView, StyleSheet, View } from "react-native";
import {
  approvedJobs,
  conflictWords,
  nextAct,
  nextActLabel,
  showVehicle,
  type NextAct,
  showCustomer,
} from "@mechanon/core";
import { errorWords } from "../api/problem";
import { useNow, useToday } from "../day/useDay";
import { useBusiness } from "../session/useSession";
import { SyncLine, Refusals } from "../sync/SyncLine";
import { sendCommand, sendVisitCommand, useSync } from "../sync/store";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Fold } from "../ui/Fold";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { CarFacts } from "../cars/CarFacts";
import { beingOrdered } from "./beingOrdered";
import { CheckPart } from "./CheckPart";
import { Concerns } from "./Concerns";
import { Context } from "./Context";
import { sheetLines } from "./lines";
import { MoneyPart } from "./MoneyPart";
import { partOf, SHEET_PARTS, type SheetPart } from "./parts";
import { PartsPart } from "./PartsPart";
import { QuotePart } from "./QuotePart";
import { SwapPart } from "./SwapPart";
import { VisitsPart } from "./VisitsPart";
import { WorkPart } from "./WorkPart";
import { driveMinutesTo } from "./driveTo";

const TITLES: Record<SheetPart, string> = {
  visits: "Visits",
  check: "Check",
  quote: "Quote",
  parts: "Parts",
  work: "Work",
  money: "Money",
};

/** One work order as one sheet in the order of work; the next act at the foot. */
export function WorkSheet({ id }: { id: string }) {
  const router = useRouter();
  const colors = useColors();
  const isWide = useIsWide();
  const now = useNow();
  const today = useToday();
  const business = useBusiness();
  const { view, error, refetch } = useWorkOrder(id);
  const unsent = useSync((state) => state.pending.some(({ by }) => by === state.personId));
  const [toggled, setToggled] = useState<Partial<Record<SheetPart, boolean>>>({});
  const points = business?.settings.inspection ?? [];
  const next: NextAct = view ? nextAct(view.state, view.visits, points, now, beingOrdered(view)) : { act: "nothing" };
  const due = partOf(next);

  const open = (part: SheetPart): void => setToggled((before) => ({ ...before, [part]: true }));
  const act = (): void => {
    if (!view) return;
    switch (next.act) {
      case "setOff":
        return sendVisitCommand(next.visitId, id, {
          type: "setOff",
          driveMinutes: driveMinutesTo(view, next.visitId, business),
        });
      case "arrive":
        return sendVisitCommand(next.visitId, id, { type: "arrive" });
      case "showQuote":
        return router.navigate(`/show/${id}`);
      case "finishJobs":
        return sendCommand(id, {
          type: "finishJobs",
          jobIds: approvedJobs(view.state)
            .filter(({ finishedAt }) => finishedAt === null)
            .map((job) => job.id),
        });
      case "sendReceipt":
        return router.navigate(`/work/${id}/receipt`);
      case "bookVisit":
      case "inspect":
      case "addJob":
      case "orderParts":
      case "receiveParts":
      case "takePayment":
        return due ? open(due) : undefined;
      case "nothing":
        return undefined;
    }
  };
  useHotkeys("a", act, [next, view]);
  useHotkeys("j", () => open("quote"));
  useHotkeys("b", () => open("visits"));

  if (!view || !business) {
    return (
      <Screen title="Work order">
        {error ? (
          <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} />
        ) : (
          <Waiting label="Loading the work order" />
        )}
        <Button kind="quiet" label="To the day" onPress={() => router.navigate("/")} />
      </Screen>
    );
  }
  const lines = sheetLines(view, points, business.timeZone, today);
  const label = nextActLabel(next);
  // These acts happen inside the open part, which has a button of its own for each.
  const isInPart =
    next.act === "orderParts" ||
    next.act === "receiveParts" ||
    next.act === "takePayment" ||
    next.act === "bookVisit" ||
    next.act === "inspect" ||
    next.act === "addJob";
  const isOpen = (part: SheetPart): boolean => toggled[part] ?? part === due;
  const contents: Record<SheetPart, () => React.ReactNode> = {
    visits: () => <VisitsPart view={view} business={business} />,
    check: () => <CheckPart view={view} business={business} />,
    quote: () => <QuotePart view={view} business={business} />,
    parts: () => <PartsPart view={view} isUnsent={unsent} />,
    work: () => <WorkPart view={view} business={business} />,
    money: () => <MoneyPart view={view} business={business} isUnsent={unsent} />,
  };
  const swap = <SwapPart view={view} isUnsent={unsent} />;
  const foot = (
    <>
      {label && !(isInPart && due && isOpen(due)) ? (
        <Button kind="next" label={label} onPress={act} testID="next-act" />
      ) : null}
      <SyncLine />
    </>
  );
  return (
    <View style={styles.columns}>
      <Screen title={`${view.number} ${showCustomer(view.customer)}`} foot={foot}>
        <View style={styles.head}>
          {isWide ? null : (
            <Press role="link" label="Back to the day" onPress={() => router.navigate("/")} style={styles.back}>
              <ArrowLeft size={26} color={colors.petrol} />
            </Press>
          )}
          <View style={styles.who}>
            <Heading level={1}>{showCustomer(view.customer)}</Heading>
            <Words>{showVehicle(view.vehicle)}</Words>
            <Words tone="muted" figures>
              {[`Work order ${view.number}`, view.customer?.knownFrom].filter(Boolean).join(" · ")}
            </Words>
            {isWide || !view.vehicle ? null : <CarFacts car={view.vehicle} />}
          </View>
        </View>
        <Refusals workOrderId={id} />
        {view.state.conflicts
          .filter(({ settledAt }) => settledAt === null)
          .map((mark) => (
            <Notice
              key={mark.id}
              text={conflictWords(mark)}
              action={{
                label: "Settled",
                onPress: () => sendCommand(id, { type: "settleConflict", conflictId: mark.id }),
              }}
            />
          ))}
        {isWide ? null : <Context view={view} isUnsent={unsent} isWide={false} />}
        {isWide || (view.vehicle && view.customer) ? null : swap}
        <Concerns view={view} business={business} />
        <View>
          {SHEET_PARTS.map((part) => (
            <Fold
              key={part}
              title={TITLES[part]}
              line={lines[part]}
              open={isOpen(part)}
              onToggle={() => setToggled((before) => ({ ...before, [part]: !isOpen(part) }))}
              testID={`part-${part}`}
            >
              {contents[part]()}
            </Fold>
          ))}
        </View>
        {/* Where nothing is missing, seldom needed: below what is. */}
        {isWide || !view.vehicle || !view.customer ? null : swap}
      </Screen>
      {isWide ? (
        <ScrollView
          style={[styles.right, { borderColor: colors.hairline }]}
          role="complementary"
          aria-label="About this work order"
        >
          <Context view={view} isUnsent={unsent} isWide />
        </ScrollView>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: "row" },
  head: { flexDirection: "row", gap: SPACE.s },
  back: { alignItems: "center" },
  who: { flex: 1 },
  right: { width: 300, maxWidth: 300, borderLeftWidth: 1 },
});
