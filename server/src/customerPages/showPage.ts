import {
  approvedJobs,
  arrivesAt,
  carFactsOf,
  changeUntil,
  checkedBefore,
  closedWithoutSale,
  dayOf,
  digestOf,
  isRunning,
  orderBefore,
  photoIdsOf,
  shownQuoteOf,
  takingBack,
  specLines,
  LANGUAGES,
  reachHint,
  showPlace,
  showVehicle,
  upgradeDetails,
  upgradeVisit,
  upgradeWorkOrder,
  visitStanding,
  workSeenByCustomer,
  type BusinessSettings,
  type CarRecord,
  type Language,
  type WorkOrderState,
  type MessageWay,
  type SpecCorrection,
  type SpecSheet,
} from "@mechanon/core";
import type { CustomerPage, PageOrder } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { findCustomer } from "../customers/service";
import { photoChecksums } from "../photos/photoChecksums";
import { askPrepared } from "../db/askPrepared";
import { firstName } from "../messages/compose";
import { hasEnded } from "../payments/receiptLinks";
import { findRequest } from "../requests/model";
import { ordersBeforeJson } from "../workOrders/knownOfCar";
import { nameOfCar } from "../requests/nameOfCar";
import type { Deps } from "../scope";
import { waysToProve } from "./codes";
import type { FoundPage } from "./findPage";
import { IS_SHARED } from "./shown";

/** Older work is found on paper. */
const MOST_ORDERS = 40;

/** What was written to and fro, of messages `m`: words of people, not what is told by itself. */
const WORDS_JSON = `coalesce(json_agg(json_build_object('id', m.id, 'isOurs', not m.is_incoming, 'text', m.text,
  'at', iso(m.created_at)) order by m.created_at), '[]')`;
/** What we read of an answer is no words of theirs: they see the answer itself. */
const IS_WORDS = `m.kind is null and m.text <> '' and m.status not in ('asks', 'dropped')
  and not exists (select from agreed_copies a where a.business_id = m.business_id and a.agreed_id = m.id)`;

const ORDERS = `
  select w.id, w.number, w.state, iso(w.opened_at) as "openedAt", to_jsonb(car) as vehicle,
    (select coalesce(json_agg(json_build_object('state', v.state, 'isShared', ${IS_SHARED}) order by v.starts_at), '[]')
       from visit_work_orders link join visits v on v.business_id = link.business_id and v.id = link.visit_id
       where link.business_id = w.business_id and link.work_order_id = w.id) as visits,
    (select ${WORDS_JSON} from messages m where m.business_id = w.business_id and m.work_order_id = w.id and ${IS_WORDS}) as words,
    exists (select from messages m where m.business_id = w.business_id and m.work_order_id = w.id and m.kind = 'quoted'
      and m.status <> 'dropped') as "isQuoteSent",
    (select coalesce(json_agg(p.photo_id order by p.arrived_at), '[]') from customer_photos p
       where p.business_id = w.business_id and (p.work_order_id = w.id or p.request_id in
         (select id from requests r where r.business_id = w.business_id and r.work_order_id = w.id))) as "photoIds",
    (select json_build_object('token', l.token, 'createdAt', l.created_at) from directory.receipt_links l
       where l.business_id = w.business_id and l.work_order_id = w.id and l.called_back_at is null
         and kept_customer(l.business_id, l.customer_id) is not distinct from kept_customer(w.business_id, w.customer_id)
       order by l.created_at desc limit 1) as receipt,
    case when w.vehicle_id is not null then ${ordersBeforeJson("w.business_id", "w.vehicle_id", "w.id")} end as before
  from work_orders w left join vehicles car on car.business_id = w.business_id and car.id = w.vehicle_id
  where w.business_id = $1 and (w.id = $2 or $3::uuid is not null and kept_customer(w.business_id, w.customer_id) = $3)
  order by w.opened_at desc limit ${MOST_ORDERS}`;

interface OrderRow extends Pick<PageOrder, "id" | "number" | "openedAt" | "words" | "photoIds"> {
  state: Readonly<Record<string, unknown>>;
  vehicle:
    (Parameters<typeof showVehicle>[0] & CarRecord & { specs: SpecSheet | null; corrections: SpecCorrection[] }) | null;
  visits: { state: Readonly<Record<string, unknown>>; isShared: boolean }[];
  isQuoteSent: boolean;
  receipt: { token: string; createdAt: string } | null;
  /** Of the car's other work orders, what tells how it was found; null: there is no car. */
  before: unknown[] | null;
}

