import { StyleSheet, View } from "react-native";
import type { NewcomerSettings } from "@mechanon/core";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface Answer {
  questionId: string;
  question: string;
  answer: string;
}

export interface NewcomerQuestionsProps {
  settings: NewcomerSettings;
  isNewcomer: boolean;
  foundUsBy: string | null;
  answers: readonly Answer[];
  onChange: (changed: { foundUsBy: string | null; answers: Answer[] }) => void;
}

/** How they found us, and what the owner wants asked; nothing has to be answered. */
export function NewcomerQuestions({ settings, isNewcomer, foundUsBy, answers, onChange }: NewcomerQuestionsProps) {
  const answerTo = (id: string): string => answers.find(({ questionId }) => questionId === id)?.answer ?? "";
  const set = (questionId: string, question: string, answer: string): void => {
    const others = answers.filter((each) => each.questionId !== questionId);
    onChange({ foundUsBy, answers: answer === "" ? others : [...others, { questionId, question, answer }] });
  };
  const found = [...new Set([...settings.foundUsBy, ...(foundUsBy ? [foundUsBy] : [])])];
  if (found.length + settings.questions.length === 0) return null;
  return (
    <View style={styles.list}>
      <Heading level={2}>{isNewcomer ? "New here: ask" : "Asked when new"}</Heading>
      {found.length > 0 ? (
        <>
          <Words size="small" strong>
            How they found us
          </Words>
          <Choices
            label="How they found us"
            options={found.map((value) => ({ value, label: value }))}
            value={foundUsBy}
            onChoose={(value) => onChange({ foundUsBy: value === foundUsBy ? null : value, answers: [...answers] })}
          />
        </>
      ) : null}
      {settings.questions.map(({ id, text, choices }) =>
        choices.length > 0 ? (
          <View key={id} style={styles.list}>
            <Words size="small" strong>
              {text}
            </Words>
            <Choices
              label={text}
              options={choices.map((value) => ({ value, label: value }))}
              value={answerTo(id)}
              onChoose={(value) => set(id, text, value === answerTo(id) ? "" : value)}
            />
          </View>
        ) : (
          <Field
            key={id}
            label={text}
            value={answerTo(id)}
            onChangeText={(value) => set(id, text, value)}
            maxLength={1000}
          />
        ),
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
