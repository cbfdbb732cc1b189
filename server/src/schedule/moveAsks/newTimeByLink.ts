import { languageOf as languageOfWishes, type Language } from "@mechanon/core";
import type { NewTime } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../../db/askPrepared";
import { ofBusiness } from "../../db/ofBusiness";
import { AppError } from "../../errors/appError";
import type { CommandDeps } from "../../commands/aggregate";
import type { Scope } from "../../scope";
import { answerMoveAsk } from "./answerMoveAsk";
import { findMoveAsk } from "./findMoveAsk";

/** The new time behind the link of a message. @throws {AppError} `ask/not-found`. */
export async function openNewTime(deps: CommandDeps, token: string, now: Date): Promise<NewTime> {
  const { businessId, askId } = await findLink(deps, token);
  return ofBusiness(businessId, () => newTimeOf(deps, businessId, askId, now));
}

/** A customer's own word on a new time. @throws {AppError} as `answerMoveAsk`; too late is over. */
export async function answerNewTime(
  deps: CommandDeps,
  token: string,
  answer: "yes" | "no",
  now: Date,
): Promise<NewTime> {
  const { businessId, askId } = await findLink(deps, token);
  return ofBusiness(businessId, async () => {
    const before = await newTimeOf(deps, businessId, askId, now);
    if (before.answer === null && before.isOver)
      throw new AppError(
        "ask/over",
        `The time to answer is over, or the visit was changed. Please call ${before.businessName}.`,
      );
    const { askedBy } = await findMoveAsk(deps.db, businessId, askId);
    const scope: Scope = {
      businessId,
      timeZone: before.timeZone,
      businessName: before.businessName,
      // Whoever asked does what the customer agreed to.
      actor: { id: askedBy, name: before.businessName, rights: [] },
    };
    await answerMoveAsk(deps, scope, askId, answer);
    return newTimeOf(deps, businessId, askId, now);
  });
}

async function findLink({ db }: CommandDeps, token: string): Promise<{ businessId: string; askId: string }> {
  const [link] = await askPrepared<{ businessId: string; askId: string }>(
    db,
    'select business_id as "businessId", ask_id as "askId" from directory.find_move_link($1)',
    [token],
  );
  if (!link)
    throw new AppError("ask/not-found", "This link leads nowhere. Open it from your message once more, or call us.");
  return link;
}

async function newTimeOf({ db, rules }: CommandDeps, businessId: string, askId: string, now: Date): Promise<NewTime> {
  const [ask, { name, timeZone, settings }] = [await findMoveAsk(db, businessId, askId), await rules.now(businessId)];
  return {
    businessName: name,
    businessPhone: settings.phone,
    timeZone,
    mechanic: ask.mechanic.split(" ")[0] ?? "",
    forGap: ask.forGap,
    language: await languageOf(db, businessId, ask.visitId),
    fromStartsAt: ask.fromStartsAt,
    startsAt: ask.startsAt,
    answerBy: ask.answerBy,
    answer: ask.answer,
    isOver: ask.answer === null && (ask.isOver || Date.parse(ask.answerBy) <= now.getTime()),
  };
}

/** Of whoever the visit is for first. */
async function languageOf(db: Sequelize, businessId: string, visitId: string): Promise<Language> {
  const [row] = await askPrepared<{ language: string | null }>(
    db,
    `select c.details->>'language' as language from visit_work_orders l
     join work_orders w on w.business_id = l.business_id and w.id = l.work_order_id
     join customers c on c.business_id = w.business_id and c.id = w.customer_id
     where l.business_id = $1 and l.visit_id = $2 order by w.id limit 1`,
    [businessId, visitId],
  );
  return languageOfWishes([row?.language ?? ""]);
}
