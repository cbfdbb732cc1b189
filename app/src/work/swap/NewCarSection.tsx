import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { Customer, Vehicle } from "@mechanon/contract";
import { carActs } from "../../carFinder/carActs";
import { CarFinder } from "../../carFinder/CarFinder";
import { emptyCarSearch, typedOfCar, type CarSearch } from "../../carFinder/carSearch";
import { useBusiness } from "../../session/useSession";
import { vehicleOf } from "../../sync/madeHere";
import type { Act } from "../../sync/pending";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";

/** A car that is found by plate, VIN, model or hand, and kept for whose work order it is. */
export function NewCarSection({
  customer,
  onKept,
}: {
  customer: Pick<Customer, "id" | "name"> | null;
  /** @param keep - what keeps it. */
  onKept: (car: Vehicle, keep: Act[]) => void;
}) {
  const business = useBusiness();
  const [search, setSearch] = useState<CarSearch>(emptyCarSearch);
  // The same id however often it is sent: a lost answer makes no second car.
  const [id] = useState(() => uuid());
  const [fault, setFault] = useState<string | null>(null);
  if (!business || !customer) return null;
  const { car } = search;
  const keep = (): void => {
    const typed = typedOfCar(search);
    if (!car)
      return setFault(
        typed === "" ? "Say first which car it is." : `“${typed}” is typed, but no car is confirmed yet.`,
      );
    const vehicle = vehicleOf(car, id, customer.id);
    if (vehicle) onKept(vehicle, carActs(car, id, customer.id));
    else setFault("This car does not fit yet: a plate needs its state. Look through it.");
  };
  return (
    <View style={styles.list}>
      <CarFinder
        business={business}
        search={search}
        change={(part) => setSearch((before) => ({ ...before, ...part }))}
        caller={customer}
      />
      {fault ? <Notice text={fault} /> : null}
      <Button label="Keep this car" onPress={keep} testID="keep-car" />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
