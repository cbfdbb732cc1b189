import { StyleSheet, View } from "react-native";
import { showVehicle } from "@mechanon/core";
import type { Vehicle, VehicleGuess } from "@mechanon/contract";
import { useQuery } from "@tanstack/react-query";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { CarFacts } from "../cars/CarFacts";
import { useDraft } from "./draft";

/** "This one?": nothing hangs on a car before somebody said yes to it. */
export function ConfirmGuess({ guess, words = "Yes, this one" }: { guess: VehicleGuess; words?: string }) {
  const colors = useColors();
  const { change } = useDraft();
  return (
    <View style={[styles.box, { borderColor: colors.petrol }]}>
      <Words tone="muted">This one?</Words>
      <Words strong size="lead">
        {showVehicle(guess)}
      </Words>
      <CarFacts car={guess} />
      <Button label={words} onPress={() => change({ car: { kind: "new", guess } })} testID="confirm-car" />
    </View>
  );
}

/** A car we keep already: whose it is, and going on for them. */
export function ConfirmKnown({ vehicle, customerName }: { vehicle: Vehicle; customerName: string }) {
  const { draft, change } = useDraft();
  const { data } = useQuery({
    queryKey: ["customer", vehicle.customerId],
    queryFn: () => call(routes.getCustomer, { params: { id: vehicle.customerId } }),
  });
  const isCallers = draft.known?.id === vehicle.customerId;
  return (
    <View style={styles.plain}>
      <Notice kind="note" text={`${showVehicle(vehicle)} is kept here already; it belongs to ${customerName}.`} />
      <CarFacts car={vehicle} />
      {data ? (
        <Button
          label={isCallers ? "Yes, this one" : `Go on for ${customerName}`}
          onPress={() => change({ known: data.customer, car: { kind: "kept", vehicle } })}
          testID="confirm-known"
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  plain: { gap: SPACE.s },
});
