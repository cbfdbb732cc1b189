import { useState, type Ref } from "react";
import { StyleSheet, View, type TextInput } from "react-native";
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
  /** What stands in the field, which goes along as it is. */
  typed: string;
  /** The field of their words, to be gone to. */
  field?: Ref<TextInput>;
  onChange: (said: { picked: PickedConcern[]; typed: string }) => void;
}

const FIRST_SHOWN = 6;
const ALL = "All";

/**
 * What is wrong or wanted: ready phrases to touch, those picked last first, their gaps filled by touch; own words for
 * the odd case.
 */
export function ConcernPicker({ phrases, gaps, picked, typed, field, onChange }: ConcernPickerProps) {
  const colors = useColors();
  const { recent, note } = useRecentPhrases();
  const [tallest, setTallest] = useState(0);
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
    ({ id }, index) =>
      (showsAll && wanted === "") || index < FIRST_SHOWN || picked.some(({ phraseId }) => phraseId === id),
  );
  const toggle = ({ id, text, kind }: ConcernPhrase): void => {
    const isPicked = picked.some(({ phraseId }) => phraseId === id);
    if (!isPicked) note(id);
    onChange({
      picked: isPicked
        ? picked.filter(({ phraseId }) => phraseId !== id)
        : [...picked, { text: fillGaps(text, {}), kind, phraseId: id }],
      // What led to a phrase has done its work; words of their own stay.
      typed: fitting.length > 0 && wanted !== "" ? "" : typed,
    });
  };
  const addTyped = (): void => {
    if (wanted === "") return;
    onChange({ picked: [...picked, { text: typed.trim(), kind: "fault", phraseId: null }], typed: "" });
  };
  return (
    <View style={styles.list}>
      <View style={styles.row}>
        <Field
          ref={field}
          label="What is wrong, in their words"
          value={typed}
          onChangeText={(words) => onChange({ picked: [...picked], typed: words })}
          onSubmitEditing={addTyped}
          submitBehavior="submit"
          maxLength={500}
          placeholder="hums above 40, new wipers"
          hint="Goes along as typed. Press Add to write down another."
          style={styles.grow}
        />
        <Button
          label="Add"
          spoken={wanted === "" ? "Add another concern" : `Add “${typed.trim()}”`}
          disabled={wanted === ""}
          onPress={addTyped}
          style={styles.beside}
        />
      </View>
      {showsAll && wanted === "" ? (
        <Choices
          label="Area"
          options={areas.map((value) => ({ value, label: value }))}
          value={area}
          onChoose={setArea}
        />
      ) : null}
      <View
        style={[styles.chips, styles.phrases, { minHeight: tallest }]}
        role="group"
        aria-label="Ready phrases"
        // Fewer phrases as one types take no room away: nothing below moves up.
        onLayout={({ nativeEvent: { layout } }) => setTallest((before) => Math.max(before, Math.floor(layout.height)))}
      >
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
          onChange={(changed) =>
            onChange({ picked: picked.map((other) => (other === concern ? changed : other)), typed })
          }
          onRemove={() => onChange({ picked: picked.filter((other) => other !== concern), typed })}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "flex-start" },
  grow: { flex: 1 },
  // Beside the input, below its label.
  beside: { marginTop: 22 },
  phrases: { alignContent: "flex-start", alignItems: "flex-start" },
  chips: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  chip: { borderWidth: 1.5, borderRadius: 4, paddingHorizontal: SPACE.m },
});
