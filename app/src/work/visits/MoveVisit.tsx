import { useEffect, useState } from "react";
import { minutesBetween, showTime } from "@mechanon/core";
import { letTimesGo } from "../../booking/letTimesGo";
import { SlotPicker } from "../../booking/SlotPicker";
import { anyTime, type Slot, type SlotWish } from "../../booking/slot";
import { sendVisitCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import type { VisitProps } from "./visitProps";
import { needsOfWork } from "./visitWork";

/** Another time for a booked visit. */
export function MoveVisit({ visit, view, business, onDone }: VisitProps & { onDone: () => void }) {
  const minutes = minutesBetween(visit.startsAt, visit.endsAt);
  const needs = needsOfWork(view, business, visit.arranged);
  const [picked, setPicked] = useState<{ wish: SlotWish; slot: Slot | null }>({ wish: anyTime(minutes), slot: null });
  const { slot } = picked;
  // Moved or left: no other time of it is kept from anybody.
  useEffect(() => () => letTimesGo(visit.id), [visit.id]);
  const move = ({ startsAt, endsAt, mechanicId }: Slot): void => {
    sendVisitCommand(visit.id, view.state.id, {
      type: "moveVisit",
      startsAt,
      endsAt,
      mechanicId,
      allowOverlap: false,
    });
    onDone();
  };
  return (
    <>
      <SlotPicker
        business={business}
        {...picked}
        onChange={setPicked}
        asked={{ place: visit.place, needs, notBefore: null, heldFor: visit.id, movesVisitId: visit.id }}
        jobMinutes={minutes}
      />
      {slot ? (
        <Button
          label={`Move to ${slot.dayName}, ${showTime(slot.startsAt, business.timeZone)}`}
          onPress={() => move(slot)}
        />
      ) : (
        <Notice kind="note" text="Pick a day and a time; until then the visit stays where it is." />
      )}
    </>
  );
}
