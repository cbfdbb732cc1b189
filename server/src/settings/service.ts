import {
  idOf,
  laborSettingsOf,
  pricingSettingsOf,
  LIST_LIMITS,
  nameOf,
  pointFault,
  upgradeSettings,
  wholeOf,
  withChanges,
  withLaborSettings,
  withPricingSettings,
  type BusinessSettings,
  type ConcernPhrase,
  type ItemChange,
  type KeyOf,
  type CrewMember,
  type LaborSettings,
  type ListName,
  type NewcomerSettings,
  type PersonPay,
  type PricingSettings,
  type MessageSettings,
  type OwnersWords,
  type PaperSettings,
  type RequestSettings,
  type VisitSettings,
} from "@mechanon/core";
import type { routes } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import type { z } from "zod";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { Business } from "./model";
import { requireCost } from "./requireCost";

type BodyOf<Route extends { body?: z.ZodType }> = z.output<NonNullable<Route["body"]>>;

/**
 * Changes the ready phrases and what their gaps are filled with, item by item.
 * @throws {AppError} `version/changed` when somebody else changed one of them meanwhile; `list/too-long`.
 */
export async function changeConcerns(
  db: Sequelize,
  businessId: string,
  { version, ...changes }: BodyOf<typeof routes.changeConcerns>,
): Promise<Pick<BusinessSettings, "concerns" | "concernGaps">> {
  const { concerns, concernGaps } = await changeList(db, businessId, "concerns", (settings) => {
    const isSame = version === settings.versions.concerns;
    return {
      concerns: changed(settings.concerns, changes.concerns, idOf, isSame, LIST_LIMITS.concerns),
      concernGaps: changed(settings.concernGaps, changes.concernGaps, nameOf, isSame, LIST_LIMITS.concernGaps),
    };
  });
  return { concerns, concernGaps };
}

/**
 * Changes the owner's services, item by item.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeIntervals(
  db: Sequelize,
  businessId: string,
  { version, ...changes }: BodyOf<typeof routes.changeIntervals>,
): Promise<Pick<BusinessSettings, "intervals">> {
  const { intervals } = await changeList(db, businessId, "intervals", (settings) => {
    const isSame = version === settings.versions.intervals;
    return { intervals: changed(settings.intervals, changes.intervals, idOf, isSame, LIST_LIMITS.intervals) };
  });
  return { intervals };
}

/**
 * Changes inspection points and sheets, item by item; sheets that run stay as they began.
 * @throws {AppError} as `changeConcerns`; `inspection/limits` for limits softer than the law's, or a point that is not there.
 */
export async function changeInspection(
  db: Sequelize,
  businessId: string,
  { version, ...changes }: BodyOf<typeof routes.changeInspection>,
): Promise<Pick<BusinessSettings, "inspection" | "sheets">> {
  const { inspection, sheets } = await changeList(db, businessId, "inspection", (settings) => {
    const isSame = version === settings.versions.inspection;
    const points = changed(settings.inspection, changes.inspection, idOf, isSame, LIST_LIMITS.inspection);
    const after = changed(settings.sheets, changes.sheets, idOf, isSame, LIST_LIMITS.sheets);
    requireInspectionFits(points, after);
    return { inspection: points, sheets: after };
  });
  return { inspection, sheets };
}

function requireInspectionFits(points: BusinessSettings["inspection"], sheets: BusinessSettings["sheets"]): void {
  const known = new Set(points.map(({ id }) => id));
  for (const point of points) {
    const fault = pointFault(point);
    if (fault !== null)
      throw new AppError(
        "inspection/limits",
        `${point.title}: ${fault}. Nothing was saved; put it right, then save again.`,
      );
  }
  const missing = sheets.find(({ pointIds }) => pointIds.some((id) => !known.has(id)));
  if (missing)
    throw new AppError(
      "inspection/limits",
      `${missing.title} has a point that is not there. Nothing was saved; take it off the sheet, then save again.`,
    );
}

/**
 * Changes the rates of labor. Work orders that are open keep the rates they were opened with.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeLabor(
  db: Sequelize,
  businessId: string,
  { version, labor }: BodyOf<typeof routes.changeLabor>,
): Promise<LaborSettings> {
  const { rules } = await changeList(db, businessId, "labor", (settings) => {
    const before = laborSettingsOf(settings.rules);
    const [after = before] = changed([before], labor, wholeOf, version === settings.versions.labor, 1);
    return { rules: withLaborSettings(settings.rules, after) };
  });
  return laborSettingsOf(rules);
}

/**
 * Changes markup tables, fees, discounts and taxes. Work orders that are open keep the prices they were opened with.
 * @throws {AppError} as `changeConcerns`; `rights/missing` for who may not see cost.
 */
