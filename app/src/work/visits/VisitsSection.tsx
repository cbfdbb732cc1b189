import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMoment, visitStanding } from "@mechanon/core";
import { Button } from "../../ui/Button";
import { SPACE } from "../../ui/theme";
import type { WorkOrderSection, WorkOrderSectionProps } from "../workOrderSection";
import { BookVisit } from "./BookVisit";
import { CalledOffVisit } from "./CalledOffVisit";
import { VisitCard } from "./VisitCard";

const LINE_WORDS = {
  booked: "",
  driving: "on the way",
  onSite: "on site",
  over: "over",
  cancelled: "called off",
} as const;

/** Every trip, and the next one. */
export const visitsSection: WorkOrderSection = {
  name: "visits",
  title: "Visits",
  acts: ["bookVisit", "setOff", "arrive"],
  line: ({ view, business, today }) => {
    const last = view.visits.filter((visit) => visitStanding(visit) !== "cancelled").at(-1);
    if (!last) return view.visits.length > 0 ? "Called off" : "No visit yet";
    return [showMoment(last.startsAt, business.timeZone, today), LINE_WORDS[visitStanding(last)]]
      .filter(Boolean)
      .join(", ");
  },
  Body: VisitsSection,
};

/** Every trip for this work order, and booking the next one. */
export function VisitsSection({ view, business }: WorkOrderSectionProps) {
  const live = view.visits.filter((visit) => visitStanding(visit) !== "cancelled");
  const off = view.visits.filter((visit) => visitStanding(visit) === "cancelled");
  const [isBooking, setBooking] = useState(live.length === 0);
  return (
    <View style={styles.list}>
      {live.map((visit) => (
        <VisitCard key={visit.id} visit={visit} view={view} business={business} />
      ))}
      {off.map((visit) => (
        <CalledOffVisit key={visit.id} visit={visit} view={view} business={business} />
      ))}
      {isBooking ? (
        <BookVisit view={view} business={business} isFurther={live.length > 0} onBooked={() => setBooking(false)} />
      ) : (
        <Button label="Book another visit" onPress={() => setBooking(true)} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
