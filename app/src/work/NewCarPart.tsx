import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { Customer, Vehicle } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { keepFoundCar } from "../carFinder/keepFoundCar";
import { CarFinder } from "../carFinder/CarFinder";
import { emptyCarSearch, typedOfCar, type CarSearch } from "../carFinder/carSearch";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";

/** A car that is found by plate, VIN, model or hand, and kept for whose work order it is. */
export function NewCarPart({
  customer,
  onKept,
}: {
  customer: Pick<Customer, "id" | "name"> | null;
  onKept: (car: Vehicle) => void;
}) {
  const business = useBusiness();
  const [search, setSearch] = useState<CarSearch>(emptyCarSearch);
  // The same id however often it is sent: a lost answer makes no second car.
  const [id] = useState(() => uuid());
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  if (!business || !customer) return null;
  const { car } = search;
  const keep = async (): Promise<void> => {
    if (!car) {
      const typed = typedOfCar(search);
      return setFault(
        typed === "" ? "Say first which car it is." : `“${typed}” is typed, but no car is confirmed yet.`,
      );
    }
    setBusy(true);
    setFault(null);
    try {
      onKept(await keepFoundCar(car, id, customer.id));
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setBusy(false);
    }
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
      <Button label="Keep this car" busy={busy} onPress={() => void keep()} testID="keep-car" />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
