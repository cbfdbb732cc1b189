import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { mainPlace, needsOfJobs, showMoment, showTime, visitStanding, type VisitState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import { SlotPicker } from "../booking/SlotPicker";
import { anyTime, type Slot, type SlotWish } from "../booking/slot";
import { sendVisitCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { FootAct } from "../sheet/FootAct";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { nowhere } from "./nowhere";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";
import type { Business } from "../session/useSession";

const LINE_WORDS = {
  booked: "",
  driving: "on the way",
  onSite: "on site",
  over: "over",
  cancelled: "cancelled",
} as const;

/** Every trip, and the next one. */
export const visitsSection: WorkOrderSection = {
  name: "visits",
  title: "Visits",
  acts: ["bookVisit", "setOff", "arrive"],
  line: ({ view, business, today }) => {
    const last = view.visits.filter((visit) => visitStanding(visit) !== "cancelled").at(-1);
    if (!last) return "No visit yet";
    return [showMoment(last.startsAt, business.timeZone, today), LINE_WORDS[visitStanding(last)]]
      .filter(Boolean)
      .join(", ");
  },
  Body: VisitsSection,
};

const STANDING_WORDS = {
  booked: "Booked",
  driving: "On the way",
  onSite: "On site",
  over: "Over",
  cancelled: "Cancelled",
} as const;

/** Every trip for this work order, and booking the next one. */
export function VisitsSection({ view, business }: WorkOrderSectionProps) {
  const live = view.visits.filter((visit) => visitStanding(visit) !== "cancelled");
  const [isBooking, setBooking] = useState(live.length === 0);
  const [touched, setPicked] = useState<Picked | null>(null);
  const needs = needsOfJobs(view.state.jobs, business.library);
  // Until somebody says how long, it takes as long as its jobs do.
  const picked = touched ?? nothingPicked(needs.minutes);
  const { slot } = picked;
  const place = view.visits.at(-1)?.place ?? (view.customer && mainPlace(view.customer)) ?? nowhere();
  const book = (chosen: Slot): void => {
    sendVisitCommand(uuid(), view.state.id, {
      type: "bookVisit",
      workOrderIds: [view.state.id],
      mechanicId: chosen.mechanicId,
      place,
      startsAt: chosen.startsAt,
      endsAt: chosen.endsAt,
      note: "",
      allowOverlap: false,
    });
    setPicked(null);
    setBooking(false);
  };
  return (
    <View style={styles.list}>
      {live.map((visit) => (
        <Visit key={visit.id} visit={visit} view={view} business={business} />
      ))}
      {view.messages.map((message) => (
        <Words key={message.id} size="small" tone={message.lastError ? "alarm" : "muted"}>
          {`${message.status === "sent" ? "Texted" : (message.lastError ?? "Text is on its way")}: ${message.text}`}
        </Words>
      ))}
      {isBooking ? (
        <>
          <SlotPicker
            business={business}
            {...picked}
            onChange={setPicked}
            asked={{ place, skills: needs.skills, movesVisitId: null }}
            jobMinutes={needs.minutes}
          />
          {slot ? (
            <FootAct
              label={`Book ${showMomentOf(slot, business.timeZone)}`}
              onPress={() => book(slot)}
              testID="book-visit"
            />
          ) : (
            <Notice kind="note" text="Pick one of the best, or a day and a time." />
          )}
        </>
      ) : (
        <Button label="Book another visit" onPress={() => setBooking(true)} />
      )}
    </View>
  );
}

interface Picked {
  wish: SlotWish;
  slot: Slot | null;
}

function nothingPicked(minutes: number | null): Picked {
  return { wish: anyTime(minutes), slot: null };
}

function minutesOf({ startsAt, endsAt }: VisitState): number {
  return Math.round((Date.parse(endsAt) - Date.parse(startsAt)) / 60_000);
}

function showMomentOf(slot: Slot, zone: string): string {
  return `${slot.dayName}, ${showTime(slot.startsAt, zone)}`;
}

function Visit({ visit, view, business }: { visit: VisitState; view: WorkOrderView; business: Business }) {
  const colors = useColors();
  const today = useToday();
  const now = useNow();
  const [isMoving, setMoving] = useState(false);
  const needs = needsOfJobs(view.state.jobs, business.library);
  const [picked, setPicked] = useState<Picked>(() => nothingPicked(minutesOf(visit)));
  const { slot } = picked;
  const standing = visitStanding(visit);
  const workOrderId = view.state.id;
  const mechanic = business.people.find(({ id }) => id === visit.mechanicId)?.name ?? "";
  const move = (chosen: Slot): void => {
    sendVisitCommand(visit.id, workOrderId, {
      type: "moveVisit",
      startsAt: chosen.startsAt,
      endsAt: chosen.endsAt,
      mechanicId: chosen.mechanicId,
      allowOverlap: false,
    });
    setMoving(false);
    setPicked(nothingPicked(minutesOf(visit)));
  };
  return (
    <View style={[styles.visit, { borderColor: colors.hairline }]}>
      <Words
        strong
        figures
      >{`${showMoment(visit.startsAt, business.timeZone, today)} to ${showTime(visit.endsAt, business.timeZone)}`}</Words>
      <Words tone="muted">{[mechanic, visit.place.street, visit.place.town].filter(Boolean).join(" · ")}</Words>
      {visit.note ? <Words>{visit.note}</Words> : null}
      <Words size="small" strong tone={standing === "driving" || standing === "onSite" ? "petrol" : "muted"}>
        {standing === "booked" && visit.endsAt < now ? "Booked, and its time has passed" : STANDING_WORDS[standing]}
      </Words>
      <View style={styles.acts}>
        {standing === "booked" ? (
          <Button
            kind="quiet"
            label="I'm there already"
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "arrive" })}
          />
        ) : null}
        {standing === "onSite" ? (
          <Button
            kind="quiet"
            label="I've left"
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "leave" })}
          />
        ) : null}
        {standing === "booked" ? (
          <Button kind="quiet" label={isMoving ? "Leave it" : "Move"} onPress={() => setMoving(!isMoving)} />
        ) : null}
        {standing === "booked" ? (
          <Button
            kind="quiet"
            label="Cancel visit"
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "cancelVisit" })}
          />
        ) : null}
      </View>
      {isMoving ? (
        <>
          <SlotPicker
            business={business}
            {...picked}
            onChange={setPicked}
            asked={{ place: visit.place, skills: needs.skills, movesVisitId: visit.id }}
            jobMinutes={minutesOf(visit)}
          />
          {slot ? (
            <Button label={`Move to ${showMomentOf(slot, business.timeZone)}`} onPress={() => move(slot)} />
          ) : (
            <Notice kind="note" text="Pick a day and a time; until then the visit stays where it is." />
          )}
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  visit: { borderLeftWidth: 3, paddingLeft: SPACE.m },
  acts: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
});
