import { zodResolver } from "@hookform/resolvers/zod";
import { useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Controller, useForm } from "react-hook-form";
import { isWholeOrder, libraryJob, sameLibraryJob, type LibraryJob } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { z } from "zod";
import { call } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";
import { useBusiness, useRight, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { Tick } from "../ui/Tick";
import { WaitingRows } from "../ui/WaitingRows";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { JobLinesFields } from "./JobLinesFields";
import { JobNeedsFields } from "./JobNeedsFields";
import { JobOfferFields } from "./JobOfferFields";
import { PickedFormField } from "./PickedFormField";
import { changedJob, readJob, typedJob, typedJobOf, type TypedJob } from "./typedJob";
import { VariantFields } from "./VariantFields";

/**
 * A job of the library, or a whole order, changed by the owner.
 * @param begin - it is begun here, and kept as it is saved.
 */
export function JobEditor({ id, begin }: { id: string; begin?: "job" | "order" }) {
  const business = useBusiness();
  const seesCost = useRight("seeCost");
  const kept = business?.library.find((each) => each.id === id);
  const job = kept ?? (begin ? emptyJob(id) : undefined);
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
  const isOrder = kept ? isWholeOrder(kept) : begin === "order";
  return <Editor key={id} job={job} isKept={kept !== undefined} isOrder={isOrder} business={business} />;
}

function emptyJob(id: string): LibraryJob {
  return libraryJob.parse({ id, title: "", area: "", curesPoints: [], answersConcerns: [], lines: [] });
}

interface EditorProps {
  job: LibraryJob;
  isKept: boolean;
  isOrder: boolean;
  business: Business;
}

function Editor({ job, isKept, isOrder, business }: EditorProps) {
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
  const newTitle = isOrder ? "A new whole order" : "A new job";
  const isOther = !isBegun && !sameLibraryJob(base, job);
  const save = handleSubmit(
    async (read) => {
      if (isOrder && read.brings.length === 0) {
        setSaid({ kind: "fault", text: "A whole order brings a job at least. Nothing was saved; find one above." });
        return;
      }
      const to = changedJob(base, read, business.settings.rules);
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
      title={job.title || newTitle}
      measured
      foot={<SaveFoot said={said} what="Saving the job" label="Save the job" onSave={save} testID="save-job" />}
    >
      <Button kind="quiet" label="All jobs kept ready" onPress={() => router.navigate("/settings/library")} />
      <Heading level={1}>{job.title || newTitle}</Heading>
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
      {isOrder ? (
        <PickedFormField
          control={control}
          name="brings"
          title="The jobs it brings"
          label="Find a job to bring"
          items={business.library.filter((other) => !isWholeOrder(other))}
        />
      ) : (
        <>
          <JobLinesFields control={control} job={base} business={business} />
          <VariantFields control={control} />
          <JobNeedsFields control={control} />
          <JobOfferFields control={control} jobId={job.id} business={business} />
        </>
      )}
    </Screen>
  );
}
