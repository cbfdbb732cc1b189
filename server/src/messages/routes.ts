import { routes } from "@mechanon/contract";
import { callBackPages } from "../customerPages/pageLinks";
import { findCustomer } from "../customers/service";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { callList } from "./callList";
import { decideMessage } from "./decideMessage";
import { hearMessenger, requireMessenger } from "./hearMessenger";
import { openMessages } from "./openMessages";
import { sendQuote } from "./sendQuote";
import { sendSheet } from "./sendSheet";
import { answerReply, writeMessage } from "./writeMessage";

export function messageRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.openMessages, async ({ scope }) => ({ messages: await openMessages(deps.db, scope) }));
  mounting.route(routes.callList, async ({ scope }) => ({ quotes: await callList(deps, scope, new Date()) }));
  mounting.route(routes.decideMessage, async ({ scope, params, body }) => {
    await decideMessage(deps.db, scope, params.id, body.decision);
    return {};
  });
  mounting.route(routes.writeMessage, async ({ scope, params, body }) => {
    await writeMessage(deps, scope, params.id, body);
    return {};
  });
  mounting.route(routes.answerUnknown, async ({ scope, params, body }) => {
    await answerReply(deps, scope, params.id, body);
    return {};
  });
  mounting.route(routes.sendQuote, async ({ scope, params, body }) => {
    await sendQuote(deps, scope, params.id, body);
    return {};
  });
  mounting.route(routes.sendSheet, async ({ scope, params, body }) => {
    await sendSheet(deps, scope, params.id, body);
    return {};
  });
  mounting.route(routes.callBackPages, async ({ scope, params }) => {
    const { id } = await findCustomer(scope, params.id);
    return { ended: await callBackPages(deps.db, scope.businessId, id) };
  });
  mounting.open(routes.hearMessenger, async ({ req, body }) => {
    requireMessenger(req.get("Authorization"), deps.config.messengerSecret);
    await hearMessenger(deps, body);
    return {};
  });
}
