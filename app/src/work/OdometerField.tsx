import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { z } from "zod";
import { odometerDoubt, odometerTrend, readOdometer, showMiles } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useBusiness } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { MIN_TARGET, SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";
import { doubtWords } from "./odometerWords";
import { TakeBackOdometer } from "./TakeBackOdometer";

/** Why an odometer can show less than before. */
const WHY_LESS = ["The cluster was replaced", "The last one was misread", "The last one was another car's"];

/** The odometer as it is read; a reading that hardly fits the car is asked about before it is taken. */
export function OdometerField({ view }: { view: WorkOrderView }) {
  const { state, odometerBefore } = view;
  const zone = useBusiness()?.timeZone ?? "UTC";
  const kept = state.odometerMiles?.value ?? null;
  const [typed, setTyped, drop] = useUnsaved(`odometer/${state.id}`, z.string());
  // Asked when the field is left, not with every digit.
  const [isAsked, setAsked] = useState(typed !== null);
  const shown = typed ?? (kept === null ? "" : String(kept));
  const miles = readOdometer(shown);
  const at = new Date().toISOString();
  const doubt = miles === null || miles === kept ? null : odometerDoubt(odometerTrend(odometerBefore), { miles, at });
  const take = (sure: number, reason?: string): void => {
    if (sure !== kept)
      sendCommand(state.id, { type: "recordOdometer", miles: sure, ...(reason === undefined ? {} : { reason }) });
    drop();
    setAsked(false);
  };
  const leave = (): void => {
    if (shown.trim() === "") return drop();
    if (miles !== null && doubt === null) take(miles);
    else setAsked(true);
  };
  return (
    <View style={styles.list}>
      <Field
        label="Odometer, miles"
        inputMode="numeric"
        value={shown}
        onChangeText={(text) => {
          setTyped(text);
          setAsked(false);
        }}
        onBlur={leave}
        onSubmitEditing={leave}
        maxLength={12}
        error={shown.trim() === "" || miles !== null ? null : "miles are a whole number, at most 2,000,000"}
      />
      {isAsked && doubt && miles !== null ? (
        <View style={styles.list}>
          <Notice text={doubtWords(doubt, miles, zone)} />
          <View style={styles.row}>
            {doubt.likelyMiles === null ? null : (
              <Button
                label={`It is ${showMiles(doubt.likelyMiles)}`}
                onPress={() => take(doubt.likelyMiles ?? miles)}
                testID="odometer-likely"
              />
            )}
            {doubt.why === "less" ? null : (
              <Button label={`Yes, ${showMiles(miles)}`} onPress={() => take(miles)} testID="odometer-sure" />
            )}
            <Button kind="quiet" label="Not read after all" onPress={drop} />
          </View>
          {doubt.why === "less" ? (
            <Choices
              label={`It is ${showMiles(miles)}, because`}
              options={WHY_LESS.map((value) => ({ value, label: value }))}
              value={null}
              onChoose={(reason) => take(miles, reason)}
              testID="odometer-why"
            />
          ) : null}
        </View>
      ) : null}
      {/* Its room is there before: leaving the field must not move what is pressed next. */}
      <View style={styles.room}>
        {kept !== null && typed === null ? <TakeBackOdometer workOrderId={state.id} miles={kept} /> : null}
      </View>
      {state.odometerMiles?.reason ? (
        <Words size="small" tone="muted">{`Less than before: ${state.odometerMiles.reason.toLowerCase()}`}</Words>
      ) : null}
      {(state.odometerTakenBack ?? []).map(({ value, reason, takenBackAt }) => (
        <Words key={takenBackAt} size="small" tone="muted">
          {`${showMiles(value)} was taken back: ${reason}`}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  room: { minHeight: MIN_TARGET },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
