import { StyleSheet, View } from "react-native";
import {
  creditWords,
  ANSWERS,
  isOnPaper,
  paperWords,
  showMoney,
  type Answer,
  type WorkOrderState,
} from "@mechanon/core";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

const ANSWER_WORDS: Record<Answer, string> = { yes: "Yes", later: "Later", no: "No" };
const OPTIONS = ANSWERS.map((value) => ({ value, label: ANSWER_WORDS[value] }));

interface JobToAnswerProps {
  job: WorkOrderState["jobs"][number];
  totalCents: number;
  /** What of a diagnosis was taken off; 0: nothing. */
  creditCents: number;
  answer: Answer | null;
  onAnswer: (answer: Answer) => void;
}

/** One job of the quote: what it takes, what it costs, and the customer's answer. */
export function JobToAnswer({ job, totalCents, creditCents, answer, onAnswer }: JobToAnswerProps) {
  const colors = useColors();
  return (
    <View style={[styles.job, { borderColor: colors.hairline }]}>
      <Row strong left={job.title} right={showMoney(totalCents)} />
      <Words size="small" tone="muted">
        {job.lines
          .filter(isOnPaper)
          .map((line) => paperWords(line))
          .join(", ")}
      </Words>
      {creditCents > 0 ? (
        <Words size="small" figures>
          {creditWords("en", creditCents)}
        </Words>
      ) : null}
      <Choices
        even
        label={`Your answer on ${job.title}`}
        options={OPTIONS}
        value={answer}
        onChoose={onAnswer}
        testID={`answer-${job.libraryJobId ?? job.id}`}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  job: { borderTopWidth: 1, paddingVertical: SPACE.m, gap: SPACE.s },
});
