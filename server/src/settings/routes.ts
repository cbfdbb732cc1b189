import type { Router } from "express";
import { redactLibrary, redactSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { listPeople } from "../access/routes";
import { requireRight } from "../access/requireRight";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { newcomerReport } from "./newcomerReport";
import { changeList, keepPhrase } from "./service";

export function settingsRoutes(router: Router, { config, db, rules }: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.getBusiness, scopeOf, async ({ scope }) => {
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
  mount(router, routes.getLibrary, scopeOf, async ({ scope }) => {
    const { settings, library, libraryVersion } = await rules.now(scope.businessId);
    return { version: libraryVersion, library: redactLibrary(library, settings.rules, scope.actor) };
  });
  mount(router, routes.changeNewcomers, scopeOf, async ({ scope, body: { version, ...newcomers } }) => {
    requireRight(scope, "settings");
    return (await changeList(db, scope.businessId, "newcomers", version, () => ({ newcomers }))).newcomers;
  });
  mount(router, routes.changeConcerns, scopeOf, async ({ scope, body: { version, ...lists } }) => {
    requireRight(scope, "settings");
    const { concerns, concernGaps } = await changeList(db, scope.businessId, "concerns", version, () => lists);
    return { concerns, concernGaps };
  });
  mount(router, routes.keepPhrase, scopeOf, ({ scope, body }) => keepPhrase(db, scope.businessId, body));
  mount(router, routes.changeIntervals, scopeOf, async ({ scope, body: { version, intervals } }) => {
    requireRight(scope, "settings");
    return {
      intervals: (await changeList(db, scope.businessId, "intervals", version, () => ({ intervals }))).intervals,
    };
  });
  mount(router, routes.newcomerReport, scopeOf, ({ scope }) => {
    requireRight(scope, "reports");
    return newcomerReport(db, scope.businessId, new Date());
  });
}
