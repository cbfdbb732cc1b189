import { redactLibrary, redactSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { listPeople } from "../access/routes";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { newcomerReport } from "./newcomerReport";
import { changeReceiptLinks, changeList, keepPhrase } from "./service";

export function settingsRoutes(mounting: Mounting, { config, db, rules }: Deps): void {
  mounting.route(routes.getBusiness, async ({ scope }) => {
    const [{ name, timeZone, isDemo, settings, libraryVersion }, people] = await Promise.all([
      rules.now(scope.businessId),
      listPeople(scope.businessId),
    ]);
    return {
      id: scope.businessId,
      name,
      timeZone,
      settings: redactSettings(settings, scope.actor),
      libraryVersion,
      people: people.map(({ id, name: called, isMechanic }) => ({ id, name: called, isMechanic })),
      simulated: isDemo ? { messages: `${config.standinsUrl}/phone`, switches: config.standinsUrl } : null,
    };
  });
  mounting.route(routes.getLibrary, async ({ scope }) => {
    const { settings, library, libraryVersion } = await rules.now(scope.businessId);
    return { version: libraryVersion, library: redactLibrary(library, settings.rules, scope.actor) };
  });
  mounting.route(routes.changeNewcomers, async ({ scope, body: { version, ...newcomers } }) => {
    return (await changeList(db, scope.businessId, "newcomers", version, () => ({ newcomers }))).newcomers;
  });
  mounting.route(routes.changeConcerns, async ({ scope, body: { version, ...lists } }) => {
    const { concerns, concernGaps } = await changeList(db, scope.businessId, "concerns", version, () => lists);
    return { concerns, concernGaps };
  });
  mounting.route(routes.keepPhrase, ({ scope, body }) => keepPhrase(db, scope.businessId, body));
  mounting.route(routes.changeIntervals, async ({ scope, body: { version, intervals } }) => {
    return {
      intervals: (await changeList(db, scope.businessId, "intervals", version, () => ({ intervals }))).intervals,
    };
  });
  mounting.route(routes.changeReceiptLinks, ({ scope, body }) => changeReceiptLinks(db, scope.businessId, body.months));
  mounting.route(routes.newcomerReport, ({ scope }) => {
    return newcomerReport(db, scope.businessId, new Date());
  });
}
