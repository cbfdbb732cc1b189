import { v7 as uuid } from "uuid";
import type { BusinessView, CustomerPage, KnownOfCar, WorkOrderView } from "@mechanon/contract";
import { findOrder, sendCommand, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const settings = async (): Promise<BusinessView["settings"]> =>
  (await odile.get<BusinessView>("/api/business")).body.settings;
const change = (body: object) =>
  odile.send<{ code: string; sheets: unknown[] }>("PATCH", "/api/business/inspection", JSON.stringify(body), {
    "Content-Type": "application/json",
  });

describe("the owner's sheets", () => {
  it("are changed item by item, and never softer than the law", async () => {
    const { inspection, sheets, versions } = await settings();
    const tread = inspection.find(({ id }) => id === "tread");
    const quick = sheets.find(({ id }) => id === "quick");
    const version = versions.inspection;
    const soft = { ...tread, measures: tread?.measures.map((each) => ({ ...each, actBelow: 1 })) };
    const refused = await change({ version, inspection: [{ from: tread, to: soft }], sheets: [] });
    expect(refused.body).toMatchObject({ code: "inspection/limits", status: 422 });
    const gone = { ...quick, pointIds: [...(quick?.pointIds ?? []), "nowhere"] };
    expect((await change({ version, inspection: [], sheets: [{ from: quick, to: gone }] })).body.code).toBe(
      "inspection/limits",
    );
    const point = { ...tread, id: "horns", title: "Both horns", measures: [] };
    const more = { ...quick, pointIds: [...(quick?.pointIds ?? []), "horns"] };
    const saved = await change({
      version,
      inspection: [{ from: null, to: point }],
      sheets: [{ from: quick, to: more }],
    });
    expect(saved.status).toBe(200);
    expect((await settings()).sheets.find(({ id }) => id === "quick")?.pointIds.at(-1)).toBe("horns");
    const late = await change({
      version,
      inspection: [],
      sheets: [{ from: quick, to: { ...quick, title: "Short look" } }],
    });
    expect(late.body.code).toBe("version/changed");
  });

  it("run as they were when they began, though they are changed in between", async () => {
    const { id } = await findOrder(odile, "Noor");
    await sendCommand(odile, id, { type: "startSheet", sheetId: "quick" });
    const { sheets, inspection, versions } = await settings();
    const quick = sheets.find((sheet) => sheet.id === "quick");
    const wipers = inspection.find((point) => point.id === "wipers");
    await change({
      version: versions.inspection,
      inspection: [{ from: wipers, to: { ...wipers, isRetired: true } }],
      sheets: [{ from: quick, to: { ...quick, pointIds: ["oil"] } }],
    });
    const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${id}`);
    expect(body.state.sheets[0]?.points.map((point) => point.id)).toContain("wipers");
    const graded = await sendCommand(odile, id, {
      type: "gradePoint",
      pointId: "wipers",
      grade: "watch",
      measures: {},
      note: "",
    });
    expect(graded.body.outcomes).toMatchObject([{ outcome: "applied" }]);
  });

  it("come on paper, to be filled in by hand", async () => {
    const answer = await fetch(`${server.running.url}/api/inspection-sheets/full/blank`, {
      headers: { cookie: odile.cookie },
    });
    expect(answer.headers.get("content-type")).toBe("application/pdf");
    expect(
      Buffer.from(await answer.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe("%PDF-");
    expect((await odile.get<{ code: string }>("/api/inspection-sheets/none/blank")).body.code).toBe(
      "inspection/no-such-sheet",
    );
  });
});

describe("what is known of a car", () => {
  it("comes from its other work orders: measurements with miles, what is not safe, that it lies apart", async () => {
    const { id } = await findOrder(odile, "Maren");
    const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${id}`);
    const pads = body.carBefore?.measures.filter(({ pointId }) => pointId === "frontPads") ?? [];
    expect(pads.map(({ value, odometer }) => [value, odometer])).toEqual([
      [7.5, 70455],
      [5.5, 77120],
    ]);
    expect(body.carBefore?.visits).toBe(2);
    const other = uuid();
    const open = { type: "openWorkOrder", customerId: body.customer?.id, vehicleId: body.vehicle?.id, concerns: [] };
    await sendCommand(odile, other, open);
    await sendCommand(odile, other, {
      type: "gradePoint",
      pointId: "frontPads",
      grade: "unsafe",
      measures: { value: 1 },
      note: "",
    });
    await sendCommand(odile, other, {
      type: "leaveApart",
      isOff: "Both front wheels",
      partsLie: "In the trunk",
      isDrivable: false,
      toldTo: "Maren",
    });
    const known = async (): Promise<KnownOfCar | null> =>
      (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body.carBefore;
    expect(await known()).toMatchObject({
      unsafe: [{ workOrderId: other, pointId: "frontPads", title: "Front brake pads", isTold: false }],
      apart: [{ isOff: "Both front wheels", isDrivable: false }],
    });
    await sendCommand(odile, other, { type: "mendFinding", pointId: "frontPads", how: "Replaced, seen today" });
    await sendCommand(odile, other, { type: "putTogether" });
    expect(await known()).toMatchObject({ unsafe: [], apart: [] });
  });
});

it("two phones that grade one point at once keep the worse word, and say so", async () => {
  const tomas = await server.signIn("tomas");
  const { id } = await findOrder(odile, "Ingrid");
  const grade = (who: TestPerson, is: string) =>
    sendCommand(who, id, { type: "gradePoint", pointId: "coolant", grade: is, measures: {}, note: is, over: null });
  await Promise.all([grade(odile, "sound"), grade(tomas, "act")]);
  const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${id}`);
  expect(body.state.findings.find(({ pointId }) => pointId === "coolant")).toMatchObject({ grade: "act", note: "act" });
  expect(body.state.conflicts.map(({ code }) => code)).toEqual(["point/graded-twice"]);
});

it("a customer's page shows what was found in both languages with its limit, and that it was opened is seen", async () => {
  const { id } = await findOrder(odile, "Teodor");
  expect((await odile.post(`/api/work-orders/${id}/quote-messages`, { messageId: uuid() })).status).toBe(200);
  const [rows] = await server.db.query(`select token from directory.page_links where work_order_id = '${id}'`);
  const token = (rows as { token: string }[])[0]?.token ?? "";
  expect((await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body.pageOpenedAt).toBeNull();
  await sendCommand(odile, id, {
    type: "gradePoint",
    pointId: "frontPads",
    grade: "unsafe",
    measures: { value: 1 },
    note: "",
  });
  const page = (await (await fetch(`${server.running.url}/api/public/pages/${token}`)).json()) as CustomerPage;
  const [order] = page.orders;
  expect(order?.found[0]).toMatchObject({
    title: { en: "Front brake pads", es: "Pastillas delanteras" },
    grade: "unsafe",
    topic: "brakes",
    measures: [{ kind: "pad", value: 1, limit: 3 }],
  });
  expect(order?.fine.map(({ es }) => es)).toContain("Limpiaparabrisas");
  expect((await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body.pageOpenedAt).not.toBeNull();
  const pdf = await fetch(`${server.running.url}/api/public/pages/${token}/found/${order?.id}?language=es`);
  expect([pdf.status, pdf.headers.get("content-type")]).toEqual([200, "application/pdf"]);
  expect(
    (await fetch(`${server.running.url}/api/public/pages/${token}/found/${uuid()}`)).status,
  ).toBeGreaterThanOrEqual(400);
});
