import { useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { StyleSheet, View } from "react-native";
import { showVehicle } from "@mechanon/core";
import type { KnownVehicle, Vehicle, VehicleGuess } from "@mechanon/contract";
import type { LikelyAnswers, Variants } from "@mechanon/core/vin";
import { CarFacts } from "../cars/CarFacts";
import { changeVehicle } from "../sync/changeKept";
import { vehicleRecord } from "../sync/keptRecords";
import type { Pending } from "../sync/pending";
import { useSync } from "../sync/state";
import { useStaying } from "../sync/useStaying";
import { withVehicleChanges } from "../sync/withKeptChanges";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { openFacts } from "../cars/openFacts";
import { useCarSearch, type KeptCar } from "./carSearch";
import { contradiction } from "./saidOfCar";
import { useCustomerSheet } from "../customers/useCustomerSheet";

export interface ConfirmGuessProps {
  guess: VehicleGuess;
  /** What the look-up left open. */
  variants?: Variants;
  likely?: LikelyAnswers;
  /** The VIN is kept although its check digit does not hold: why is asked. */
  asksWhy?: boolean;
}

/** "This one?": nothing hangs on a car that was looked up before somebody said yes to it. */
export function ConfirmGuess({ guess, variants, likely, asksWhy = false }: ConfirmGuessProps) {
  const colors = useColors();
  const { search, change } = useCarSearch();
  const otherwise = contradiction(search, guess);
  const [why, setWhy] = useState("");
  return (
    <View style={[styles.box, { borderColor: colors.petrol }]}>
      <Words tone="muted">This one?</Words>
      <Words strong size="lead">
        {showVehicle(guess)}
      </Words>
      <CarFacts car={guess} />
      {otherwise === null ? null : <Notice text={otherwise} />}
      {asksWhy ? (
        <Field
          label="Why keep it although it does not check?"
          value={why}
          onChangeText={setWhy}
          placeholder="Read twice from the plate at the windshield"
          maxLength={200}
          hint="Needed before it is kept as typed"
        />
      ) : null}
      <Button
        label={asksWhy ? "Keep it as typed" : "Yes, this one"}
        disabled={asksWhy && why.trim() === ""}
        onPress={() =>
          change({
            car: { kind: "new", guess, vinNote: asksWhy ? why.trim() : null, open: openFacts(guess, variants, likely) },
          })
        }
        testID="confirm-car"
      />
    </View>
  );
}

export interface ConfirmKnownProps {
  known: KnownVehicle;
  /** What the register says of its plate today. */
  newPlate?: Pick<VehicleGuess, "plate" | "region">;
}

/** A car we keep already: whose it is, what is open on it, and going on for the owner or for the caller. */
export function ConfirmKnown({ known, newPlate }: ConfirmKnownProps) {
  const { customerName, people, openWork } = known;
  const pending = useSync((state) => state.pending);
  // What was changed here and was sent may not be in the look-up's answer yet.
  const changed = useMemo(() => changedHere(known.vehicle, pending), [known.vehicle, pending]);
  const vehicle = useStaying(known.vehicle.id, changed) ?? known.vehicle;
  const router = useRouter();
  const { change, caller: callerNow, onOwner } = useCarSearch();
  const { data } = useCustomerSheet(vehicle.customerId);
  const caller = callerNow.name;
  const isCallers = callerNow.id === vehicle.customerId;
  const drives = people.some(({ customerId }) => customerId === callerNow.id);
  const keep = (then: KeptCar["then"]): void => change({ car: { kind: "kept", vehicle, then } });
  return (
    <View style={styles.plain}>
      <Notice
        kind="note"
        text={
          isCallers
            ? `${showVehicle(vehicle)} is theirs and kept here already.`
            : `${showVehicle(vehicle)} is kept here already; it belongs to ${customerName}.`
        }
      />
      <CarFacts car={vehicle} />
      {newPlate ? <NewPlate vehicle={vehicle} newPlate={newPlate} /> : null}
      {people.map(({ customerId, name, role }) => (
        <Words key={customerId} tone="muted">{`${role}: ${name}`}</Words>
      ))}
      {openWork.map(({ id, number, concerns }) => (
        <Button
          key={id}
          kind="quiet"
          label={`Open already: ${[String(number), ...concerns].slice(0, 2).join(", ")}`}
          onPress={() => router.navigate(`/work/${id}`)}
        />
      ))}
      {isCallers || (data && onOwner) ? (
        <Button
          label={isCallers ? "Yes, this one" : `Go on for ${customerName}`}
          onPress={() => {
            keep("nothing");
            if (!isCallers && data) onOwner?.(data.customer);
          }}
          testID="confirm-known"
        />
      ) : null}
      {isCallers || caller === "" ? null : (
        <>
          {drives ? (
            <Button label={`For ${caller}, who drives it`} onPress={() => keep("nothing")} />
          ) : (
            <Button
              label={`${caller} drives it, it stays ${customerName}'s`}
              onPress={() => keep("link")}
              testID="link-car"
            />
          )}
          <Button label={`It is ${caller}'s now: move it`} onPress={() => keep("move")} testID="move-car" />
          <Words size="small" tone="muted">
            {`Moving takes its history along; ${customerName}'s bills stay ${customerName}'s.`}
          </Words>
        </>
      )}
    </View>
  );
}

/** The car with what was changed of it here; undefined where nothing was. */
function changedHere(vehicle: Vehicle, pending: readonly Pending[]): Vehicle | undefined {
  const changed = withVehicleChanges(vehicle, pending);
  return changed === vehicle ? undefined : changed;
}

/** A car we keep with another plate than the register knows it by. */
function NewPlate({
  vehicle,
  newPlate: { plate, region },
}: {
  vehicle: Vehicle;
  newPlate: Pick<VehicleGuess, "plate" | "region">;
}) {
  if (plate === null || (plate === vehicle.plate && region === vehicle.region)) return null;
  return (
    <>
      <Words>{`Kept with ${vehicle.plate === null ? "no plate" : `the plate ${vehicle.plate}`}; the register says ${plate} now.`}</Words>
      <Button
        label={`Write down its plate: ${plate}`}
        onPress={() => void changeVehicle(vehicle.id, vehicleRecord(vehicle), { plate, region })}
        testID="new-plate"
      />
    </>
  );
}

const styles = StyleSheet.create({
  box: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  plain: { gap: SPACE.s },
});
