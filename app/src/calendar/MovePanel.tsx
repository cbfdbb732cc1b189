import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { dayOf, showMoment, showTime, visitStanding, type MoveTo } from "@mechanon/core";
import type { BusinessView, DayVisit } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { sendVisitCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { useCalendar } from "./calendarStore";
import { moveBreakWords } from "./moveBreakWords";
import { moveTo, undoMove } from "./moveActs";
import { useMoveCheck } from "./useMoveCheck";
import { visitName } from "./visitName";

interface MovePanelProps {
  business: BusinessView;
  /** The picked visit. */
  stop: DayVisit | undefined;
  stops: readonly DayVisit[];
}

/** The picked visit: where it would go and what that breaks, and the one taking back of the last move. */
export function MovePanel({ business, stop, stops }: MovePanelProps) {
  const today = useToday();
  const isWide = useIsWide();
  const { proposed, done, view } = useCalendar();
  const { timeZone: zone } = business;
  if (stop)
    return (
      <View style={styles.list}>
        <Heading level={2}>{visitName(stop)}</Heading>
        <Words figures>
          {`${showMoment(stop.visit.startsAt, zone, today)} to ${showTime(stop.visit.endsAt, zone)}, ${stop.mechanicName.split(" ")[0] ?? ""}`}
        </Words>
        {proposed ? (
          <Proposed {...{ business, stop, stops, to: proposed }} />
        ) : (
          <Picked business={business} stop={stop} />
        )}
      </View>
    );
  return (
    <View style={styles.list} role="status">
      {done ? (
        <>
          <Words>{`${done.name}: moved to ${showMoment(done.to.startsAt, zone, today)}.`}</Words>
          <Button label="Undo" onPress={() => undoMove(done)} testID="undo-move" />
        </>
      ) : (
        <Words tone="muted">
          {isWide
            ? view === "list"
              ? "Press a visit to move it with alt and the arrows; ? lists the keys."
              : "Drag a visit to move it, or press one and use the keys; ? lists them."
            : view === "day"
              ? "Tap a visit, then the time it should move to."
              : "Tap a visit to move it, lock it or open its sheet."}
        </Words>
      )}
    </View>
  );
}

function Picked({ business, stop }: { business: BusinessView; stop: DayVisit }) {
  const router = useRouter();
  const isWide = useIsWide();
  const { view, change } = useCalendar();
  const { visit, workOrders } = stop;
  const workOrderId = workOrders[0]?.id ?? "";
  const isBooked = visitStanding(visit) === "booked";
  const how = visit.isLocked
    ? "It is locked to its time."
    : isWide
      ? "Drag it, or alt with the arrows."
      : view === "day"
        ? "Tap the time it should move to."
        : "It is moved on its day.";
  return (
    <>
      {isBooked ? <Words tone="muted">{how}</Words> : null}
      <View style={styles.acts}>
        {isBooked && !visit.isLocked && !isWide && view !== "day" ? (
          <Button
            label="Show its day"
            onPress={() => change({ view: "day", date: dayOf(visit.startsAt, business.timeZone) })}
          />
        ) : null}
        <Button label="Open the sheet" onPress={() => router.navigate(`/work/${workOrderId}`)} />
        {isBooked ? (
          <Button
            kind="quiet"
            label={visit.isLocked ? "Unlock" : "Lock to its time"}
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "lockVisit", isLocked: !visit.isLocked })}
          />
        ) : null}
      </View>
    </>
  );
}

function Proposed({ business, stop, stops, to }: MovePanelProps & { stop: DayVisit; to: MoveTo }) {
  const today = useToday();
  const { propose, select } = useCalendar();
  const { timeZone: zone, people } = business;
  const { breaks, isAnswered, isOffline } = useMoveCheck(stop, to, stops, business);
  const nameOf = (visitId: string): string => {
    const other = stops.find(({ visit }) => visit.id === visitId);
    return visitId === stop.visit.id
      ? "It"
      : other
        ? (other.workOrders[0]?.customerName ?? "another visit")
        : "another visit";
  };
  const who = people.find(({ id }) => id === to.mechanicId)?.name.split(" ")[0] ?? "";
  const isRefused = breaks.some(({ what }) => what === "locked");
  const isAnyway = breaks.some(({ what }) => what === "overlap");
  const when = `${showMoment(to.startsAt, zone, today)}, ${who}`;
  return (
    <>
      {isOffline ? (
        <Words size="small" tone="muted">
          Without a signal: told from what is on this device.
        </Words>
      ) : null}
      {breaks.length > 0 ? (
        <Notice text={breaks.map((broken) => moveBreakWords(broken, zone, nameOf)).join(" ")} />
      ) : null}
      <View style={styles.foot} />
      <Button
        kind="next"
        label={`${breaks.length > 0 ? "Move all the same to" : "Move to"} ${when}`}
        busy={!isAnswered}
        disabled={isRefused}
        testID="move-here"
        onPress={() => {
          moveTo(stop, to, isAnyway);
          select(null);
        }}
      />
      <Button kind="quiet" label="Leave it where it is" onPress={() => propose(stop.visit.id, null)} />
    </>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s, flexGrow: 1 },
  foot: { flexGrow: 1 },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
