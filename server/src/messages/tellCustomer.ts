import {
  messageWays,
  type CustomerDetails,
  type MessageKind,
  type MessageWay,
  type Paper,
  type TemplateValues,
} from "@mechanon/core";
import type { Transaction } from "sequelize";
import { v5 as uuidOf } from "uuid";
import { pageLink } from "../customerPages/pageLinks";
import type { CommandDeps } from "../commands/aggregate";
import type { Rules } from "../rules/rulesCache";
import type { Scope } from "../scope";
import { compose } from "./compose";
import { queueMessage, type MessageAbout } from "./service";

/** Of ids of messages, which are made of what they tell: told twice, it is the same message. */
const NAMESPACE = "6f1d7a52-6c0e-4c6a-9a53-0d0f4d2b8f11";

/** Whom something is told, how they are reached and spoken to. */
export interface Told extends Pick<
  CustomerDetails,
  "phones" | "emails" | "preferredContact" | "textConsent" | "emailConsent" | "language"
> {
  name: string;
}

/** What telling takes. */
export interface TellDeps extends CommandDeps {
  /** Of a business, where they are at hand. */
  rulesNow?: Pick<Rules, "name" | "settings">;
}

/** What is told. */
export interface Telling {
  kind: MessageKind;
  /** Of this one telling: the same is told once. */
  key: string;
  told: Told;
  about: MessageAbout;
  values: TemplateValues;
  /** Where the link in it leads; left out: to the private page for what it is about. */
  link?: string;
  /** A person sent it: it goes whatever the rule. */
  isByHand?: boolean;
  /** Of one that goes by one way only: under this id. */
  messageId?: string;
  /** By which ways; left out: those they want. */
  ways?: readonly MessageWay[];
  /** The paper a mail brings along. */
  attaches?: Paper;
}

/**
 * Tells a customer something by the owner's rule and templates, in their language and by the ways they want; in the
 * transaction of what it tells.
 * @returns How many messages were put in line, those that ask first among them.
 */
export async function tellCustomer(
  deps: TellDeps,
  { businessId }: Pick<Scope, "businessId">,
  { kind, key, told, about, values, link, isByHand = false, messageId, attaches, ...telling }: Telling,
  transaction: Transaction,
): Promise<number> {
  if (deps.isQuiet) return 0;
  const rules = deps.rulesNow ?? (await deps.rules.now(businessId, transaction));
  const { rule } = rules.settings.messages.kinds[kind];
  const ways = telling.ways ?? messageWays(told);
  if ((rule === "never" && !isByHand) || ways.length === 0) return 0;
  const { workOrderId, requestId = null, customerId } = about;
  const linkFor = { workOrderId, requestId: workOrderId === null ? requestId : null, customerId };
  const { linkDays } = rules.settings.requests;
  const filled = { ...values, link: link ?? (await pageLink(deps, businessId, linkFor, linkDays, transaction)) };
  let queued = 0;
  for (const { channel, recipient } of messageId === undefined ? ways : ways.slice(0, 1)) {
    const message = {
      ...about,
      id: messageId ?? uuidOf(`${businessId}/${kind}/${key}/${channel}`, NAMESPACE),
      kind,
      channel,
      recipient,
      ...compose(rules, kind, told, channel, filled),
      attaches: attaches ?? null,
      asksFirst: rule === "ask" && !isByHand,
    };
    if (await queueMessage(deps.db, { businessId }, message, transaction)) queued += 1;
  }
  return queued;
}
