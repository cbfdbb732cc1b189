import {
  approvalLimitOf,
  showMoney,
  sumShown,
  upgradeDetails,
  type ChosenAnswers,
  type ShownQuote,
  type WorkOrderCommand,
} from "@mechanon/core";
import type { PageOrder, customerPageRoutes } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import type { z } from "zod";
import { isDone } from "../commands/isDone";
import { findCustomer } from "../customers/service";
import { AppError } from "../errors/appError";
import { Message } from "../messages/model";
import { tellOfMessage } from "../messages/tellOfMessage";
import type { Deps } from "../scope";
import { findWorkOrder, runWorkOrderCommands } from "../workOrders/service";
import { customersScope } from "./customersScope";
import type { FoundPage } from "./findPage";
import { showPage } from "./showPage";
import { requireShown } from "./shown";

type AnswerDeps = Pick<Deps, "db" | "rules" | "config">;
type Answered = z.output<NonNullable<(typeof customerPageRoutes)["answerOnPage"]["body"]>>;
type TakenBack = z.output<NonNullable<(typeof customerPageRoutes)["takeBackOnPage"]["body"]>>;

/** Somebody may write on the work order while an answer comes; it is looked at again so often. */
const MOST_TRIES = 8;

/** The work order was written on between looking at it and answering it. */
class WrittenMeanwhile extends Error {}

/**
 * Records what a customer answered on their page, to exactly the quote whose digest they name. The same command answers
 * once, however often it is sent.
 * @throws {AppError} `page/quote-changed`, `page/quote-over`, `page/may-not-agree`.
 */
export async function answerOnPage(
  deps: AnswerDeps,
  page: FoundPage,
  workOrderId: string,
  answered: Answered,
): Promise<void> {
  await requireShown(deps.db, page, workOrderId);
  await lookingAgain(deps, page, workOrderId, answered.commandId, async (order) => {
    const { asked, validUntil } = order;
    if (!asked)
      throw new AppError(
        "page/quote-over",
        validUntil === null
          ? "Nothing of this quote is open any more. Nothing was changed; look at what was agreed."
          : "This quote was good until a day that is over. Nothing was changed; write to us for a new one.",
      );
    if (asked.digest !== answered.digest) throw changed();
    return commandOf(deps, page, answered, asked.shown);
  });
}

/** Takes a yes back, knowing what stays to pay. @throws {AppError} `page/begun`, `page/quote-changed`. */
export async function takeBackOnPage(
  deps: AnswerDeps,
  page: FoundPage,
  workOrderId: string,
  { commandId, jobId, name, staysCents: costCents }: TakenBack,
): Promise<void> {
  await requireShown(deps.db, page, workOrderId);
  await lookingAgain(deps, page, workOrderId, commandId, async ({ takingBack }) => {
    const told = takingBack.find((each) => each.jobId === jobId);
    if (!told)
      throw new AppError(
        "page/begun",
        "Work on this has begun, or it was not agreed to any more. Nothing was changed; please call us.",
      );
    if (told.staysCents !== costCents) throw changed();
    const command = { type: "takeBackOnPage" as const, takenBackId: commandId, jobId, name, costCents };
    return { command, words: `Took back: ${told.title}` };
  });
}

interface Said {
  command: WorkOrderCommand;
  /** What of it is written where we read what customers write. */
  words: string;
}

/** Does what follows from a work order as the page shows it, with nothing written on it in between. */
async function lookingAgain(
  deps: AnswerDeps,
  page: FoundPage,
  workOrderId: string,
  commandId: string,
  follow: (order: PageOrder) => Promise<Said>,
): Promise<void> {
  const scope = await customersScope(deps, page);
  for (let tries = 1; ; tries++) {
    // Sent once more after the answer was lost.
    if (await isDone(deps.db, page.businessId, commandId)) return;
    const { revision } = await findWorkOrder(scope, workOrderId);
    const shown = await showPage(deps, page, new Date());
    const order = shown.orders.find(({ id }) => id === workOrderId);
    if (!order) throw changed();
    const { command, words } = await follow(order);
    try {
      const sent = { id: commandId, at: new Date().toISOString(), command };
      await runWorkOrderCommands(deps, scope, workOrderId, [sent], async (transaction, ran) => {
        if (ran.fromRevision !== revision) throw new WrittenMeanwhile();
        if (ran.outcomes.some(({ outcome }) => outcome === "refused")) throw changed();
        await tellUs(deps.db, page, workOrderId, commandId, words, transaction);
      });
      return;
    } catch (error) {
      if (!(error instanceof WrittenMeanwhile) || tries === MOST_TRIES) throw error;
    }
  }
}

