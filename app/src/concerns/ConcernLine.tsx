import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { concernStanding, type Concern } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Check, CircleDashed } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { AnswerConcern } from "./AnswerConcern";
import { concernAnswerWords } from "./concernAnswerWords";

interface ConcernLineProps {
  concern: Concern;
  view: WorkOrderView;
  business: Business;
}

/** Why they called, and what became of it: answered by a person, on the quote, or open for all to see. */
export function ConcernLine({ concern, view, business }: ConcernLineProps) {
  const colors = useColors();
  const [isAnswering, setAnswering] = useState(false);
  const { state } = view;
  const job = state.jobs.find(({ concernId }) => concernId === concern.id);
  const standing = concernStanding(concern, state.jobs);
  const codes = state.codes.filter(({ concernId }) => concernId === concern.id);
  const isSettled = standing === "answered" || (standing === "onQuote" && concern.kind === "wish");
  const Icon = isSettled ? Check : CircleDashed;
  return (
    <View style={styles.line}>
      <Icon size={20} color={isSettled ? colors.ink : colors.alarm} />
      <View style={styles.words}>
        <Words strong>“{concern.text}”</Words>
        {concern.answer ? (
          concernAnswerWords(concern.answer).map((line) => (
            <Words key={line} size="small">
              {line}
            </Words>
          ))
        ) : (
          <Words size="small" tone="alarm">
            {job === undefined && concern.kind === "wish"
              ? "Nothing on the quote answers this yet"
              : "Open: nobody said what it was"}
          </Words>
        )}
        {job ? <Words size="small" tone="muted">{`Answered by ${job.title}`}</Words> : null}
        {codes.length > 0 ? (
          <Words size="small" figures>{`Codes: ${codes.map(({ code }) => code).join(", ")}`}</Words>
        ) : null}
        {isAnswering ? (
          <AnswerConcern concern={concern} view={view} business={business} onDone={() => setAnswering(false)} />
        ) : (
          <View style={styles.row}>
            {concern.answer ? (
              <Button
                kind="quiet"
                label="Open it again"
                spoken={`Open it again: ${concern.text}`}
                onPress={() => sendCommand(state.id, { type: "reopenConcern", concernId: concern.id })}
              />
            ) : null}
            <Button
              kind="quiet"
              label={concern.answer ? "Change the answer" : "What was it?"}
              spoken={`${concern.answer ? "Change the answer" : "What was it?"} ${concern.text}`}
              onPress={() => setAnswering(true)}
              testID={`answer-${concern.id}`}
            />
          </View>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: "row", gap: SPACE.s },
  words: { flex: 1, gap: 2 },
  row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l },
});
