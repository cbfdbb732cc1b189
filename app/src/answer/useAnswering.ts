import { useState } from "react";
import {
  answerWith,
  chosenWay,
  sumShown,
  type Answer,
  type ChosenAnswer,
  type ShownJob,
  type ShownQuote,
  type ShownSum,
  type ShownWay,
} from "@mechanon/core";

/** What is chosen for a job, as far as it is. */
export interface Choice extends ChosenAnswer {
  reason: string;
  askOn: string | null;
}

/** An answer as it is given. */
export interface GivenChoice {
  jobId: string;
  title: string;
  answer: Answer;
  otherId: string | null;
  totalCents: number;
  reason: string;
  askOn: string | null;
}

export interface Answering {
  /** Jobs that are to be answered, or may be answered in another way; what is agreed already stands by itself. */
  open: ShownJob[];
  agreed: ShownJob[];
  answerTo: (job: ShownJob) => Answer | null;
  choiceOf: (jobId: string) => Choice | undefined;
  wayOf: (job: ShownJob) => ShownWay;
  answer: (jobId: string, value: Answer) => void;
  change: (jobId: string, over: Partial<Choice>) => void;
  sum: ShownSum;
  unanswered: string[];
  /** Something is agreed to that was not before. */
  isAgreeing: boolean;
  given: GivenChoice[];
}

/** A customer's answers to a quote as they are chosen, and what they come to. @param usual - what each job that is asked begins with. */
export function useAnswering(shown: ShownQuote, usual?: Answer): Answering {
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>(() =>
    usual === undefined
      ? {}
      : Object.fromEntries(
          shown.jobs
            .filter(({ isDone, answer }) => !isDone && answer === null)
            .map(({ id }) => [id, { value: usual, reason: "", askOn: null }]),
        ),
  );
  const chosen = new Map(Object.entries(choices));
  const open = shown.jobs.filter(({ isDone, answer }) => !isDone && answer !== "yes");
  const answerTo = (job: ShownJob): Answer | null => answerWith(job, chosen);
  const wayOf = (job: ShownJob): ShownWay => chosenWay(job, choices[job.id]);
  const change = (jobId: string, over: Partial<Choice>): void =>
    setChoices((before) => {
      const answered = shown.jobs.find(({ id }) => id === jobId)?.answer ?? "yes";
      const own = before[jobId] ?? { value: answered, reason: "", askOn: null };
      return { ...before, [jobId]: { ...own, ...over } };
    });
  return {
    open,
    agreed: shown.jobs.filter(({ isDone, answer }) => isDone || answer === "yes"),
    answerTo,
    choiceOf: (jobId) => choices[jobId],
    wayOf,
    answer: (jobId, value) => change(jobId, { value }),
    change,
    sum: sumShown(shown, chosen),
    unanswered: open.filter((job) => answerTo(job) === null).map(({ title }) => title),
    isAgreeing: open.some((job) => answerTo(job) === "yes"),
    given: open.flatMap((job) => {
      const choice = choices[job.id];
      if (!choice) return [];
      const { otherId, cents } = wayOf(job);
      const { value: answer, reason, askOn } = choice;
      return [
        {
          ...{ jobId: job.id, title: job.title, answer, otherId, totalCents: cents },
          reason: answer === "yes" ? "" : reason.trim(),
          askOn: answer === "later" ? askOn : null,
        },
      ];
    }),
  };
}
