import { v7 as uuid } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import {
  findOrder,
  sendCommand,
  startTestServer,
  type Outcomes,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let orderId: string;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  orderId = (await findOrder(odile, "Maren")).id;
});
afterAll(() => server?.stop());

const view = async (): Promise<WorkOrderView> => (await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`)).body;
const addJob = (jobId: string, libraryJobId = "diagnosis", lines = 1): object => ({
  type: "addJob",
  jobId,
  libraryJobId,
  lineIds: Array.from({ length: lines }, () => uuid()),
  concernId: null,
  pointIds: [],
});

describe("a command sent again", () => {
  it("is applied once and answered the same, also from many at once", async () => {
    const id = uuid();
    const command = addJob(uuid());
    const before = await view();
    const answers = await Promise.all(Array.from({ length: 6 }, () => sendCommand(odile, orderId, command, id)));
    for (const { status, body } of answers)
      expect([status, body.outcomes]).toEqual([200, [{ id, outcome: "applied", refusal: null, conflicts: [] }]]);
    const after = await view();
    expect(after.state.jobs).toHaveLength(before.state.jobs.length + 1);
    expect(after.revision).toBe(before.revision + 1);
  });

  it("is not taken for another command with the same id", async () => {
    const id = uuid();
    await sendCommand(odile, orderId, { type: "recordOdometer", miles: 100 }, id);
    expect((await sendCommand(odile, orderId, { type: "recordOdometer", miles: 200 }, id)).body.outcomes).toMatchObject(
      [{ outcome: "refused", refusal: "command/id-reused" }],
    );
    expect((await view()).state.odometerMiles?.value).toBe(100);
  });

  it("is answered the same when it was refused", async () => {
    const id = uuid();
    const command = { type: "removeJob", jobId: uuid() };
    const first = await sendCommand(odile, orderId, command, id);
    expect(first.body.outcomes[0]).toMatchObject({ outcome: "refused", refusal: "job/not-found" });
    expect((await sendCommand(odile, orderId, command, id)).body.outcomes).toEqual(first.body.outcomes);
  });
});

describe("two people on one work order", () => {
  it("merge by what they meant", async () => {
    const wren = await server.signIn("wren");
    const [mine, theirs] = [uuid(), uuid()];
    await Promise.all([
      sendCommand(odile, orderId, addJob(mine, "wipers", 2)),
      sendCommand(wren, orderId, addJob(theirs, "check-over")),
    ]);
    const ids = (await view()).state.jobs.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining([mine, theirs]));
  });

  it("get the same from two servers on one database", async () => {
    const second = await server.startSecond();
    const there = await server.signIn("tomas", second.url);
    const command = addJob(uuid(), "coolant-service", 2);
    const id = uuid();
    const [here, remote] = await Promise.all([
      sendCommand(odile, orderId, command, id),
      sendCommand(there, orderId, command, id),
    ]);
    expect(remote.body.outcomes).toEqual(here.body.outcomes);
    expect((await view()).state.jobs.filter((job) => job.libraryJobId === "coolant-service")).toHaveLength(1);
  });

  it("refuses the intention that lost, with its reason, and keeps the rest", async () => {
    const jobId = uuid();
    await sendCommand(odile, orderId, addJob(jobId, "battery", 3));
    const lineId = (await view()).state.jobs.find(({ id }) => id === jobId)?.lines[0]?.id ?? "";
    await sendCommand(odile, orderId, { type: "removeJob", jobId });
    const { body } = await odile.post<Outcomes>(`/api/work-orders/${orderId}/commands`, {
      commands: [
        {
          id: uuid(),
          at: new Date().toISOString(),
          command: { type: "changeLine", lineId, hours: 2, quantity: null, priceCents: null },
        },
        { id: uuid(), at: new Date().toISOString(), command: { type: "recordOdometer", miles: 88000 } },
      ],
    });
    expect(body.outcomes.map(({ outcome, refusal }) => [outcome, refusal])).toEqual([
      ["refused", "line/not-found"],
      ["applied", null],
    ]);
    expect(body.change).toMatchObject({ state: { odometerMiles: { value: 88000 } } });
    expect(Object.keys(body.change?.state ?? {})).toEqual(["odometerMiles"]);
  });
});

describe("a fact that no longer fits", () => {
  it("keeps a signature for an older price, marks it, and asks for a new yes", async () => {
    const jobId = uuid();
    await sendCommand(odile, orderId, addJob(jobId, "stabilizer-links", 2));
    const seen = (await view()).state.jobs.find(({ id }) => id === jobId);
    const labor = seen?.lines[0]?.id ?? "";
    await sendCommand(odile, orderId, {
      type: "changeLine",
      lineId: labor,
      hours: 3,
      quantity: null,
      priceCents: null,
    });
    const approvalId = uuid();
    const { body } = await sendCommand(odile, orderId, {
      type: "recordAnswers",
      approvalId,
      way: "signed",
      name: "Maren Oyelaran",
      signature: [[0, 0, 500, 500]],
      answers: [{ jobId, title: "Stabilizer links, front", answer: "yes", totalCents: 18904 }],
      totalCents: 20000,
    });
    expect(body.outcomes[0]?.outcome).toBe("applied");
    expect(body.workOrder.state.approvals.map(({ id }) => id)).toContain(approvalId);
    const mark = body.workOrder.state.conflicts.find(({ code }) => code === "approval/price-changed");
    expect(mark).toMatchObject({ detail: "Stabilizer links, front", settledAt: null });
    expect((await findOrder(odile, "Maren")).conflicts).toBeGreaterThan(0);
    const settled = await sendCommand(odile, orderId, { type: "settleConflict", conflictId: mark?.id });
    expect(settled.body.workOrder.state.conflicts.find(({ id }) => id === mark?.id)?.settledBy).toEqual(
      expect.any(String),
    );
  });

  it("keeps cash beyond what is owed, and marks it", async () => {
    const { body } = await sendCommand(odile, orderId, {
      type: "takeCash",
      paymentId: uuid(),
      amountCents: 99_999_00,
      tenderedCents: 99_999_00,
    });
    expect(body.workOrder.state.payments).toHaveLength(1);
    expect(body.workOrder.state.conflicts.map(({ code }) => code)).toContain("payment/more-than-owed");
  });
});

describe("what one may not send", () => {
  it.each([
    [
      "a command only the server gives",
      { type: "recordCardPayment", paymentId: uuid(), amountCents: 1, lastFour: "1234", authorization: "A" },
    ],
    ["an unknown command", { type: "payNothing" }],
    ["five decimals", { type: "gradePoint", pointId: "tread", grade: "act", measured: 1.00001, note: "" }],
    ["an unknown key", { type: "recordOdometer", miles: 1, kilometers: 2 }],
    ["less handed over than taken", { type: "takeCash", paymentId: uuid(), amountCents: 500, tenderedCents: 400 }],
  ])("%s", async (_name, command) => {
    const { body } = await sendCommand(odile, orderId, command);
    expect(body).toMatchObject({ outcomes: [{ outcome: "refused", refusal: "command/unreadable" }], change: null });
  });

  it("opens nothing for a car that is not there", async () => {
    const open = { type: "openWorkOrder", customerId: null, vehicleId: uuid(), concerns: [] };
    const { body } = await odile.post<Outcomes>(`/api/work-orders/${uuid()}/commands`, {
      commands: [{ id: uuid(), at: new Date().toISOString(), command: open }],
    });
    expect(body.outcomes).toMatchObject([{ outcome: "refused", refusal: "vehicle/not-found" }]);
  });
});
