import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import {
  SAFETY_WORDS,
  picturesOf,
  safetyQuestions,
  showMoney,
  visitStanding,
  type SafetyQuestion,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { PhotoButton } from "../photos/PhotoButton";
import { PhotoStrip } from "../photos/PhotoStrip";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { attachPhoto } from "../sync/photoActs";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { CircleCheck, OctagonX } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Toggles } from "../ui/Toggles";
import { useColors } from "../ui/face";
import { Words } from "../ui/Words";

interface PlaceGateProps {
  view: WorkOrderView;
  business: Business;
}

/** Whether the place is safe for the work at hand: one tap when all is well, a reason and a photo when it is not. */
export function PlaceGate({ view, business }: PlaceGateProps) {
  const colors = useColors();
  const { state, visits } = view;
  const visit = visits.find((each) => visitStanding(each) === "onSite") ?? visits.at(-1);
  const [isRefusing, setRefusing] = useState(false);
  const jobs = state.jobs.flatMap(({ libraryJobId }) => business.library.find(({ id }) => id === libraryJobId) ?? []);
  const questions = safetyQuestions(jobs);
  const judged = state.placesJudged.find(({ visitId }) => visitId === visit?.id);
  if (!visit) return null;
  const judge = (isSafe: boolean, asked: SafetyQuestion[], reason: string): void => {
    sendCommand(state.id, { type: "judgePlace", visitId: visit.id, isSafe, questions: asked, reason });
    setRefusing(false);
  };
  if (isRefusing)
    return (
      <Refuse
        questions={questions}
        view={view}
        business={business}
        visitId={visit.id}
        onKeep={judge}
        onBack={() => setRefusing(false)}
      />
    );
  if (judged)
    return (
      <View style={styles.list}>
        <View style={styles.row}>
          {judged.isSafe ? <CircleCheck size={22} color={colors.ink} /> : <OctagonX size={22} color={colors.alarm} />}
          <Words strong tone={judged.isSafe ? "ink" : "alarm"} style={styles.grow}>
            {judged.isSafe ? "Safe to work here" : `Cannot be done safely here: ${judged.reason}`}
          </Words>
          <Button
            kind="quiet"
            label={judged.isSafe ? "Not any more" : "It is safe now"}
            onPress={() => (judged.isSafe ? setRefusing(true) : judge(true, questions, ""))}
          />
        </View>
        <PhotoStrip pictures={picturesOf(state, "place", visit.id)} title="The place" tellsSending />
      </View>
    );
  return (
    <View style={styles.list}>
      <Words size="small" tone="muted">
        {questions.map((question) => SAFETY_WORDS[question]).join(" · ")}
      </Words>
      <View style={styles.row}>
        <Button label="All of it: safe to work here" onPress={() => judge(true, questions, "")} testID="place-safe" />
        <Button kind="quiet" label="Not safe here" onPress={() => setRefusing(true)} testID="place-unsafe" />
      </View>
    </View>
  );
}

function Refuse({
  questions,
  view: { state, visits },
  business,
  visitId,
  onKeep,
  onBack,
}: PlaceGateProps & {
  questions: SafetyQuestion[];
  visitId: string;
  onKeep: (isSafe: boolean, questions: SafetyQuestion[], reason: string) => void;
  onBack: () => void;
}) {
  const [missing, setMissing] = useState<string[]>([]);
  const [words, setWords] = useState("");
  const reason = [...missing.map((each) => `no: ${SAFETY_WORDS[each as SafetyQuestion].toLowerCase()}`), words.trim()]
    .filter(Boolean)
    .join("; ");
  const { callOffFeeCents } = business.settings.visits;
  const isAgreed = (visits.find(({ id }) => id === visitId)?.arranged.termsAcceptedAt ?? null) !== null;
  return (
    <View style={styles.list}>
      <Words strong>What is missing?</Words>
      <Toggles
        label="What is missing"
        options={questions.map((value) => ({ value, label: SAFETY_WORDS[value] }))}
        chosen={missing}
        onChange={setMissing}
      />
      <Field label="In own words" value={words} onChangeText={setWords} maxLength={200} />
      <PhotoButton
        label="Photo of the place"
        of="the place"
        testID="photo-place"
        onTake={async (photo) => {
          await attachPhoto(state.id, { of: "place", id: visitId }, photo);
        }}
      />
      <PhotoStrip pictures={picturesOf(state, "place", visitId)} title="The place" tellsSending />
      <Button
        label="Cannot be done safely here"
        disabled={reason === ""}
        onPress={() =>
          onKeep(
            false,
            questions.filter((each) => missing.includes(each)),
            reason.slice(0, 300),
          )
        }
        testID="keep-unsafe-place"
      />
      {isAgreed && callOffFeeCents > 0 ? (
        <Button
          kind="quiet"
          label={`Put the fee they agreed to on the bill, ${showMoney(callOffFeeCents)}`}
          onPress={() =>
            sendCommand(state.id, {
              type: "addVisitFee",
              jobId: uuid(),
              lineId: uuid(),
              kind: "callOff",
              cars: 1,
              car: 0,
            })
          }
        />
      ) : null}
      <Button kind="quiet" label="Back" onPress={onBack} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, alignItems: "center" },
  grow: { flex: 1, minWidth: 160 },
});
