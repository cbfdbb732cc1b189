import { useState } from "react";
import { StyleSheet, View } from "react-native";
import type { ConcernPhrase } from "@mechanon/core";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

export interface PickedConcern {
  text: string;
  kind: "fault" | "wish";
  phraseId: string | null;
}
export interface ConcernPickerProps {
  phrases: readonly ConcernPhrase[];
  picked: readonly PickedConcern[];
  onChange: (picked: PickedConcern[]) => void;
}

const FIRST_SHOWN = 6;

/** What is wrong or wanted: ready phrases to touch, own words for the odd case. */
export function ConcernPicker({ phrases, picked, onChange }: ConcernPickerProps) {
  const colors = useColors();
  const [typed, setTyped] = useState("");
  const [showsAll, setShowsAll] = useState(false);
  const wanted = typed.trim().toLowerCase();
  const fitting = phrases.filter(({ text, area }) => wanted === "" || `${text} ${area}`.toLowerCase().includes(wanted));
  const shown = fitting.filter(
    ({ id }, index) => showsAll || index < FIRST_SHOWN || picked.some(({ phraseId }) => phraseId === id),
  );
  const toggle = ({ id, text, kind }: ConcernPhrase): void => {
    const isPicked = picked.some(({ phraseId }) => phraseId === id);
    onChange(isPicked ? picked.filter(({ phraseId }) => phraseId !== id) : [...picked, { text, kind, phraseId: id }]);
    setTyped("");
  };
  const addTyped = (): void => {
    onChange([...picked, { text: typed.trim(), kind: "fault", phraseId: null }]);
    setTyped("");
  };
  return (
    <View style={styles.list}>
      <Field
        label="What is wrong, in their words"
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={() => wanted !== "" && addTyped()}
        maxLength={500}
        placeholder="hums above 40, new wipers"
      />
      {wanted !== "" ? <Button label={`Add “${typed.trim()}”`} onPress={addTyped} /> : null}
      <View style={styles.chips} role="group" aria-label="Ready phrases">
        {shown.map((phrase) => {
          const isPicked = picked.some(({ phraseId }) => phraseId === phrase.id);
          return (
            <Press
              key={phrase.id}
              role="checkbox"
              label={phrase.text}
              aria-checked={isPicked}
              onPress={() => toggle(phrase)}
              style={[
                styles.chip,
                {
                  borderColor: isPicked ? colors.petrol : colors.muted,
                  backgroundColor: isPicked ? colors.petrol : colors.paper,
                },
              ]}
            >
              <Words tone={isPicked ? "onPetrol" : "ink"}>{phrase.text}</Words>
            </Press>
          );
        })}
        {shown.length < fitting.length ? (
          <Button kind="quiet" label={`${fitting.length - shown.length} more`} onPress={() => setShowsAll(true)} />
        ) : null}
      </View>
      {picked
        .filter(({ phraseId }) => phraseId === null)
        .map((concern) => (
          <View key={concern.text} style={styles.own}>
            <Words style={styles.grow}>“{concern.text}”</Words>
            <Button kind="quiet" label="Remove" onPress={() => onChange(picked.filter((other) => other !== concern))} />
          </View>
        ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  chips: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  chip: { borderWidth: 1.5, borderRadius: 4, paddingHorizontal: SPACE.m },
  own: { flexDirection: "row", alignItems: "center", flexWrap: "wrap" },
  grow: { flex: 1 },
});
