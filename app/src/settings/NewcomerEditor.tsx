import { useQuery } from "@tanstack/react-query";
import { zodResolver } from "@hookform/resolvers/zod";
import type { ReactNode } from "react";
import { useFieldArray, useForm } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { changesOfList, idOf, mergeLists, wholeOf, type BusinessSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness, useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { begunFrom } from "./begunFrom";
import { listed, readListed } from "./listed";
import { useSettingsList } from "./useSettingsList";

const typedNewcomers = z.object({
  base: begunFrom,
  found: z.string(),
  questions: z.array(z.object({ id: z.string(), text: z.string(), choices: z.string() })),
});
const newcomers = typedNewcomers.extend({
  found: z.string().transform(readListed),
  questions: z.array(z.object({ id: z.string(), text: z.string(), choices: z.string().transform(readListed) })),
});
type Typed = z.input<typeof newcomers>;

/** What is asked, as it is typed: the answers to choose from on one line. */
function typedOf(settings: BusinessSettings): Typed {
  const { foundUsBy, questions } = settings.newcomers;
  return {
    base: settings,
    found: listed(foundUsBy),
    questions: questions.map((question) => ({ ...question, choices: listed(question.choices) })),
  };
}

/** What newcomers are asked, and what they answered. */
export function NewcomerEditor() {
  const business = useBusiness();
  const mayReport = useRight("reports");
  if (!business)
    return (
      <Screen title="Newcomers">
        <WaitingRows label="Loading the settings" />
      </Screen>
    );
  return <Questions settings={business.settings}>{mayReport ? <Report /> : null}</Questions>;
}

function Questions({ settings, children }: { settings: BusinessSettings; children: ReactNode }) {
  const colors = useColors();
  const form = useForm<Typed, unknown, z.output<typeof newcomers>>({
    resolver: zodResolver(newcomers),
    defaultValues: typedOf(settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/newcomers", form, {}, typedNewcomers);
  const { fields, append, remove } = useFieldArray({ control, name: "questions", keyName: "key" });
  const list = useSettingsList(
    "newcomers",
    () => getValues("base"),
    (before, newest) => {
      const [mine, base, theirs] = [getValues(), typedOf(before), typedOf(newest)];
      const found = mergeLists(
        readListed(mine.found),
        before.newcomers.foundUsBy,
        newest.newcomers.foundUsBy,
        (way) => way,
      );
      reset({
        base: newest,
        questions: mergeLists(mine.questions, base.questions, theirs.questions, idOf),
        found: listed(found),
      });
    },
  );
  const save = handleSubmit(({ found, questions }) => {
    const asked = questions.filter(({ text }) => text.trim() !== "");
    return list.save(
      ({ newcomers: base }, version) =>
        call(routes.changeNewcomers, {
          body: {
            version,
            foundUsBy: changesOfList([base.foundUsBy], [found], wholeOf),
            questions: changesOfList(base.questions, asked, idOf),
          },
        }),
      "Saved. It is asked from the next newcomer on; answers given before are kept.",
      (newest) => {
        setValue("base", newest);
        drop();
      },
    );
  }, list.doesNotFit);
  return (
    <Screen
      title="Newcomers"
      measured
      foot={
        <SaveFoot
          said={list.said}
          what="Saving what is asked"
          label="Save what is asked"
          onSave={save}
          testID="save-newcomers"
        />
      }
    >
      <Heading level={1}>Newcomers</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedOf(settings));
        }}
      />
      <FormField
        control={control}
        name="found"
        label="How they found us, separated by commas"
        multiline
        maxLength={1500}
      />
      {fields.map(({ key }, index) => (
        <View key={key} style={[styles.question, { borderColor: colors.hairline }]}>
          <FormField
            control={control}
            name={`questions.${index}.text`}
            label={`Question ${index + 1}`}
            maxLength={300}
          />
          <FormField
            control={control}
            name={`questions.${index}.choices`}
            label="Answers to choose from"
            hint="Separated by commas; empty: the answer is typed"
            maxLength={1500}
          />
          <Button kind="quiet" label={`Remove question ${index + 1}`} onPress={() => remove(index)} />
        </View>
      ))}
      <Button label="Add a question" onPress={() => append({ id: uuid(), text: "", choices: "" })} />
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
  if (!data) return <WaitingRows label="Counting the answers" />;
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