/** All a customer sees: of what the link was for, and of everything of theirs once they proved who they are. */
export async function showPage(
  { db, rules }: Pick<Deps, "db" | "rules">,
  page: FoundPage,
  now: Date,
): Promise<CustomerPage> {
  const { businessId, requestId, workOrderId, customerId, isProven } = page;
  const { name: businessName, timeZone, settings } = await rules.now(businessId);
  const customer = customerId === null ? null : await findCustomer({ businessId }, customerId);
  const details = customer && upgradeDetails(customer.details);
  const request = requestId === null ? null : await findRequest(db, businessId, requestId);
  const rows = await askPrepared<OrderRow>(db, ORDERS, [businessId, workOrderId, isProven ? customerId : null]);
  const people = await mechanicNames(db, businessId);
  const states = new Map(rows.map(({ id, state }) => [id, upgradeWorkOrder(state)]));
  const checksums = await photoChecksums(db, businessId, [...states.values()].flatMap(photoIdsOf));
  const spoken = details?.language ?? request?.asked.language ?? LANGUAGES[0];
  return {
    businessName,
    businessPhone: settings.phone,
    hasLogo: settings.papers.logo !== null,
    timeZone,
    askSlug: settings.requests.isOpen ? await slugOf(db, businessId) : null,
    language: spoken,
    // Whoever asked is told no name but the one they gave, until they prove whose it is.
    name: firstName((isProven ? customer?.name : (request?.asked.name ?? customer?.name)) ?? ""),
    isProven,
    ways: details && !isProven ? waysShown(waysToProve(details)) : [],
    callOffFeeCents: settings.visits.callOffFeeCents,
    callOffHours: settings.visits.callOffHours,
    requests:
      request && workOrderId === null ? [await requestSeen(db, businessId, request, { settings, businessName })] : [],
    orders: rows.map((row) =>
      orderSeen(row, states.get(row.id) ?? upgradeWorkOrder(row.state), {
        ...{ settings, businessName, people, timeZone, now },
        ...{ checksums, language: spoken },
      }),
    ),
  };
}

function waysShown(ways: readonly MessageWay[]): CustomerPage["ways"] {
  return ways.map(({ channel, recipient }) => ({ channel, hint: reachHint(channel, recipient) }));
}

async function requestSeen(
  db: Sequelize,
  businessId: string,
  { id, status, at, asked, offered, words: answer }: Awaited<ReturnType<typeof findRequest>>,
  { settings: { requests }, businessName }: Pick<OrderAround, "settings" | "businessName">,
): Promise<CustomerPage["requests"][number]> {
  const [sent] = await askPrepared<Pick<PageOrder, "photoIds"> & { said: PageOrder["words"] }>(
    db,
    `select array(select photo_id from customer_photos where business_id = $1 and request_id = $2 order by arrived_at) as "photoIds",
       (select ${WORDS_JSON} from messages m where m.business_id = $1 and m.request_id = $2 and ${IS_WORDS}) as said`,
    [businessId, id],
  );
  const { wishIds, words, time, car } = asked;
  return {
    id,
    status: status === "agreed" ? "waiting" : status,
    at,
    car: nameOfCar(car),
    wishes: wishIds
      .flatMap((wish) => requests.wishes.find((each) => each.id === wish) ?? [])
      .map(({ en, es }) => ({ en, es })),
    words,
    time,
    offered: status === "offered" ? offered : [],
    answer,
    said: withoutName(sent?.said ?? [], businessName),
    photoIds: sent?.photoIds ?? [],
  };
}

interface OrderAround {
  settings: BusinessSettings;
  businessName: string;
  timeZone: string;
  /** First names by id. */
  people: ReadonlyMap<string, string>;
  checksums: ReadonlyMap<string, string>;
  language: Language;
  now: Date;
}

/** A concern in both languages, where a wish that is published stands for it. */
function concernSeen(
  { text, phraseId }: { text: string; phraseId: string | null },
  { requests }: BusinessSettings,
): { en: string; es: string } {
  const wish = requests.wishes.find((each) => (phraseId !== null && each.phraseId === phraseId) || each.en === text);
  return { en: text, es: wish?.es ?? text };
}

function withoutName(words: PageOrder["words"], businessName: string): PageOrder["words"] {
  const name = `${businessName}: `;
  return words.map((said) => (said.text.startsWith(name) ? { ...said, text: said.text.slice(name.length) } : said));
}

