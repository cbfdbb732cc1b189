import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { showVehicle } from "@mechanon/core";
import { CarFacts } from "../cars/CarFacts";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { CarByHand } from "./CarByHand";
import { CarByPick } from "./CarByPick";
import { CarByPlate } from "./CarByPlate";
import { CarByVin } from "./CarByVin";
import { CarSearchContext, type CarSearchHolder, type CarWay, type KeptCar } from "./carSearch";
import { MoreOfCar } from "./MoreOfCar";
import { useCustomerSheet } from "../customers/useCustomerSheet";

const WAYS: readonly { value: CarWay; label: string }[] = [
  { value: "plate", label: "Plate" },
  { value: "vin", label: "VIN" },
  { value: "pick", label: "Year, model" },
  { value: "hand", label: "Not listed" },
];

export interface CarFinderProps extends CarSearchHolder {
  business: Business;
  /** What is missing, told where the car is looked for. */
  fault?: string;
  /** What comes along with a car that is kept here. */
  along?: (car: KeptCar) => ReactNode;
}

/** Which car: one the caller has here already, or a new one by plate, VIN, model or hand; what was looked up is confirmed. */
export function CarFinder({ business, fault, along, ...holder }: CarFinderProps) {
  const { search, change, caller } = holder;
  const { car } = search;
  const { data } = useCustomerSheet(caller.id);
  if (car) {
    const known = car.kind === "kept" ? car.vehicle : car.guess;
    return (
      <CarSearchContext value={holder}>
        <View style={styles.list}>
          <Words strong size="lead">
            {showVehicle(known)}
          </Words>
          <CarFacts car={known} />
          <Button kind="quiet" label="Another car" onPress={() => change({ car: null })} />
          {car.kind === "kept" ? along?.(car) : <MoreOfCar car={car} business={business} />}
        </View>
      </CarSearchContext>
    );
  }
  return (
    <CarSearchContext value={holder}>
      <View style={styles.list}>
        {fault ? <Notice text={fault} /> : null}
        {data?.vehicles.map((vehicle) => (
          <Button
            key={vehicle.id}
            label={`${showVehicle(vehicle)}, ${vehicle.plate ?? "no plate"}`}
            onPress={() => change({ car: { kind: "kept", vehicle, then: "nothing" } })}
          />
        ))}
        <Choices
          even
          label="How to find the car"
          options={WAYS}
          value={search.carWay}
          onChoose={(carWay) => change({ carWay })}
        />
        {search.carWay === "plate" ? <CarByPlate business={business} /> : null}
        {search.carWay === "vin" ? <CarByVin /> : null}
        {search.carWay === "pick" ? <CarByPick /> : null}
        {search.carWay === "hand" ? <CarByHand business={business} /> : null}
      </View>
    </CarSearchContext>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
