import { v7 as uuid } from "uuid";
import type { BusinessView, UsedPart, WorkOrderView } from "@mechanon/contract";
import { pricingSettingsOf, type PartLine } from "@mechanon/core";
import { sendCommand, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
/** The office: may change prices, and sees no cost. */
let wren: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  wren = await server.signInAs("wren", "ledger-5");
});
afterAll(() => server?.stop());

const business = async (): Promise<BusinessView> => (await odile.get<BusinessView>("/api/business")).body;

/** A work order with a hub bearing on its quote. */
async function bearing(): Promise<{ id: string; lineId: string; partOf: (who?: TestPerson) => Promise<PartLine> }> {
  const [id, jobId, laborId, lineId] = [uuid(), uuid(), uuid(), uuid()];
  await sendCommand(odile, id, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] });
  await sendCommand(odile, id, {
    ...{
      type: "addJob",
      jobId,
      libraryJobId: "wheel-bearing",
      lineIds: [laborId, lineId],
      concernId: null,
      pointIds: [],
    },
  });
  const partOf = async (who = odile): Promise<PartLine> => {
    const { state } = (await who.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
    return state.jobs.flatMap(({ lines }) => lines).find((line) => line.id === lineId) as PartLine;
  };
  return { id, lineId, partOf };
}
interface Taken {
  workOrder: WorkOrderView;
  without: string[];
}

it("prices parts by what a supplier asks today, once however often it is asked the same", async () => {
  const { id, lineId, partOf } = await bearing();
  const body = { askId: uuid(), lineIds: [lineId, uuid()] };
  const ask = () => odile.post<Taken>(`/api/work-orders/${id}/offers`, body);
  const [first, second] = await Promise.all([ask(), ask()]);
  expect([first.status, second.status, first.body.without]).toEqual([200, 200, []]);
  // The supplier asks more than the library thinks.
  expect(await partOf()).toMatchObject({
    costCents: 7990,
    priceCents: null,
    from: { of: "offer", supplierId: "gull-harbor" },
  });
  const { revision } = (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
  await ask();
  expect((await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body.revision).toBe(revision);
});

it("tells no cost to who may not see it, and what the supplier has not", async () => {
  const { id, lineId, partOf } = await bearing();
  await sendCommand(odile, id, {
    ...{ type: "usePart", lineId, description: "Hub bearing", partNumber: "NOBODY-HAS-IT", brand: null },
  });
  const answer = await wren.post<Taken>(`/api/work-orders/${id}/offers`, { askId: uuid(), lineIds: [lineId] });
  expect(answer.body.without).toEqual([lineId]);
  expect(JSON.stringify(answer.body)).not.toMatch(/"(costCents|wageCents)":\d/);
  expect((await partOf(wren)).costCents).toBeNull();
});

it("leaves the quote as it is where the supplier does not answer", async () => {
  const { id, lineId, partOf } = await bearing();
  const before = await partOf();
  await server.fault("supplier", "down");
  const answer = await odile.post<{ code: string }>(`/api/work-orders/${id}/offers`, {
    askId: uuid(),
    lineIds: [lineId],
  });
  await server.fault("supplier", "none");
  expect([answer.status, answer.body.code]).toEqual([503, "parts/supplier-unreachable"]);
  expect(await partOf()).toEqual(before);
});

it("finds parts used before by kind and place at their last cost, without brand; none for who may not see cost", async () => {
  await bearing();
  const find = async (who: TestPerson, words: string): Promise<UsedPart[]> =>
    (await who.get<{ parts: UsedPart[] }>(`/api/used-parts?words=${encodeURIComponent(words)}`)).body.parts;
  const found = await find(odile, "hub bear");
  expect(found.find(({ description }) => description === "Hub bearing")?.costCents).toBeGreaterThan(0);
  expect(JSON.stringify(found)).not.toContain("Brinewell");
  expect(await find(odile, "100% of_nothing\\")).toEqual([]);
  expect(await find(wren, "hub bear")).toEqual([]);
});

it("keeps what is on the vans part by part, for who may see cost; two people at once change different parts", async () => {
  const { settings } = await business();
  const [one, two] = settings.stock;
  if (!one || !two) throw new Error("nothing is on the vans of the demo");
  const save = (who: TestPerson, from: object, to: object) =>
    who.send("PATCH", "/api/business/stock", { version: settings.versions.stock, stock: [{ from, to }] });
  const both = await Promise.all([save(odile, one, { ...one, count: 1 }), save(odile, two, { ...two, count: 2 })]);
  expect(both.map(({ status }) => status)).toEqual([200, 200]);
  const after = (await business()).settings.stock;
  expect([after.find(({ id }) => id === one.id)?.count, after.find(({ id }) => id === two.id)?.count]).toEqual([1, 2]);
  expect((await save(wren, one, two)).status).toBe(403);
  const told = (await wren.get<BusinessView>("/api/business")).body.settings.stock;
  expect(told.every(({ costCents, priceCents }) => costCents === null && priceCents !== null)).toBe(true);
});

it("takes a part from the van at the house's price, also by who may not change prices", async () => {
  const tomas = await server.signInAs("tomas", "anchor-22");
  const { settings } = await business();
  const item = settings.stock.find(({ partNumber }) => partNumber === "KL-C1G");
  const [id, jobId, lineId] = [uuid(), uuid(), uuid()];
  await sendCommand(tomas, id, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] });
  await sendCommand(tomas, id, { type: "addOwnJob", jobId, title: "Coolant", concernId: null });
  await sendCommand(tomas, id, { type: "addStockPart", jobId, lineId, itemId: item?.id ?? "", quantity: 2 });
  const { state } = (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
  expect(state.jobs[0]?.lines[0]).toMatchObject({
    costCents: item?.costCents,
    markup: "standard",
    from: { of: "van" },
  });
});

it("changes prices whole: not over somebody else's change, not with a dip nobody agreed to, and not without the right", async () => {
  const { settings } = await business();
  const before = pricingSettingsOf(settings.rules);
  const save = (to: object, who = odile, version = settings.versions.pricing) =>
    who.send<{ code: string }>("PATCH", "/api/business/pricing", { version, pricing: [{ from: before, to }] });
  const dip = { upTo: 100, times: 9 };
  const dipping = before.tables.map((table) => ({
    ...table,
    neverCheaper: false,
    mayDip: false,
    bands: [dip, ...table.bands],
  }));
  expect((await save({ ...before, tables: dipping })).status).toBe(422);
  expect((await save({ ...before, targetMarginPercent: 50 }, wren)).status).toBe(403);
  expect((await save({ ...before, targetMarginPercent: 50 })).status).toBe(200);
  expect((await save({ ...before, targetMarginPercent: 60 })).body.code).toBe("version/changed");
  expect((await business()).settings.rules.targetMarginPercent).toBe(50);
  expect(JSON.stringify((await wren.get<BusinessView>("/api/business")).body)).not.toContain("targetMarginPercent");
});