export async function changePricing(
  db: Sequelize,
  { businessId, actor }: Scope,
  { version, pricing }: BodyOf<typeof routes.changePricing>,
): Promise<PricingSettings> {
  requireCost(actor);
  const { rules } = await changeList(db, businessId, "pricing", (settings) => {
    const before = pricingSettingsOf(settings.rules);
    const [after = before] = changed([before], pricing, wholeOf, version === settings.versions.pricing, 1);
    return { rules: withPricingSettings(settings.rules, after) };
  });
  return pricingSettingsOf(rules);
}

/**
 * Changes what is on the vans, part by part.
 * @throws {AppError} as `changeConcerns`; `rights/missing` for who may not see cost.
 */
export async function changeStock(
  db: Sequelize,
  { businessId, actor }: Scope,
  { version, stock: changes }: BodyOf<typeof routes.changeStock>,
): Promise<Pick<BusinessSettings, "stock">> {
  requireCost(actor);
  const { stock } = await changeList(db, businessId, "stock", (settings) => ({
    stock: changed(settings.stock, changes, idOf, version === settings.versions.stock, LIST_LIMITS.stock),
  }));
  return { stock };
}

/**
 * Changes how people are paid, person by person. Work orders that are open keep the pay they were opened with.
 * @throws {AppError} as `changeConcerns`; `rights/missing` for who may not see cost.
 */
export async function changePay(
  db: Sequelize,
  { businessId, actor }: Scope,
  { version, pay }: BodyOf<typeof routes.changePay>,
): Promise<{ pay: PersonPay[] }> {
  requireCost(actor);
  const { rules } = await changeList(db, businessId, "pay", (settings) => {
    const isSame = version === settings.versions.pay;
    return {
      rules: {
        ...settings.rules,
        pay: changed(settings.rules.pay ?? [], pay, ({ personId }) => personId, isSame, LIST_LIMITS.pay),
      },
    };
  });
  return { pay: rules.pay ?? [] };
}

/**
 * Changes when mechanics drive and what they can do, person by person.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeCrew(
  db: Sequelize,
  businessId: string,
  { version, crew: changes }: BodyOf<typeof routes.changeCrew>,
): Promise<{ crew: CrewMember[] }> {
  const { crew } = await changeList(db, businessId, "crew", (settings) => ({
    crew: changed(
      settings.crew,
      changes,
      ({ personId }) => personId,
      version === settings.versions.crew,
      LIST_LIMITS.crew,
    ),
  }));
  return { crew };
}

/**
 * Changes what stands about visits.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeVisits(
  db: Sequelize,
  businessId: string,
  { version, visits: changes }: BodyOf<typeof routes.changeVisits>,
): Promise<VisitSettings> {
  const { visits } = await changeList(db, businessId, "visits", ({ visits: before, versions }) => {
    const [after = before] = changed([before], changes, wholeOf, version === versions.visits, 1);
    return { visits: after };
  });
  return visits;
}

/**
 * Changes what customers are told, and how.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeMessages(
  db: Sequelize,
  businessId: string,
  { version, messages: changes }: BodyOf<typeof routes.changeMessages>,
): Promise<MessageSettings> {
  const { messages } = await changeList(db, businessId, "messages", ({ messages: before, versions }) => {
    const [after = before] = changed([before], changes, wholeOf, version === versions.messages, 1);
    return { messages: after };
  });
  return messages;
}

/**
 * Changes what customers may ask for by themselves.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeRequests(
  db: Sequelize,
  businessId: string,
  { version, requests: changes }: BodyOf<typeof routes.changeRequests>,
): Promise<RequestSettings> {
  const { requests } = await changeList(db, businessId, "requests", ({ requests: before, versions }) => {
    const [after = before] = changed([before], changes, wholeOf, version === versions.requests, 1);
    return { requests: after };
  });
  return requests;
}

/**
 * Changes what newcomers are asked: the owner's questions item by item, how they found us whole.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changeNewcomers(
  db: Sequelize,
  businessId: string,
  { version, ...changes }: BodyOf<typeof routes.changeNewcomers>,
): Promise<NewcomerSettings> {
  const { newcomers } = await changeList(db, businessId, "newcomers", (settings) => {
    const isSame = version === settings.versions.newcomers;
    const { foundUsBy, questions } = settings.newcomers;
    const [ways] = changed([foundUsBy], changes.foundUsBy, wholeOf, isSame, 1);
    return {
      newcomers: {
        foundUsBy: ways ?? foundUsBy,
        questions: changed(questions, changes.questions, idOf, isSame, LIST_LIMITS.questions),
      },
    };
  });
  return newcomers;
}

/**
 * Changes the owner's words and terms on papers.
 * @throws {AppError} as `changeConcerns`.
 */