function orderSeen(
  { id, number, openedAt, vehicle, words, photoIds, isQuoteSent, receipt, before, ...row }: OrderRow,
  state: WorkOrderState,
  { settings, businessName, people, timeZone, checksums, language, now }: OrderAround,
): PageOrder {
  const visits = row.visits.map(({ state: stored, isShared }) => ({ visit: upgradeVisit(stored), isShared }));
  const isShown = isQuoteSent || state.approvals.length > 0 || visits.some(({ visit }) => visit.leftAt !== null);
  const hasReceipt =
    receipt !== null &&
    !hasEnded({ createdAt: new Date(receipt.createdAt), calledBackAt: null }, settings.receiptLinkMonths, now);
  const by = {
    points: settings.inspection,
    before: checkedBefore(
      (before ?? []).map((order) => orderBefore.parse(order)),
      (at) => dayOf(at, timeZone),
    ).measures,
    specs: vehicle ? carFactsOf(vehicle, specLines(vehicle.specs, vehicle.corrections), now.getFullYear()).specs : {},
  };
  const today = dayOf(now.toISOString(), timeZone);
  const hasEndedQuote = state.validUntil ? state.validUntil < today : false;
  const shown =
    isShown && !closedWithoutSale(state) && !hasEndedQuote
      ? shownQuoteOf(state, { ...by, language, checksums, papers: settings.papers })
      : null;
  const isAsked = shown?.jobs.some(({ isDone, answer }) => !isDone && answer !== "yes") ?? false;
  const isPlanned = visits.some(({ visit }) => isRunning(visit));
  const isOnSite = visits.some(({ visit }) => visitStanding(visit) === "onSite");
  const agreed = approvedJobs(state).filter(({ finishedAt }) => finishedAt === null);
  return {
    id,
    number,
    asked: shown && isAsked ? { shown, digest: digestOf(shown) } : null,
    agreedBefore: agreedBeforeOf(state),
    takingBack: agreed.flatMap(({ id: jobId, title }) => {
      const cost = isOnSite ? null : takingBack(state, jobId);
      return cost ? [{ jobId, title, staysCents: cost.costCents }] : [];
    }),
    canPickTime: agreed.length > 0 && !isPlanned,
    car: vehicle === null ? "" : showVehicle(vehicle),
    openedAt,
    concerns: state.concerns.map((concern) => concernSeen(concern, settings)),
    visits: visits.map(({ visit, isShared }) => ({
      id: visit.id,
      standing: visitStanding(visit),
      startsAt: visit.startsAt,
      endsAt: visit.endsAt,
      mechanic: people.get(visit.mechanicId) ?? "",
      street: showPlace(visit.place),
      arrivesAt: arrivesAt(visit),
      // A trip for others, too, is settled on the phone.
      changeUntil: isShared ? null : changeUntil(visit, settings.requests.changeHours, now.toISOString()),
      wantsEarlier: visit.wantsEarlier,
    })),
    ...workSeenByCustomer(state, { ...by, isShown }),
    receipt: hasReceipt ? `/r/${receipt.token}` : null,
    // A text says whose it is; the page is theirs.
    words: withoutName(words, businessName),
    photoIds,
  };
}

/** Whose yes waits for the customer's own. */
function agreedBeforeOf(state: WorkOrderState): string | null {
  const waiting = state.jobs.find(({ answer }) => answer?.needsAlso !== undefined)?.answer;
  return state.approvals.find(({ id }) => id === waiting?.approvalId)?.name ?? null;
}

async function mechanicNames(db: Sequelize, businessId: string): Promise<Map<string, string>> {
  const rows = await askPrepared<{ id: string; name: string }>(
    db,
    "select id, name from people where business_id = $1",
    [businessId],
  );
  return new Map(rows.map(({ id, name }) => [id, firstName(name)]));
}

async function slugOf(db: Sequelize, businessId: string): Promise<string | null> {
  const [page] = await askPrepared<{ slug: string }>(
    db,
    "select slug from directory.ask_pages where business_id = $1",
    [businessId],
  );
  return page?.slug ?? null;
}

/** Photos a page shows: those of what was found, and the customer's own. */
export function photosOf({ requests, orders }: CustomerPage): Set<string> {
  return new Set([
    ...requests.flatMap(({ photoIds }) => photoIds),
    ...orders.flatMap(({ photoIds, found }) => [
      ...photoIds,
      ...found.flatMap(({ pictures }) => pictures.map(({ photoId }) => photoId)),
    ]),
  ]);
}
