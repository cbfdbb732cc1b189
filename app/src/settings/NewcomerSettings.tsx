import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import {
  businessSettings,
  mergeLists,
  type BusinessSettings,
  type NewcomerSettings as Newcomers,
} from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness, useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedState } from "../unsaved/useUnsavedState";
import { listed, readListed } from "./listed";
import { useSettingsList } from "./useSettingsList";

/** Questions as they are typed: the answers to choose from on one line. */
const typed = ({ questions }: Newcomers): { id: string; text: string; choices: string }[] =>
  questions.map((question) => ({ ...question, choices: listed(question.choices) }));
const asItems = (words: readonly string[]): { id: string }[] => words.map((id) => ({ id }));

const typedNewcomers = z.object({
  base: businessSettings,
  found: z.string(),
  questions: z.array(z.object({ id: z.string(), text: z.string(), choices: z.string() })),
});

/** What newcomers are asked, and what they answered. */
export function NewcomerSettings() {
  const business = useBusiness();
  const mayReport = useRight("reports");
  if (!business)
    return (
      <Screen title="Newcomers">
        <Waiting label="Loading the settings" />
      </Screen>
    );
  return <Questions settings={business.settings}>{mayReport ? <Report /> : null}</Questions>;
}

function Questions({ settings, children }: { settings: BusinessSettings; children: ReactNode }) {
  const { newcomers } = settings;
  const colors = useColors();
  const unsaved = useUnsavedState("settings/newcomers", typedNewcomers, {
    base: settings,
    found: listed(newcomers.foundUsBy),
    questions: typed(newcomers),
  });
  const { found, questions, base: begunFrom } = unsaved.value;
  const setFound = (next: string): void => unsaved.set((before) => ({ ...before, found: next }));
  const setQuestions = (next: typeof questions): void => unsaved.set((before) => ({ ...before, questions: next }));
  const { said, save: saveList } = useSettingsList("newcomers", begunFrom, (base, newest) => {
    unsaved.set((mine) => ({
      base: newest,
      questions: mergeLists(mine.questions, typed(base.newcomers), typed(newest.newcomers)),
      found: listed(
        mergeLists(
          asItems(readListed(mine.found)),
          asItems(base.newcomers.foundUsBy),
          asItems(newest.newcomers.foundUsBy),
        ).map(({ id }) => id),
      ),
    }));
  });
  const change = (id: string, part: { text?: string; choices?: string }): void =>
    setQuestions(questions.map((question) => (question.id === id ? { ...question, ...part } : question)));
  const save = (): Promise<void> => {
    const asked = questions
      .filter(({ text }) => text.trim() !== "")
      .map((question) => ({ ...question, choices: readListed(question.choices) }));
    return saveList(
      (version) => call(routes.changeNewcomers, { body: { version, foundUsBy: readListed(found), questions: asked } }),
      "Saved. It is asked from the next newcomer on; answers given before are kept.",
      unsaved.drop,
    );
  };
  const foot = (
    <>
      {said ? <Notice {...said} /> : null}
      <Button kind="next" label="Save what is asked" onPress={() => void save()} testID="save-newcomers" />
    </>
  );
  return (
    <Screen title="Newcomers" measured foot={foot}>
      <Heading level={1}>Newcomers</Heading>
      <BackAgain isBack={unsaved.isBack} onGiveUp={unsaved.drop} />
      <Field
        label="How they found us, separated by commas"
        value={found}
        onChangeText={setFound}
        multiline
        maxLength={1500}
      />
      {questions.map(({ id, text, choices }, index) => (
        <View key={id} style={[styles.question, { borderColor: colors.hairline }]}>
          <Field
            label={`Question ${index + 1}`}
            value={text}
            onChangeText={(value) => change(id, { text: value })}
            maxLength={300}
          />
          <Field
            label="Answers to choose from"
            hint="Separated by commas; empty: the answer is typed"
            value={choices}
            onChangeText={(value) => change(id, { choices: value })}
            maxLength={1500}
          />
          <Button
            kind="quiet"
            label={`Remove question ${index + 1}`}
            onPress={() => setQuestions(questions.filter((each) => each.id !== id))}
          />
        </View>
      ))}
      <Button
        label="Add a question"
        onPress={() => setQuestions([...questions, { id: uuid(), text: "", choices: "" }])}
      />
      {children}
    </Screen>
  );
}

function Report() {
  const { data, error, refetch } = useQuery({
    queryKey: ["newcomerReport"],
    queryFn: () => call(routes.newcomerReport, {}),
  });
  if (error) return <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />;
  if (!data) return <Waiting label="Counting the answers" />;
  return (
    <View style={styles.list}>
      <Heading level={2}>What they answered</Heading>
      <Words tone="muted" figures>{`${data.newcomers} newcomers since ${data.since.slice(0, 10)}`}</Words>
      <Heading level={3}>How they found us</Heading>
      {data.foundUsBy.map(({ answer, count }) => (
        <Row key={answer} left={answer} right={String(count)} />
      ))}
      {data.questions.map(({ questionId, question, answers }) => (
        <View key={questionId}>
          <Heading level={3}>{question}</Heading>
          {answers.map(({ answer, count }) => (
            <Row key={answer} left={answer} right={String(count)} />
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  question: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
});