export async function changePapers(
  db: Sequelize,
  businessId: string,
  { version, papers: changes }: BodyOf<typeof routes.changePapers>,
): Promise<PaperSettings> {
  const { papers } = await changeList(db, businessId, "papers", ({ papers: { logo, ...words }, versions }) => {
    const [after = words] = changed<OwnersWords>([words], changes, wholeOf, version === versions.papers, 1);
    return { papers: { ...after, logo } };
  });
  return papers;
}

/** Puts a logo on papers, or takes it off. @param logo - PNG in base 64; null: none. */
export async function changeLogo(db: Sequelize, businessId: string, logo: string | null): Promise<PaperSettings> {
  const { papers } = await changeList(db, businessId, "papers", (settings) => ({
    papers: { ...settings.papers, logo },
  }));
  return papers;
}

/** A list with its items changed. @throws {AppError} `version/changed`, `list/too-long`. */
function changed<Item>(
  list: readonly Item[],
  changes: readonly ItemChange<Item>[],
  keyOf: KeyOf<Item>,
  isSame: boolean,
  most: number,
): Item[] {
  const items = withChanges(list, changes, keyOf, isSame);
  if (items === null) throw changedMeanwhile();
  if (items.length > most && items.length > list.length)
    throw new AppError(
      "list/too-long",
      `The list holds ${most} at most. Nothing was saved, and what you typed is still here; take some out, then save again.`,
    );
  return items;
}

function changedMeanwhile(): AppError {
  return new AppError(
    "version/changed",
    "Somebody else changed the same meanwhile. Nothing was saved, and what you typed is still here; take their changes in, then save again.",
  );
}

/**
 * Changes a list of the settings and counts its version up; the rest stays as it is. Two at once take turns.
 * @param change - what it becomes, from what it is; null: it stays.
 */
async function changeList(
  db: Sequelize,
  businessId: string,
  list: ListName,
  change: (settings: BusinessSettings) => Partial<BusinessSettings> | null,
): Promise<BusinessSettings> {
  return db.transaction(async (transaction) => {
    const business = await Business.findByPk(businessId, {
      lock: transaction.LOCK.UPDATE,
      transaction,
      rejectOnEmpty: true,
    });
    const before = upgradeSettings(business.settings);
    const changes = change(before);
    if (changes === null) return before;
    const versions = { ...before.versions, [list]: before.versions[list] + 1 };
    const settings = { ...before, ...changes, versions };
    await business.update({ settings }, { transaction });
    return settings;
  });
}

/**
 * Keeps words as a phrase of the library, for all to pick; the same words again are answered as they are kept.
 * @throws {AppError} `list/too-long`.
 */
export async function keepPhrase(db: Sequelize, businessId: string, phrase: ConcernPhrase): Promise<ConcernPhrase> {
  const same = ({ id, text }: ConcernPhrase): boolean =>
    id === phrase.id || text.toLowerCase() === phrase.text.toLowerCase();
  const { concerns } = await changeList(db, businessId, "concerns", (settings) => {
    if (settings.concerns.some(same)) return null;
    if (settings.concerns.length >= LIST_LIMITS.concerns)
      throw new AppError(
        "list/too-long",
        `The library holds ${LIST_LIMITS.concerns} phrases already. The concern is kept on the work order; take phrases out that nobody picks.`,
      );
    return { concerns: [...settings.concerns, phrase] };
  });
  return concerns.find(same) ?? phrase;
}

/** Changes how long receipts can be opened by their links, those sent already included. */
export async function changeReceiptLinks(
  db: Sequelize,
  businessId: string,
  months: number,
): Promise<{ receiptLinkMonths: number }> {
  await askPrepared(
    db,
    "update businesses set settings = jsonb_set(settings, '{receiptLinkMonths}', to_jsonb($2::int)) where id = $1",
    [businessId, months],
  );
  return { receiptLinkMonths: months };
}
