import { useEffect, useRef, useState } from "react";
import { ScrollView, StyleSheet, View } from "react-native";
import { measureDoubt, type Finding, type InspectionPoint, type Measure, type MeasureDoubt } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { measureDoubtWords, measuredWords } from "./measureWords";
import { valueChoices } from "./valueChoices";

interface MeasurePadProps {
  point: InspectionPoint;
  finding: Finding | undefined;
  /** What a measure of the point was last time, or should be on this car; null: not known. */
  likelyOf: (measure: Measure) => number | null;
  /** What it was last time; null: it was not measured. */
  beforeOf: (measure: Measure) => number | null;
  today: string;
  onMeasure: (key: string, value: number) => void;
}

const CHOICE_WIDTH = 56;

/** The measurements of a point, each by one tap where the trade's figures are few; others are typed. */
export function MeasurePad({ point, finding, likelyOf, beforeOf, today, onMeasure }: MeasurePadProps) {
  const { measures } = point;
  const firstOpen = measures.find(({ key }) => finding?.measures[key] === undefined) ?? measures[0];
  const [picked, setPicked] = useState<string | null>(null);
  const [doubted, setDoubted] = useState<{ key: string; value: number; doubt: MeasureDoubt } | null>(null);
  const measure = measures.find(({ key }) => key === picked) ?? firstOpen;
  if (!measure) return null;
  const take = (value: number, isSure = false): void => {
    const doubt = isSure ? null : measureDoubt(measure, value, beforeOf(measure), today);
    if (doubt) return setDoubted({ key: measure.key, value, doubt });
    setDoubted(null);
    setPicked(null);
    onMeasure(measure.key, value);
  };
  return (
    <View style={styles.pad}>
      {measures.length > 1 ? (
        <Choices
          label={`What is measured, ${point.title}`}
          options={measures.map((each) => ({ value: each.key, label: shown(each, finding) }))}
          value={measure.key}
          onChoose={setPicked}
        />
      ) : null}
      {doubted?.key === measure.key ? (
        <View style={styles.doubt}>
          <Notice text={measureDoubtWords(doubted.doubt, measure, doubted.value)} />
          <View style={styles.row}>
            {doubted.doubt.likely === null ? null : (
              <Button
                label={`It is ${measuredWords(measure, doubted.doubt.likely)}`}
                onPress={() => take(doubted.doubt.likely ?? doubted.value, true)}
                testID="measure-likely"
              />
            )}
            {doubted.doubt.why === "noDate" ? null : (
              <Button
                label={`Yes, ${measuredWords(measure, doubted.value)}`}
                onPress={() => take(doubted.value, true)}
                testID="measure-sure"
              />
            )}
            <Button kind="quiet" label="Measure again" onPress={() => setDoubted(null)} />
          </View>
        </View>
      ) : (
        <Values
          key={measure.key}
          measure={measure}
          value={finding?.measures[measure.key] ?? null}
          likely={likelyOf(measure)}
          onTake={take}
        />
      )}
    </View>
  );
}

function shown(measure: Measure, finding: Finding | undefined): string {
  const value = finding?.measures[measure.key];
  return value === undefined ? measure.name : `${measure.name} ${measuredWords(measure, value)}`;
}

interface ValuesProps {
  measure: Measure;
  value: number | null;
  likely: number | null;
  onTake: (value: number) => void;
}

function Values({ measure, value, likely, onTake }: ValuesProps) {
  const colors = useColors();
  const choices = valueChoices(measure, likely);
  const [isTyping, setTyping] = useState(choices.length === 0);
  const scroller = useRef<ScrollView>(null);
  const first = choices[0] ?? 0;
  const likelyPlace = choices.findIndex((each) => each >= (value ?? likely ?? measure.start));
  useEffect(() => {
    // The likely figure stands in the middle, with those below it to its left.
    scroller.current?.scrollTo({ x: Math.max(0, (likelyPlace - 2) * (CHOICE_WIDTH + SPACE.xs)), animated: false });
  }, [likelyPlace, first]);
  if (isTyping) return <Typed measure={measure} value={value} onTake={onTake} />;
  return (
    <View style={styles.row}>
      <ScrollView
        ref={scroller}
        horizontal
        showsHorizontalScrollIndicator={false}
        keyboardShouldPersistTaps="handled"
        role="group"
        aria-label={measure.name}
        style={styles.values}
      >
        {choices.map((each) => {
          const isChosen = each === value;
          return (
            <Press
              key={each}
              label={`${measure.name} ${measuredWords(measure, each)}`}
              aria-pressed={isChosen}
              onPress={() => onTake(each)}
              testID={`value-${each}`}
              style={[
                styles.value,
                {
                  borderColor: isChosen ? colors.petrol : colors.muted,
                  backgroundColor: isChosen ? colors.petrol : colors.paper,
                },
              ]}
            >
              <Words figures strong align="center" tone={isChosen ? "onPetrol" : "ink"}>
                {String(each)}
              </Words>
            </Press>
          );
        })}
      </ScrollView>
      <Button kind="quiet" label="Type" spoken={`Type ${measure.name}`} onPress={() => setTyping(true)} />
    </View>
  );
}

function Typed({ measure, value, onTake }: Omit<ValuesProps, "likely">) {
  const [typed, setTyped] = useState(value === null ? "" : measuredWords({ ...measure, unit: "" }, value));
  const number = /^-?\d{1,6}(\.\d{1,3})?$/.test(typed.trim()) ? Number(typed) : null;
  const isFour = measure.kind !== "dotDate" || /^\d{4}$/.test(typed.trim());
  const leave = (): void => {
    if (number !== null && isFour && number !== value) onTake(number);
  };
  return (
    <Field
      label={measure.unit === "" ? measure.name : `${measure.name}, ${measure.unit}`}
      value={typed}
      onChangeText={setTyped}
      onBlur={leave}
      onSubmitEditing={leave}
      inputMode="decimal"
      maxLength={9}
      autoComplete="off"
      error={typed.trim() === "" || number !== null ? null : "a number is needed"}
    />
  );
}

const styles = StyleSheet.create({
  pad: { gap: SPACE.xs },
  doubt: { gap: SPACE.xs },
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.xs, flexWrap: "wrap" },
  values: { flex: 1, minWidth: 120 },
  value: { width: CHOICE_WIDTH, minHeight: 52, borderWidth: 1.5, borderRadius: 4, marginRight: SPACE.xs },
});
