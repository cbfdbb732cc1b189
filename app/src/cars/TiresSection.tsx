import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { compareTires, countOf, readTireAge, specLines, type TireAge } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { Field } from "../ui/Field";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { tireLines, tireWarnings } from "./carWords";
import { tried } from "./tried";

const AGE_WORDS: Readonly<Record<TireAge["standing"], string>> = {
  good: "young enough",
  aging: "look closely for cracks",
  old: "too old to keep",
};

/** Another tire size against the car's own, and a tire's age from its code. */
export function TiresSection({ sheet }: { sheet: VehicleSheetView }) {
  const lines = specLines(sheet.specs, sheet.corrections);
  const own = lines.find(({ key }) => key === "tireFront")?.value ?? "";
  const rear = lines.find(({ key }) => key === "tireRear")?.value ?? own;
  const today = useToday();
  const [original, setOriginal] = useState(own);
  const [other, setOther] = useState("");
  const [code, setCode] = useState("");
  const comparison = original.trim() && other.trim() ? tried(() => compareTires(original, other)) : null;
  const faultOf = (field: "original" | "other"): string | null =>
    comparison?.path === field ? comparison.fault : null;
  const age = code.trim().length >= 3 ? tried(() => readTireAge(code, today)) : null;
  return (
    <View style={styles.list}>
      {rear === own ? null : <Words tone="muted">{`Rear: ${rear}`}</Words>}
      <Field
        label="Original size"
        value={original}
        onChangeText={setOriginal}
        placeholder="215/55R17 94V"
        error={faultOf("original")}
        maxLength={40}
        autoComplete="off"
      />
      <Field
        label="Size to compare"
        value={other}
        onChangeText={setOther}
        placeholder="225/50R17 94W"
        error={faultOf("other")}
        maxLength={40}
        autoComplete="off"
      />
      {comparison?.value ? (
        <View testID="tire-comparison">
          {tireLines(comparison.value).map(([left, right]) => (
            <Row key={left} left={left} right={right} />
          ))}
          {tireWarnings(comparison.value).map((words) => (
            <Words key={words} tone="alarm">{`✕ ${words}`}</Words>
          ))}
        </View>
      ) : null}
      <Field
        label="DOT code, or its last four digits"
        value={code}
        onChangeText={setCode}
        placeholder="2319"
        error={age?.fault}
        maxLength={30}
        autoCapitalize="characters"
        autoComplete="off"
      />
      {age?.value ? (
        <Words tone={age.value.standing === "good" ? "ink" : "alarm"}>
          {`Made in week ${age.value.week} of ${age.value.year}: ${countOf(Math.floor(age.value.ageMonths / 12), "year")} and ${countOf(age.value.ageMonths % 12, "month")} old, ${AGE_WORDS[age.value.standing]}.`}
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
