import { StyleSheet, View } from "react-native";
import { visitStanding } from "@mechanon/core";
import { OdometerField } from "../work/OdometerField";
import type { WorkOrderSection, WorkOrderSectionProps } from "../work/workOrderSection";
import { SPACE } from "../ui/theme";
import { ApartPart } from "./ApartPart";
import { FuelField } from "./FuelField";
import { LampsField } from "./LampsField";
import { PlaceGate } from "./PlaceGate";
import { Pressures } from "./Pressures";
import { WalkRound } from "./WalkRound";
import { arrivalLine } from "./arrivalWords";

/** What is seen as the car is taken over: a place to work, miles, fuel, lamps, and damage of before. */
export const arrivalSection: WorkOrderSection = {
  name: "arrival",
  title: "Arrival",
  acts: [],
  // Until the check begins: what is noted while standing beside the car is not folded under the thumb.
  standsOpen: ({ view: { state, visits } }) =>
    visits.some((visit) => visitStanding(visit) === "onSite") && state.sheets.length + state.findings.length === 0,
  line: ({ view: { state } }) => arrivalLine(state),
  Body: ArrivalSection,
};

function ArrivalSection({ view, business }: WorkOrderSectionProps) {
  return (
    <View style={styles.list}>
      <PlaceGate view={view} business={business} />
      <OdometerField view={view} />
      <FuelField view={view} />
      <LampsField view={view} />
      <WalkRound view={view} />
      <Pressures view={view} />
      <ApartPart view={view} business={business} />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
