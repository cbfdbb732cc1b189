import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { addDays, instantAt, showDay, showTime } from "@mechanon/core";
import { useDay, useNow, useToday } from "../day/useDay";
import { useMe, type Business } from "../session/useSession";
import { Choices } from "../ui/Choices";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { freeStarts } from "./freeSlots";

/** A time somebody can come. */
export interface Slot {
  mechanicId: string;
  startsAt: string;
  endsAt: string;
  dayName: string;
}

const DAYS_SHOWN = 6;
const USUAL_MINUTES = 60;
const EVENING_STARTS = [18 * 60, 19 * 60, 20 * 60];

/** Day, length, who, and the times at which that van is free. */
export function SlotPicker({
  business,
  slot,
  onChange,
}: {
  business: Business;
  slot: Slot | null;
  onChange: (slot: Slot) => void;
}) {
  const today = useToday();
  const now = useNow();
  const { me } = useMe();
  const mechanics = business.people.filter(({ isMechanic }) => isMechanic);
  const [day, setDay] = useState(today);
  const [minutes, setMinutes] = useState(USUAL_MINUTES);
  const [mechanicId, setMechanicId] = useState(mechanics.find(({ id }) => id === me?.id)?.id ?? mechanics[0]?.id ?? "");
  const { data, error, fetchStatus, refetch } = useDay(day);
  const isUnknown = !data && (error !== null || fetchStatus === "paused");
  const free = freeStarts(data?.visits ?? [], mechanicId, day, minutes, business.timeZone, now);
  const evening = EVENING_STARTS.map((minute) => instantAt(day, minute, business.timeZone)).filter(
    (start) => start >= now,
  );
  const days = Array.from({ length: DAYS_SHOWN }, (_, index) => addDays(today, index));
  const choose = (startsAt: string): void =>
    onChange({
      mechanicId,
      startsAt,
      endsAt: new Date(Date.parse(startsAt) + minutes * 60_000).toISOString(),
      dayName: showDay(day, today).split(",")[0] ?? day,
    });
  return (
    <View style={styles.list}>
      <Choices
        label="Day"
        options={days.map((value) => ({ value, label: shortDay(value, today) }))}
        value={day}
        onChoose={setDay}
      />
      {mechanics.length > 1 ? (
        <Choices
          label="Mechanic"
          options={mechanics.map(({ id, name }) => ({ value: id, label: name }))}
          value={mechanicId}
          onChoose={setMechanicId}
        />
      ) : null}
      <Choices
        label="Minutes"
        options={business.settings.visitMinutes.map((value) => ({ value: String(value), label: `${value} min` }))}
        value={String(minutes)}
        onChoose={(value) => setMinutes(Number(value))}
      />
      {isUnknown ? (
        <Notice
          text="This day's visits could not be read, so taken times are offered too. If one is taken, you are told before anything is booked."
          action={{ label: "Try again", onPress: () => void refetch() }}
        />
      ) : null}
      {/* No time is offered before the day is known: the first ones could be taken. */}
      {data || isUnknown ? (
        <>
          {free.length === 0 ? (
            <Words tone="muted">No time is free in working hours on this day; after hours:</Words>
          ) : null}
          <Choices
            label="Start"
            options={(free.length > 0 ? free : evening).map((value) => ({
              value,
              label: value === now ? "Right now" : showTime(value, business.timeZone),
            }))}
            value={slot?.startsAt ?? null}
            onChoose={choose}
            testID="slot-start"
          />
        </>
      ) : (
        <Waiting label="Looking at the day" rows={2} />
      )}
    </View>
  );
}

function shortDay(day: string, today: string): string {
  return showDay(day, today).replace(/^(Today|Tomorrow),.*$/, "$1");
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
