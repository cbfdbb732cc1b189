import { redactLibrary, redactSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { listPeople } from "../access/routes";
import { AppError } from "../errors/appError";
import { blankSheetPdf } from "../paper/blankSheetPdf";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { laborGuide } from "../laborGuide/laborGuide";
import { listSuppliers } from "../sourcing/suppliers";
import { changeLibraryJobs, keepLibraryJob, libraryChanges, removeLibraryJob, undoLibraryChange } from "./library";
import { bringInLibrary, libraryFile, libraryTable } from "./libraryFile";
import { libraryUsage } from "./libraryUsage";
import { readLogo } from "./readLogo";
import { newcomerReport } from "./newcomerReport";
import {
  changeConcerns,
  changeCrew,
  changeInspection,
  changeIntervals,
  changeLabor,
  changeNewcomers,
  changePay,
  changePricing,
  changeReceiptLinks,
  changeLogo,
  changeMessages,
  changePapers,
  changeRequests,
  changeStock,
  changeVisits,
  keepPhrase,
} from "./service";

export function settingsRoutes(mounting: Mounting, { config, db, rules }: Deps): void {
  mounting.route(routes.getBusiness, async ({ scope }) => {
    const [{ name, timeZone, isDemo, settings, libraryVersion }, people, suppliers] = await Promise.all([
      rules.now(scope.businessId),
      listPeople(scope.businessId),
      listSuppliers(db, scope.businessId),
    ]);
    return {
      id: scope.businessId,
      name,
      timeZone,
      settings: redactSettings(settings, scope.actor),
      libraryVersion,
      people: people.map(({ id, name: called, isMechanic }) => ({ id, name: called, isMechanic })),
      suppliers,
      simulated: isDemo ? { messages: `${config.standinsUrl}/phone`, switches: config.standinsUrl } : null,
    };
  });
  mounting.route(routes.getLibrary, async ({ scope }) => {
    const { settings, library, libraryVersion } = await rules.now(scope.businessId);
    return { version: libraryVersion, library: redactLibrary(library, settings.rules, scope.actor) };
  });
  mounting.route(routes.keepLibraryJob, async ({ scope, body }) => {
    const { settings } = await rules.now(scope.businessId);
    const kept = await keepLibraryJob(db, scope, body);
    return redactLibrary([kept], settings.rules, scope.actor)[0] ?? kept;
  });
  mounting.route(routes.libraryFile, async ({ scope, res }) => {
    const { library } = await rules.now(scope.businessId);
    res
      .set("Content-Disposition", 'attachment; filename="jobs.json"')
      .type("application/json")
      .send(libraryFile(scope, library));
  });
  mounting.route(routes.libraryTable, async ({ scope, res }) => {
    const { library } = await rules.now(scope.businessId);
    res
      .set("Content-Disposition", 'attachment; filename="jobs.csv"')
      .type("text/csv")
      .send(libraryTable(scope, library));
  });
  mounting.route(routes.bringInLibrary, async ({ scope, body }) => {
    const { settings } = await rules.now(scope.businessId);
    return bringInLibrary(db, scope, body, settings.rules);
  });
  mounting.route(routes.removeLibraryJob, ({ scope, params }) => removeLibraryJob(db, scope, params.id));
  mounting.route(routes.changeLibraryJobs, ({ scope, body }) => changeLibraryJobs(db, scope, body));
  mounting.route(routes.libraryChanges, async ({ scope }) => ({ changes: await libraryChanges(db, scope.businessId) }));
  mounting.route(routes.undoLibraryChange, ({ scope, params }) => undoLibraryChange(db, scope, params.id));
  mounting.route(routes.libraryUsage, ({ scope }) => libraryUsage(db, scope, new Date()));
  mounting.route(routes.getLaborGuide, async () => laborGuide());
  mounting.route(routes.changeNewcomers, ({ scope, body }) => changeNewcomers(db, scope.businessId, body));
  mounting.route(routes.changeConcerns, ({ scope, body }) => changeConcerns(db, scope.businessId, body));
  mounting.route(routes.keepPhrase, ({ scope, body }) => keepPhrase(db, scope.businessId, body));
  mounting.route(routes.blankSheet, async ({ scope, params, res }) => {
    const { settings } = await rules.now(scope.businessId);
    const sheet = settings.sheets.find(({ id }) => id === params.id);
    if (!sheet)
      throw new AppError(
        "inspection/no-such-sheet",
        "This sheet is not kept any more. Load the page again and pick another.",
      );
    const pdf = await blankSheetPdf(scope.businessName, sheet, settings);
    res.type("application/pdf").set("Content-Disposition", 'inline; filename="sheet.pdf"').send(pdf);
  });
  mounting.route(routes.changeInspection, ({ scope, body }) => changeInspection(db, scope.businessId, body));
  mounting.route(routes.changeIntervals, ({ scope, body }) => changeIntervals(db, scope.businessId, body));
  mounting.route(routes.changePricing, ({ scope, body }) => changePricing(db, scope, body));
  mounting.route(routes.changeStock, ({ scope, body }) => changeStock(db, scope, body));
  mounting.route(routes.changeLabor, ({ scope, body }) => changeLabor(db, scope.businessId, body));
  mounting.route(routes.changePay, ({ scope, body }) => changePay(db, scope, body));
  mounting.route(routes.changeVisits, ({ scope, body }) => changeVisits(db, scope.businessId, body));
  mounting.route(routes.changeMessages, ({ scope, body }) => changeMessages(db, scope.businessId, body));
  mounting.route(routes.changePapers, ({ scope, body }) => changePapers(db, scope.businessId, body));
  mounting.route(routes.keepLogo, async ({ scope, file }) => changeLogo(db, scope.businessId, await readLogo(file)));
  mounting.route(routes.dropLogo, ({ scope }) => changeLogo(db, scope.businessId, null));
  mounting.route(routes.changeRequests, ({ scope, body }) => changeRequests(db, scope.businessId, body));
  mounting.route(routes.changeCrew, ({ scope, body }) => changeCrew(db, scope.businessId, body));
  mounting.route(routes.changeReceiptLinks, ({ scope, body }) => changeReceiptLinks(db, scope.businessId, body.months));
  mounting.route(routes.newcomerReport, ({ scope }) => {
    return newcomerReport(db, scope.businessId, new Date());
  });
}
