import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { SPEC_FIELDS, specChoices, specFault, type SpecKey } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";

/** What a mechanic found on the car, kept with their name: picked or typed. */
export function SpecAnswer({
  specKey,
  value,
  onSave,
  onBack,
}: {
  specKey: SpecKey;
  value: string;
  onSave: (value: string) => void;
  onBack: (() => void) | null;
}) {
  const [typed, setTyped] = useState(value);
  const field = SPEC_FIELDS.find(({ key }) => key === specKey);
  const fault = typed === value ? null : specFault(specKey, typed);
  const choices = specChoices(specKey);
  if (choices)
    return (
      <View style={styles.list}>
        <Choices
          label={`${field?.label ?? ""} as found on the car`}
          options={choices.map((choice) => ({ value: choice, label: choice }))}
          value={value}
          onChoose={onSave}
        />
        {onBack ? <Button kind="quiet" label="Go by the source again" onPress={onBack} /> : null}
      </View>
    );
  return (
    <View style={styles.list}>
      <Field
        label={`${field?.label ?? ""} as found on the car${field?.unit ? `, ${field.unit}` : ""}`}
        value={typed}
        onChangeText={setTyped}
        error={fault}
        inputMode={field?.unit ? "decimal" : "text"}
        maxLength={80}
        autoFocus
        autoComplete="off"
      />
      <Button
        label="Keep it with my name"
        disabled={fault !== null || typed.trim() === ""}
        onPress={() => onSave(typed.trim())}
        testID="save-correction"
      />
      {onBack ? <Button kind="quiet" label="Go by the source again" onPress={onBack} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s, paddingBottom: SPACE.m } });
