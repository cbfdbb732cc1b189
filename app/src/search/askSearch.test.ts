import "fake-indexeddb/auto";
import { closeDevice, openDevice } from "../device/device";
import { keepAnswer } from "../offline/keptAnswers";
import { useSync } from "../sync/state";
import { fakeServer, ME, problemReply, resetSync } from "../testing/harness";
import { customerSample, sheetSample, vehicleSample } from "../testing/samples";
import { askSearch } from "./askSearch";

beforeEach(async () => {
  resetSync();
  await openDevice("me");
  const customer = customerSample({ name: "Noor Haddad-Bell" });
  await keepAnswer(
    ["customer", customer.id],
    sheetSample({ customer, vehicles: [vehicleSample({ plate: "LRK1204" })] }),
  );
});
afterAll(closeDevice);
const names = async (typed: string): Promise<string[]> =>
  (await askSearch(typed)).customers.map(({ customer }) => customer.name);

it("finds on this device where the server cannot be asked, and says so", async () => {
  fakeServer({});
  expect(await names("haddad")).toEqual(["Noor Haddad-Bell"]);
  expect(await names("lrk-12")).toEqual(["Noor Haddad-Bell"]);
  expect(await names("bram")).toEqual([]);
  expect((await askSearch("noor")).isFromHere).toBe(true);
});
it("finds who was taken down here and is not sent", async () => {
  fakeServer({});
  useSync.setState({
    pending: [
      {
        id: "act-1",
        kind: "customer",
        target: "0190f9c8-1111-7000-8000-000000000009",
        at: "2026-11-26T17:00:00.000Z",
        by: ME.id,
        body: { kind: "person", name: "Perpetua Sand" },
      },
    ],
  });
  expect(await names("perp")).toEqual(["Perpetua Sand"]);
});
it("finds a kept customer by the name they were given here, before it is sent", async () => {
  fakeServer({});
  useSync.setState({
    pending: [
      {
        id: "act-2",
        kind: "customerChange",
        target: customerSample().id,
        at: "2026-11-26T17:00:00.000Z",
        by: ME.id,
        was: { name: "Noor Haddad-Bell" },
        becomes: { name: "Noor Quillfeather" },
      },
    ],
  });
  expect(await names("quillfeather")).toEqual(["Noor Quillfeather"]);
  expect(await names("haddad")).toEqual([]);
});
it("goes by the server where it answers, also when it says no", async () => {
  fakeServer({ "GET /api/search": { body: { customers: [], workOrders: [], oddWords: [] } } });
  expect(await askSearch("haddad")).toEqual({ customers: [], workOrders: [], oddWords: [], isFromHere: false });
  fakeServer({ "GET /api/search": problemReply(429, "request/too-often", "Too often.") });
  await expect(askSearch("haddad")).rejects.toThrow("Too often.");
});
