import { zodResolver } from "@hookform/resolvers/zod";
import { useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Controller, useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { libraryJob, sameLibraryJob, type LibraryJob } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { z } from "zod";
import { call } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useBusiness, useRight, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Ticks } from "../ui/Ticks";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { fittedWords } from "./fittedWords";
import { JobLineFields } from "./JobLineFields";
import { PickedField } from "./PickedField";
import { CONDITION_TITLES, JOB_RIGHT_TITLES } from "./needWords";
import { changedJob, newTypedLine, readJob, typedJob, typedJobOf, type TypedJob } from "./typedJob";

/**
 * A job of the library, changed by the owner.
 * @param isNew - it is begun here, and kept as it is saved.
 */
export function JobEditor({ id, isNew = false }: { id: string; isNew?: boolean }) {
  const business = useBusiness();
  const seesCost = useRight("seeCost");
  const kept = business?.library.find((each) => each.id === id);
  const job = kept ?? (isNew ? emptyJob(id) : undefined);
  if (!business || business.library.length === 0)
    return (
      <Screen title="A job kept ready">
        <WaitingRows label="Loading the job" />
      </Screen>
    );
  if (!job || !seesCost)
    return (
      <Screen title="A job kept ready">
        <Notice
          kind="note"
          text={
            job
              ? "Jobs have costs in them. Ask somebody who may see cost to change them."
              : "That job is in the library no more. Under “Last changes” it can be brought back."
          }
        />
      </Screen>
    );
  return <Editor key={id} job={job} isKept={kept !== undefined} business={business} />;
}

function emptyJob(id: string): LibraryJob {
  return libraryJob.parse({ id, title: "", area: "", curesPoints: [], answersConcerns: [], lines: [] });
}

const NEW_LINES = [
  ["labor", "Add labor"],
  ["part", "Add a part"],
  ["fee", "Add a fee"],
  ["core", "Add a core deposit"],
] as const;

function Editor({ job, isKept, business }: { job: LibraryJob; isKept: boolean; business: Business }) {
  const router = useRouter();
  const queries = useQueryClient();
  // What the form was begun from: another's change of the same job meanwhile is in its way.
  const [base, setBase] = useState(job);
  const [isBegun, setBegun] = useState(!isKept);
  const [said, setSaid] = useState<{ kind: "fault" | "note"; text: string } | null>(null);
  const form = useForm<TypedJob, unknown, z.output<typeof readJob>>({
    resolver: zodResolver(readJob),
    defaultValues: typedJobOf(job),
  });
  const { control, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields(`settings/library/${job.id}`, form, {}, typedJob);
  const { fields, append, remove, move } = useFieldArray({ control, name: "lines", keyName: "key" });
  const lines = useWatch({ control, name: "lines" });
  const { settings } = business;
  const { rules } = settings;
  const isOther = !isBegun && !sameLibraryJob(base, job);
  const save = handleSubmit(
    async (read) => {
      const to = changedJob(base, read, rules);
      try {
        await call(routes.changeLibraryJobs, { body: { changes: [{ from: isBegun ? null : base, to }] } });
        setBase(to);
        setBegun(false);
        drop();
        await queries.invalidateQueries({ queryKey: ["business"] });
        await queries.invalidateQueries({ queryKey: ["libraryChanges"] });
        setSaid({ kind: "note", text: "Saved. Quotes keep what they were given of it, and say that it differs." });
      } catch (error) {
        if (error instanceof ApiProblem && error.problem.code === "version/changed")
          await queries.invalidateQueries({ queryKey: ["business"] });
        setSaid({ kind: "fault", text: errorWords(error) });
      }
    },
    () => setSaid({ kind: "fault", text: "Something above does not fit yet. Nothing was saved; put it right." }),
  );
  const begin = (from: LibraryJob): void => {
    drop();
    setBase(from);
    setSaid(null);
    reset(typedJobOf(from));
  };
  return (
    <Screen
      title={job.title || "A new job"}
      measured
      foot={
        <>
          {said ? <Notice kind={said.kind} text={said.text} /> : null}
          <NeedsSignal what="Saving the job" isTyped />
          <Button kind="next" label="Save the job" onPress={() => void save()} testID="save-job" />
        </>
      }
    >
      <Button kind="quiet" label="All jobs kept ready" onPress={() => router.navigate("/settings/library")} />
      <Heading level={1}>{job.title || "A new job"}</Heading>
      <BackAgain isBack={isBack} onGiveUp={() => begin(job)} />
      {isOther ? (
        <>
          <Notice kind="note" text="Somebody else changed this job since you began. What you typed is below." />
          <Button kind="quiet" label="Save mine over theirs" onPress={() => setBase(job)} />
          <Button kind="quiet" label="Begin again with theirs" onPress={() => begin(job)} />
        </>
      ) : null}
      <FormField control={control} name="title" label="Title" maxLength={120} />
      <FormField control={control} name="area" label="Area" maxLength={60} />
      <Controller
        control={control}
        name="isFavorite"
        render={({ field }) => (
          <Tick label="A favorite: on top of the list" value={field.value} onChange={field.onChange} />
        )}
      />
      <Heading level={2}>What is in it</Heading>
      {fields.map(({ key }, index) => {
        const line = lines[index];
        return line ? (
          <JobLineFields
            key={key}
            control={control}
            index={index}
            line={line}
            tables={Object.keys(rules.pricing.markup ?? {})}
            fitted={fittedWords(base, line.id, business.guide)}
            onUp={index > 0 ? () => move(index, index - 1) : null}
            onRemove={() => remove(index)}
          />
        ) : null;
      })}
      <View style={styles.row}>
        {NEW_LINES.map(([kind, label]) => (
          <Button key={kind} kind="quiet" label={label} onPress={() => append(newTypedLine(kind))} />
        ))}
      </View>
      <Heading level={2}>Words</Heading>
      <FormField control={control} name="customerWords" label="For the customer" multiline maxLength={500} />
      <FormField control={control} name="mechanicWords" label="For whoever does it" multiline maxLength={500} />
      <Heading level={2}>What it needs</Heading>
      <FormField control={control} name="skill" label="Skill" maxLength={60} />
      <Controller
        control={control}
        name="place"
        render={({ field }) => (
          <Ticks title="Of the place" titles={CONDITION_TITLES} chosen={field.value} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="rights"
        render={({ field }) => (
          <Ticks title="Of who does it" titles={JOB_RIGHT_TITLES} chosen={field.value} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="isDiagnosis"
        render={({ field }) => (
          <Tick label="It finds out what is wrong" value={field.value} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="curesPoints"
        render={({ field }) => (
          <PickedField
            title="Cures, of the check"
            label="Find a point of the check"
            items={settings.inspection}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="answersConcerns"
        render={({ field }) => (
          <PickedField
            title="Answers, of what is said"
            label="Find a ready phrase"
            items={settings.concerns.map(({ id, text }) => ({ id, title: text }))}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="companions"
        render={({ field }) => (
          <PickedField
            title="Offered with it"
            label="Find what else to offer"
            items={business.library.filter(({ id }) => id !== job.id)}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Words size="small" tone="muted">
        Where it is done and its other qualities stay as they are; they come in and out with the file.
      </Words>
    </Screen>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l } });
