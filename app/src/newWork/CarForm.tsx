import { useQuery } from "@tanstack/react-query";
import { StyleSheet, View } from "react-native";
import { showVehicle } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { CarByHand } from "./CarByHand";
import { CarAlong } from "./CarAlong";
import { CarByPick } from "./CarByPick";
import { CarByPlate } from "./CarByPlate";
import { CarByVin } from "./CarByVin";
import { CarFacts } from "../cars/CarFacts";
import { useDraft, type CarWay } from "./draft";
import type { Business } from "../session/useSession";

const WAYS: readonly { value: CarWay; label: string }[] = [
  { value: "plate", label: "Plate" },
  { value: "vin", label: "VIN" },
  { value: "pick", label: "Model" },
  { value: "hand", label: "By hand" },
];

/** Which car: one the caller has here already, or a new one by plate, VIN or hand; always confirmed. */
export function CarForm({ business, fault }: { business: Business; fault: string | undefined }) {
  const { draft, change } = useDraft();
  const owner = draft.known?.id;
  const { data } = useQuery({
    queryKey: ["customer", owner],
    queryFn: () => call(routes.getCustomer, { params: { id: owner ?? "" } }),
    enabled: owner !== undefined,
  });
  if (draft.car) {
    const car = draft.car.kind === "kept" ? draft.car.vehicle : draft.car.guess;
    return (
      <View style={styles.list}>
        <Words strong size="lead">
          {showVehicle(car)}
        </Words>
        <CarFacts car={car} />
        <Button
          kind="quiet"
          label="Another car"
          onPress={() => change({ car: null, openQuote: null, takeAlong: [] })}
        />
        {draft.car.kind === "kept" ? <CarAlong car={draft.car} fault={fault} /> : null}
      </View>
    );
  }
  return (
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
        value={draft.carWay}
        onChoose={(carWay) => change({ carWay })}
      />
      {draft.carWay === "plate" ? <CarByPlate business={business} /> : null}
      {draft.carWay === "vin" ? <CarByVin /> : null}
      {draft.carWay === "pick" ? <CarByPick business={business} /> : null}
      {draft.carWay === "hand" ? <CarByHand business={business} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
