import "fake-indexeddb/auto";
import { QueryClient } from "@tanstack/react-query";
import { stampOf } from "@mechanon/contract";
import { fakeServer } from "../testing/harness";
import { carSheetSample, sheetSample, viewSample } from "../testing/samples";
import { closeDevice, device, openDevice } from "./device";
import { takeAlong } from "./takeAlong";

const ALONG = {
  days: [{ date: "2026-11-26", visits: [] }],
  workOrders: [viewSample({ revision: 4 })],
  customers: [sheetSample()],
  cars: [carSheetSample()],
  photoIds: [],
};
const OPEN_WORK = { groups: [{ waitsFor: "work", count: 0, workOrders: [], next: null }] };
const SERVER = { "POST /api/device/along": { body: ALONG }, "GET /api/open-work": { body: OPEN_WORK } };
afterAll(closeDevice);

it("keeps what the day needs, shows it where it is shown, and asks the next time by what it has", async () => {
  await openDevice("me");
  const queries = new QueryClient({ defaultOptions: { queries: { gcTime: Infinity } } });
  const server = fakeServer(SERVER);
  await takeAlong(queries);
  const written = async (): Promise<number> =>
    ((await device()?.views.count()) ?? 0) + ((await device()?.answers.count()) ?? 0);
  while ((await written()) < 5) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(await device()?.answers.toCollection().primaryKeys()).toEqual(
    [
      ["car", "car-1"],
      ["customer", "customer-1"],
      ["day", "2026-11-26"],
      ["openWork", {}],
    ].map((key) => JSON.stringify(key)),
  );
  expect(queries.getQueryData(["day", "2026-11-26"])).toEqual(ALONG.days[0]);
  await takeAlong(queries);
  expect(server.asked.filter(({ method }) => method === "POST").map(({ body }) => body)).toEqual([
    { known: {} },
    { known: { "order-1": stampOf(viewSample({ revision: 4 })) } },
  ]);
  expect(queries.getQueryData(["openWork", {}])).toEqual(OPEN_WORK);
  // Everything open is no question of every beat.
  expect(server.asked.filter(({ method }) => method === "GET")).toHaveLength(1);
});

it("leaves what was answered while it was on its way", async () => {
  await openDevice("me");
  const queries = new QueryClient({ defaultOptions: { queries: { gcTime: Infinity } } });
  fakeServer(SERVER);
  const newer = { date: "2026-11-26", visits: [], newer: true };
  const taking = takeAlong(queries);
  await new Promise((resolve) => setTimeout(resolve, 5));
  queries.setQueryData(["day", "2026-11-26"], newer, { updatedAt: Date.now() + 1000 });
  await taking;
  expect(queries.getQueryData(["day", "2026-11-26"])).toEqual(newer);
  expect(queries.getQueryData(["car", "car-1"])).toEqual(ALONG.cars[0]);
});
