import { useEffect, useState } from "react";
import { View } from "react-native";
import { v7 as uuid } from "uuid";
import { accessAt, countOf, nothingArranged, partsReady, showTime } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { CallQuestions } from "../../booking/CallQuestions";
import { letTimesGo } from "../../booking/letTimesGo";
import { PlaceCheck } from "../../booking/PlaceCheck";
import { SlotPicker } from "../../booking/SlotPicker";
import { anyTime, type Slot, type SlotWish } from "../../booking/slot";
import type { Business } from "../../session/useSession";
import { FootAct } from "../../sheet/FootAct";
import { sendVisitCommand } from "../../sync/give";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { agreedThere, needsOfWork, nextPlace } from "./visitWork";

interface BookVisitProps {
  view: WorkOrderView;
  business: Business;
  /** It is not the first trip: why another one is needed is kept. */
  isFurther: boolean;
  onBooked: () => void;
}

/** Booking the next trip: the best times, what was asked before, what does not fit. */
export function BookVisit({ view, business, isFurther, onBooked }: BookVisitProps) {
  // What was agreed for the trip before stands for the next one.
  const [agreed, setAgreed] = useState(() => view.visits.at(-1)?.arranged ?? nothingArranged());
  const [why, setWhy] = useState("");
  const needs = needsOfWork(view, business, agreed);
  const [touched, setPicked] = useState<{ wish: SlotWish; slot: Slot | null } | null>(null);
  // Until somebody says how long, it takes as long as its jobs do.
  const picked = touched ?? { wish: anyTime(needs.minutes), slot: null };
  const { slot } = picked;
  const place = nextPlace(view);
  const heldFor = view.state.id;
  // Booked or left: no other time is kept from anybody.
  useEffect(() => () => letTimesGo(heldFor), [heldFor]);
  const parts = partsReady(view.state);
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
      arranged: agreed,
      readyBy: null,
      anotherTripWhy: why.trim(),
      series: null,
    });
    setPicked(null);
    onBooked();
  };
  return (
    <View style={{ gap: SPACE.m }}>
      {isFurther ? (
        <Field
          label="Why it takes another trip"
          value={why}
          onChangeText={setWhy}
          placeholder="Waiting for the part, rain, a seized bolt"
          maxLength={300}
        />
      ) : null}
      {parts.unknown > 0 ? (
        <Words tone="muted">{`${countOf(parts.unknown, "part")} without a promised time; a visit before may be for nothing.`}</Words>
      ) : null}
      <SlotPicker
        business={business}
        {...picked}
        onChange={setPicked}
        asked={{ place, needs, notBefore: parts.readyAt, heldFor, movesVisitId: null }}
        jobMinutes={needs.minutes}
      />
      <PlaceCheck
        business={business}
        needs={needs}
        agreed={agreedThere(view, agreed, place)}
        place={place}
        when={slot}
      />
      <CallQuestions
        business={business}
        agreed={agreed}
        known={view.customer ? accessAt(view.customer, place) : ""}
        onChange={(said) => setAgreed({ ...agreed, ...said })}
      />
      {slot ? (
        <FootAct
          label={`Book ${slot.dayName}, ${showTime(slot.startsAt, business.timeZone)}`}
          onPress={() => book(slot)}
          testID="book-visit"
        />
      ) : (
        <Notice kind="note" text="Pick one of the best, or a day and a time." />
      )}
    </View>
  );
}
