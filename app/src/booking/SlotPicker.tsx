import { useEffect, useRef } from "react";
import { StyleSheet, View } from "react-native";
import { addDays, dayOf, instantAt, showDay, showTime } from "@mechanon/core";
import { useDay, useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import { useMe, type Business } from "../session/useSession";
import { Choices } from "../ui/Choices";
import { Notice } from "../ui/Notice";
import { scrollIntoView } from "../ui/scrollIntoView";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BestTimes, type VisitAsked } from "./BestTimes";
import { freeStarts } from "./freeSlots";
import type { PartOfDay, Slot, SlotWish } from "./slot";
import { useHolding } from "./useHolding";

const DAYS_SHOWN = 6;
const NO_DAY = "none";
const PARTS: readonly { value: PartOfDay; label: string }[] = [
  { value: "any", label: "Any time" },
  { value: "morning", label: "Morning" },
  { value: "afternoon", label: "Afternoon" },
  { value: "evening", label: "Evening" },
];
const EVENING_STARTS = [18 * 60, 19 * 60, 20 * 60];

export interface SlotPickerProps {
  business: Business;
  wish: SlotWish;
  slot: Slot | null;
  /** A time belongs to its day, length and mechanic: with another of those it is to be picked anew. */
  onChange: (picked: { wish: SlotWish; slot: Slot | null }) => void;
  /** What is missing, told at the times. */
  fault?: string;
  /** What is known of the visit; the best times are looked for with it. */
  asked: VisitAsked;
  /** How long its jobs take; null: none tells. */
  jobMinutes: number | null;
  /** The words for no visit, where that is one of the choices. */
  noVisit?: string;
}

/** Day, the times at which a van is free on it, who, and how long. */
export function SlotPicker({ business, wish, slot, onChange, asked, jobMinutes, fault, noVisit }: SlotPickerProps) {
  const today = useToday();
  const now = useNow();
  const times = useRef<View>(null);
  const day = wish.day ?? (slot ? dayOf(slot.startsAt, business.timeZone) : null);
  const days = Array.from({ length: DAYS_SHOWN }, (_, index) => addDays(today, index));
  if (day !== null && day > (days.at(-1) ?? day)) days.push(day);
  const { minutes } = wish;
  const { hold, fault: heldFault } = useHolding(asked.heldFor, asked.place);
  const pick = (next: Slot, of: SlotWish): void => {
    hold(next);
    onChange({ wish: of, slot: next });
  };
  const mechanicId = useMechanicOf(business, wish);
  const mechanics = business.people.filter(({ isMechanic }) => isMechanic);
  useEffect(() => {
    if (day !== null) scrollIntoView(times.current);
  }, [day]);
  const choose = (startsAt: string): void =>
    pick(
      {
        mechanicId,
        startsAt,
        endsAt: new Date(Date.parse(startsAt) + minutes * 60_000).toISOString(),
        dayName: day === null ? "" : shortDay(day, today),
      },
      { ...wish, day },
    );
  return (
    <View style={styles.list}>
      <BestTimes
        business={business}
        {...asked}
        minutes={minutes}
        part={wish.part}
        value={slot}
        onPick={({ date, startsAt, endsAt, mechanicId: by }) =>
          pick(
            { mechanicId: by, startsAt, endsAt, dayName: shortDay(date, today) },
            { ...wish, day: date, mechanicId: by },
          )
        }
      />
      <Choices
        label="When they like"
        options={PARTS}
        value={wish.part}
        onChoose={(part) => onChange({ wish: { ...wish, part }, slot })}
      />
      {heldFault ? <Notice text={heldFault} /> : null}
      <Choices
        label="Day"
        options={[
          ...(noVisit === undefined ? [] : [{ value: NO_DAY, label: noVisit }]),
          ...days.map((value) => ({ value, label: shortDay(value, today) })),
        ]}
        value={day ?? (noVisit === undefined ? null : NO_DAY)}
        onChoose={(value) => onChange({ wish: { ...wish, day: value === NO_DAY ? null : value }, slot: null })}
      />
      {fault ? <Notice text={fault} /> : null}
      {/* On the sheet of a call its room is kept: what stands below does not move when a day is pressed. */}
      <View ref={times} style={[styles.times, noVisit !== undefined && styles.room]}>
        {day === null ? null : (
          <Times {...{ business, day, minutes, mechanicId, now }} value={slot?.startsAt ?? null} onChoose={choose} />
        )}
        {day !== null && mechanics.length > 1 ? (
          <Choices
            label="Mechanic"
            options={mechanics.map(({ id, name }) => ({ value: id, label: name }))}
            value={mechanicId}
            onChoose={(id) => onChange({ wish: { ...wish, day, mechanicId: id }, slot: null })}
          />
        ) : null}
        {day === null ? null : (
          <Choices
            label="Minutes"
            options={minutesChoices(business.settings.visitMinutes, jobMinutes)}
            value={String(minutes)}
            onChoose={(value) => onChange({ wish: { ...wish, day, minutes: Number(value) }, slot: null })}
          />
        )}
      </View>
    </View>
  );
}