/** It lands where what customers write lands, and every device hears of it. */
async function tellUs(
  db: Sequelize,
  { businessId, customerId }: FoundPage,
  workOrderId: string,
  id: string,
  text: string,
  transaction: Transaction,
): Promise<void> {
  const of = { businessId, id, workOrderId, customerId, channel: "page" as const, isIncoming: true };
  const kept = await Message.create({ ...of, recipient: "", text, status: "received" }, { transaction });
  await tellOfMessage(db, kept, transaction);
}

async function commandOf(
  deps: AnswerDeps,
  { businessId, customerId }: FoundPage,
  { commandId: approvalId, name, signature, answers }: Answered,
  shown: ShownQuote,
): Promise<Said> {
  const chosen: ChosenAnswers = new Map(
    answers.map(({ jobId, answer, otherId }) => [jobId, { value: answer, otherId }]),
  );
  const given = answers.map(({ jobId, answer, otherId, reason, askOn }) => {
    const job = shown.jobs.find(({ id }) => id === jobId);
    const way = job?.ways.find((each) => each.otherId === otherId);
    if (!job || !way || job.isDone) throw changed();
    return {
      ...{ jobId, title: job.title, answer, otherId, totalCents: way.cents },
      ...(reason === "" ? {} : { reason }),
      ...(askOn === null ? {} : { askOn }),
    };
  });
  const { totalCents } = sumShown(shown, chosen);
  const isAgreeing = given.some(({ answer }) => answer === "yes");
  const needsAlso = isAgreeing ? await whoElse(businessId, customerId, name, totalCents) : null;
  return {
    command: {
      ...{ type: "answerOnPage", approvalId, name, signature, answers: given, totalCents, shown },
      ...(needsAlso === null ? {} : { needsAlso }),
    },
    words: saidWords(given, isAgreeing ? totalCents : null, name),
  };
}

/** Whose yes is needed beside a contact's who may agree to less; null: nobody's. @throws {AppError} `page/may-not-agree`. */
async function whoElse(
  businessId: string,
  customerId: string | null,
  signer: string,
  totalCents: number,
): Promise<string | null> {
  if (customerId === null) return null;
  const { name, details } = await findCustomer({ businessId }, customerId);
  const limit = approvalLimitOf(upgradeDetails(details), signer);
  if (limit === 0)
    throw new AppError(
      "page/may-not-agree",
      `${signer} may not agree to work here. Nothing was changed; please ask ${name}.`,
    );
  return limit !== null && totalCents > limit ? name : null;
}

const ANSWER_WORDS = { yes: "Yes", later: "Later", no: "No" } as const;

/** @example saidWords([{ title: "Brakes", answer: "yes", ... }], 18740, "Maren") //=> "Yes to Brakes. $187.40. Signed, Maren" */
function saidWords(
  given: readonly { title: string; answer: keyof typeof ANSWER_WORDS; reason?: string }[],
  totalCents: number | null,
  name: string,
): string {
  const groups = (["yes", "later", "no"] as const).flatMap((answer) => {
    const of = given.filter((each) => each.answer === answer);
    const said = of.map(({ title, reason }) => (reason ? `${title} (${reason})` : title)).join(", ");
    return of.length === 0 ? [] : [`${ANSWER_WORDS[answer]} to ${said}`];
  });
  return [...groups, ...(totalCents === null ? [] : [showMoney(totalCents)]), `Signed, ${name}`].join(". ");
}

function changed(): AppError {
  return new AppError(
    "page/quote-changed",
    "The quote was changed while you had it open. Nothing was signed; look at it as it is now.",
  );
}
