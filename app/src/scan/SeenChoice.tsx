import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { MOST_UNSURE, type Sighting } from "@mechanon/core/vin";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { unsureWords } from "./scanWords";

/** Something a photo may show. What was not read surely is asked, character by character, before it is taken. */
export function SeenChoice({
  seen,
  doubt = "",
  onChoose,
}: {
  seen: Sighting;
  /** What else speaks against it. */
  doubt?: string;
  onChoose: (text: string) => void;
}) {
  const colors = useColors();
  const { text, looks, unsure } = seen;
  const [isAsking, setAsking] = useState(false);
  const [answers, setAnswers] = useState<Record<number, string>>({});
  const isAsked = unsure.length > 0 && unsure.length <= MOST_UNSURE;
  const places = new Set(unsure.map(({ position }) => position));
  const said = [...text].map((character, index) => answers[index + 1] ?? character).join("");
  const note = [unsureWords([...places], looks), doubt].filter(Boolean).join(". ");
  return (
    <View style={styles.list}>
      <Button label={text} onPress={() => (isAsked ? setAsking(true) : onChoose(text))} testID="scanned" />
      {note === "" ? null : (
        <>
          <View style={styles.row} role="img" aria-label={`${text}. ${note}`}>
            {[...said].map((character, index) => (
              <View
                key={index}
                style={
                  places.has(index + 1) && [styles.unsure, { borderColor: colors.alarm, backgroundColor: colors.inset }]
                }
              >
                <Words mono strong={places.has(index + 1)} tone={places.has(index + 1) ? "alarm" : "muted"}>
                  {character}
                </Words>
              </View>
            ))}
          </View>
          <Words size="small" tone="muted">{`✕ ${note}`}</Words>
        </>
      )}
      {isAsking ? (
        <View style={[styles.asked, { borderColor: colors.petrol }]}>
          {unsure.map(({ position, choices }) => (
            <View key={position} style={styles.list}>
              <Words size="small" strong>{`Character ${position} on the car`}</Words>
              <Choices
                label={`Character ${position} on the car`}
                options={choices.map((value) => ({ value, label: value }))}
                value={answers[position] ?? null}
                onChoose={(value) => setAnswers({ ...answers, [position]: value })}
              />
            </View>
          ))}
          <Button
            label={`The car says ${said}`}
            disabled={unsure.some(({ position }) => answers[position] === undefined)}
            onPress={() => onChoose(said)}
            testID="asked-done"
          />
          {unsure.some(({ position }) => answers[position] === undefined) ? (
            <Words size="small" tone="muted">
              Say each of them as it stands on the car.
            </Words>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  row: { flexDirection: "row", flexWrap: "wrap", gap: 2 },
  unsure: { borderWidth: 2, borderRadius: 4, paddingHorizontal: 1 },
  asked: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
});
