import { useMutation } from "@tanstack/react-query";
import { StyleSheet, View } from "react-native";
import { routes, type VehicleGuess } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useReachable } from "../api/reachable";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { ScanField } from "../scan/ScanField";
import { useVin } from "../vin/useVin";
import { ConfirmGuess, ConfirmKnown } from "./ConfirmCar";
import { useCarSearch } from "./carSearch";
import type { Business } from "../session/useSession";

/** The car behind a plate, from our own books or the register. */
export function CarByPlate({ business }: { business: Business }) {
  const isReachable = useReachable((state) => state.isReachable);
  const { search, change } = useCarSearch();
  const [home = ""] = business.settings.regions;
  const region = search.plateRegion || home;
  const lookUp = useMutation({
    mutationFn: () => call(routes.lookUpPlate, { params: { region, plate: search.plate.trim() } }),
  });
  const { known = null, guesses = [] } = lookUp.data ?? {};
  const isTyped = search.plate.trim() !== "";
  return (
    <View style={styles.list}>
      <Field
        label="Plate"
        mono
        autoCapitalize="characters"
        value={search.plate}
        onChangeText={(plate) => {
          change({ plate });
          lookUp.reset();
        }}
        onSubmitEditing={() => isTyped && lookUp.mutate()}
        maxLength={20}
        autoComplete="off"
      />
      <ScanField
        wanted="plate"
        region={region}
        // What an earlier plate led to says nothing of the one that is photographed.
        onReading={() => lookUp.reset()}
        onFound={(plate) => {
          change({ plate });
          lookUp.reset();
        }}
      />
      <Choices
        label="State of the plate"
        options={business.settings.regions.map((value) => ({ value, label: value }))}
        value={region}
        onChoose={(plateRegion) => {
          change({ plateRegion });
          lookUp.reset();
        }}
      />
      {lookUp.error ? <Notice text={errorWords(lookUp.error)} /> : null}
      {lookUp.data && lookUp.data.guesses.length > 1 ? (
        <Words>Two cars have this plate. Which one stands there?</Words>
      ) : null}
      {known ? <ConfirmKnown known={known} newPlate={guesses.find(({ vin }) => vin === known.vehicle.vin)} /> : null}
      {guesses
        .filter(({ vin }) => !known || vin !== known.vehicle.vin)
        .map((guess) => (
          <GuessByVin key={guess.vin ?? "unknown"} guess={guess} />
        ))}
      {lookUp.data ? null : (
        <>
          {isReachable ? null : (
            <Words size="small" tone="muted">
              The register needs a signal. Without one: read the VIN, pick the model, or type the car by hand.
            </Words>
          )}
          <Button
            label={isReachable ? "Look up the plate" : "Look up the plate, needs signal"}
            busy={lookUp.isPending}
            disabled={!isTyped}
            onPress={() => lookUp.mutate()}
            testID="look-up-plate"
          />
        </>
      )}
    </View>
  );
}

/** What the register's VIN leaves open is looked up on this device. */
function GuessByVin({ guess }: { guess: VehicleGuess }) {
  const { decoded } = useVin(guess.vin ?? "");
  return <ConfirmGuess guess={guess} variants={decoded?.variants} likely={decoded?.likely} />;
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
