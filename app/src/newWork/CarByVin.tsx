import { useQuery } from "@tanstack/react-query";
import { StyleSheet, View } from "react-native";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { ConfirmGuess, ConfirmKnown } from "./ConfirmCar";
import { useDraft } from "./draft";

const VIN_LENGTH = 17;

/** The car behind a VIN: counted while typed, checked at once, with what was probably meant. */
export function CarByVin() {
  const { draft, change } = useDraft();
  const vin = draft.vin.replace(/[\s-]/g, "").toUpperCase();
  const isWhole = vin.length >= VIN_LENGTH;
  const { data, error, refetch } = useQuery({
    queryKey: ["vin", vin],
    queryFn: () => call(routes.decodeVin, { params: { vin } }),
    enabled: isWhole,
    staleTime: Infinity,
  });
  const shown = isWhole ? data : undefined;
  const problems = shown?.report.problems ?? [];
  const isReadable =
    shown !== undefined && !problems.some(({ code }) => code === "wrong-length" || code === "illegal-character");
  const plate =
    draft.plate.trim() === "" || draft.plateRegion === ""
      ? null
      : { plate: draft.plate.trim(), region: draft.plateRegion };
  return (
    <View style={styles.list}>
      <Field
        label="VIN"
        mono
        autoCapitalize="characters"
        value={draft.vin}
        onChangeText={(typed) => change({ vin: typed })}
        maxLength={40}
        hint={`${vin.length} of ${VIN_LENGTH} characters`}
        autoComplete="off"
      />
      {isWhole && error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {problems.map((problem) => (
        <Notice
          key={`${problem.code}${problem.position ?? ""}`}
          kind={problem.code === "check-digit-note" || problem.code === "unknown-model" ? "note" : "fault"}
          text={problem.message}
        />
      ))}
      {shown && shown.report.suggestions.length > 0 ? (
        <View style={styles.list}>
          <Words strong>Probably meant:</Words>
          {shown.report.suggestions.slice(0, 3).map(({ vin: meant, changes }) => (
            <Button
              key={meant}
              label={`${meant} (${changes.map(({ position, from, to }) => `${position}: ${from} is ${to}`).join(", ")})`}
              onPress={() => change({ vin: meant })}
            />
          ))}
        </View>
      ) : null}
      {shown?.known ? <ConfirmKnown {...shown.known} /> : null}
      {isReadable && !shown.known ? (
        <ConfirmGuess
          guess={{ ...shown.guess, ...plate }}
          words={problems.some(({ code }) => code === "check-digit") ? "Keep it as typed" : "Yes, this one"}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
