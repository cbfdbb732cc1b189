import { businessView, libraryView } from "@mechanon/contract";
import { Unreachable } from "../api/problem";
import { BUSINESS } from "../testing/harness";
import { forgetKept, keep, keptOf, orKept } from "./orKept";
import { upgradeKept } from "./upgradeKept";

beforeEach(forgetKept);

/** As the app of the commit before kept it. */
const { libraryVersion: _none, settings, ...rest } = BUSINESS;
const { versions: _first, ...settingsBefore } = settings;
const before = { ...rest, settings: settingsBefore };

it("opens what yesterday's app kept, its library included", async () => {
  keep("business", before);
  upgradeKept();
  const unreachable = (): Promise<never> => Promise.reject(new Unreachable(new TypeError("network")));
  const business = await orKept("business", businessView, unreachable);
  expect(business).toMatchObject({ name: BUSINESS.name, libraryVersion: 0, settings: { versions: { concerns: 1 } } });
  expect((await orKept("library", libraryView, unreachable)).library).toEqual(BUSINESS.library);
});

it("leaves a library alone that today's app kept", () => {
  keep("library", { version: 3, library: [] });
  keep("business", before);
  upgradeKept();
  expect(keptOf("library")).toEqual({ version: 3, library: [] });
});
