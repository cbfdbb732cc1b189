import type { Router } from "express";
import { redactLibrary, redactSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { listPeople } from "../access/routes";
import { requireRight } from "../access/requireRight";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { newcomerReport } from "./newcomerReport";
import { changeSettings, keepPhrase, loadRules } from "./service";

export function settingsRoutes(router: Router, { config, db }: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.getBusiness, scopeOf, async ({ scope }) => {
    const [{ business, library }, people] = await Promise.all([
      loadRules(scope.businessId),
      listPeople(scope.businessId),
    ]);
    return {
      id: business.id,
      name: business.name,
      timeZone: business.timeZone,
      settings: redactSettings(business.settings, scope.actor),
      library: redactLibrary(library, business.settings.rules, scope.actor),
      people: people.map(({ id, name, isMechanic }) => ({ id, name, isMechanic })),
      simulated: business.isDemo ? { messages: `${config.standinsUrl}/phone`, switches: config.standinsUrl } : null,
    };
  });
  mount(router, routes.changeNewcomers, scopeOf, async ({ scope, body }) => {
    requireRight(scope, "settings");
    return (await changeSettings(db, scope.businessId, () => ({ newcomers: body }))).newcomers;
  });
  mount(router, routes.changeConcerns, scopeOf, async ({ scope, body }) => {
    requireRight(scope, "settings");
    const { concerns, concernGaps } = await changeSettings(db, scope.businessId, () => body);
    return { concerns, concernGaps };
  });
  mount(router, routes.keepPhrase, scopeOf, ({ scope, body }) => keepPhrase(db, scope.businessId, body));
  mount(router, routes.changeIntervals, scopeOf, async ({ scope, body }) => {
    requireRight(scope, "settings");
    const { intervals } = await changeSettings(db, scope.businessId, () => body);
    return { intervals };
  });
  mount(router, routes.newcomerReport, scopeOf, ({ scope }) => {
    requireRight(scope, "reports");
    return newcomerReport(db, scope.businessId, new Date());
  });
}