/** Who is wanted; otherwise whoever is asking, if that is a mechanic. */
function useMechanicOf(business: Business, { mechanicId }: SlotWish): string {
  const { me } = useMe();
  const mechanics = business.people.filter(({ isMechanic }) => isMechanic);
  const wanted = [mechanicId, me?.id].find((id) => mechanics.some((each) => each.id === id));
  return wanted ?? mechanics[0]?.id ?? "";
}

interface TimesProps {
  business: Business;
  day: string;
  minutes: number;
  mechanicId: string;
  now: string;
  value: string | null;
  onChoose: (startsAt: string) => void;
}

/** The times of a day at which the mechanic is free. */
function Times({ business, day, minutes, mechanicId, now, value, onChoose }: TimesProps) {
  const { visits, isAnswered, error, fetchStatus, refetch } = useDay(day);
  const isUnknown = !isAnswered && (error !== null || fetchStatus === "paused");
  // No time is offered before the day is known: the first ones could be taken.
  if (!isAnswered && !isUnknown) return <WaitingRows label="Looking at the day" rows={2} />;
  const free = freeStarts(visits ?? [], mechanicId, day, minutes, business.timeZone, now);
  const evening = EVENING_STARTS.map((minute) => instantAt(day, minute, business.timeZone)).filter(
    (start) => start >= now,
  );
  return (
    <>
      {isUnknown ? (
        <Notice
          text="This day's visits could not be read, so taken times are offered too. If one is taken, you are told before anything is booked."
          action={{ label: "Try again", onPress: () => void refetch() }}
        />
      ) : null}
      {free.length === 0 ? (
        <Words tone="muted">
          {evening.length === 0
            ? "No time is left on this day."
            : "No time is free in working hours on this day; after hours:"}
        </Words>
      ) : null}
      <Choices
        label="Start"
        options={(free.length > 0 ? free : evening).map((start) => ({
          value: start,
          label: start === now ? "Right now" : showTime(start, business.timeZone),
        }))}
        value={value}
        onChoose={onChoose}
        testID="slot-start"
      />
    </>
  );
}

/** How long a visit may be, what its jobs take among them. */
function minutesChoices(usual: readonly number[], jobMinutes: number | null): { value: string; label: string }[] {
  const all = jobMinutes === null || usual.includes(jobMinutes) ? usual : [jobMinutes, ...usual];
  return all.map((minutes) => ({
    value: String(minutes),
    label: minutes === jobMinutes ? `${minutes} min, its jobs` : `${minutes} min`,
  }));
}

/** @example shortDay("2026-11-27", "2026-11-26") //=> "Tomorrow" */
function shortDay(day: string, today: string): string {
  return showDay(day, today).replace(/^(Today|Tomorrow),.*$/, "$1");
}

const styles = StyleSheet.create({ list: { gap: SPACE.m }, times: { gap: SPACE.m }, room: { minHeight: 230 } });
