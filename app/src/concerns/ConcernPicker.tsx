import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { fillGaps, type ConcernGap, type ConcernPhrase } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { PhraseEditor } from "./PhraseEditor";
import type { PickedConcern } from "./pickedConcern";
import { inRecentOrder, useRecentPhrases } from "./recentPhrases";

export interface ConcernPickerProps {
  phrases: readonly ConcernPhrase[];
  gaps: readonly ConcernGap[];
  picked: readonly PickedConcern[];
  onChange: (picked: PickedConcern[]) => void;
}

const FIRST_SHOWN = 6;
const ALL = "All";

/**
 * What is wrong or wanted: ready phrases to touch, those picked last first, their gaps filled by touch; own words for
 * the odd case.
 */
export function ConcernPicker({ phrases, gaps, picked, onChange }: ConcernPickerProps) {
  const colors = useColors();
  const { recent, note } = useRecentPhrases();
  const [typed, setTyped] = useState("");
  const [showsAll, setShowsAll] = useState(false);
  const [area, setArea] = useState(ALL);
  const wanted = typed.trim().toLowerCase();
  const areas = [ALL, ...new Set(phrases.map((phrase) => phrase.area))];
  const fitting = inRecentOrder(phrases, recent).filter(
    (phrase) =>
      (area === ALL || phrase.area === area) &&
      (wanted === "" || `${phrase.text} ${phrase.area}`.toLowerCase().includes(wanted)),
  );
  const shown = fitting.filter(
    ({ id }, index) => showsAll || index < FIRST_SHOWN || picked.some(({ phraseId }) => phraseId === id),
  );
  const toggle = ({ id, text, kind }: ConcernPhrase): void => {
    const isPicked = picked.some(({ phraseId }) => phraseId === id);
    if (!isPicked) note(id);
    onChange(
      isPicked
        ? picked.filter(({ phraseId }) => phraseId !== id)
        : [...picked, { text: fillGaps(text, {}), kind, phraseId: id }],
    );
    setTyped("");
  };
  const addTyped = (kind: PickedConcern["kind"]): void => {
    onChange([...picked, { text: typed.trim(), kind, phraseId: null }]);
    setTyped("");
  };
  return (
    <View style={styles.list}>
      <Field
        label="What is wrong, in their words"
        value={typed}
        onChangeText={setTyped}
        onSubmitEditing={() => wanted !== "" && addTyped("fault")}
        maxLength={500}
        placeholder="hums above 40, new wipers"
      />
      {wanted !== "" ? (
        <View style={styles.chips}>
          <Button label={`Add “${typed.trim()}”`} onPress={() => addTyped("fault")} />
          <Button kind="quiet" label="Add as a wish" onPress={() => addTyped("wish")} />
        </View>
      ) : null}
      {showsAll && wanted === "" ? (
        <Choices
          label="Area"
          options={areas.map((value) => ({ value, label: value }))}
          value={area}
          onChoose={setArea}
        />
      ) : null}
      <View style={styles.chips} role="group" aria-label="Ready phrases">
        {shown.map((phrase) => {
          const isPicked = picked.some(({ phraseId }) => phraseId === phrase.id);
          const words = fillGaps(phrase.text, {});
          return (
            <Press
              key={phrase.id}
              role="checkbox"
              label={words}
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
              <Words tone={isPicked ? "onPetrol" : "ink"}>{words}</Words>
            </Press>
          );
        })}
        {shown.length < fitting.length ? (
          <Button kind="quiet" label={`${fitting.length - shown.length} more`} onPress={() => setShowsAll(true)} />
        ) : null}
      </View>
      {picked.map((concern, index) => (
        <PhraseEditor
          key={concern.phraseId ?? `${index}${concern.kind}`}
          concern={concern}
          phrase={phrases.find(({ id }) => id === concern.phraseId)}
          gaps={gaps}
          areas={areas.slice(1)}
          onChange={(changed) => onChange(picked.map((other) => (other === concern ? changed : other)))}
          onRemove={() => onChange(picked.filter((other) => other !== concern))}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  chips: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  chip: { borderWidth: 1.5, borderRadius: 4, paddingHorizontal: SPACE.m },
});
