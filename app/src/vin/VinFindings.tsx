import { StyleSheet, View } from "react-native";
import type { VinReport } from "@mechanon/core/vin";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { VIN_LENGTH } from "./useVin";
import { VinMarks } from "./VinMarks";

/** Problems that are only told. */
const NOTES: readonly string[] = ["check-digit-note", "unknown-model", "either-year"];
const MOST_SUGGESTED = 3;

/** What is wrong with a VIN as typed so far; only a whole one is held against its check digit. */
export function vinProblems(report: VinReport): VinReport["problems"] {
  return report.problems.filter(({ code }) => report.vin.length >= VIN_LENGTH || code === "illegal-character");
}

/** What is wrong with a typed VIN: the suspect characters framed, why, and what was probably meant, to be pressed. */
export function VinFindings({ report, onMeant }: { report: VinReport; onMeant: (vin: string) => void }) {
  const problems = vinProblems(report);
  const suggestions = report.vin.length >= VIN_LENGTH ? report.suggestions.slice(0, MOST_SUGGESTED) : [];
  return (
    <>
      {problems.length > 0 ? <VinMarks report={report} /> : null}
      {problems.map((problem) => (
        <Notice
          key={`${problem.code}${problem.position ?? ""}`}
          kind={NOTES.includes(problem.code) ? "note" : "fault"}
          text={problem.message}
        />
      ))}
      {suggestions.length > 0 ? (
        <View style={styles.list}>
          <Words strong>Probably meant:</Words>
          {suggestions.map(({ vin: meant, changes }) => (
            <Button
              key={meant}
              label={`${meant} (${changes.map(({ position, from, to }) => `${position}: ${from} is ${to}`).join(", ")})`}
              onPress={() => onMeant(meant)}
            />
          ))}
        </View>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
