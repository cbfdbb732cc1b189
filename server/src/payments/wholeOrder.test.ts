import { v7 as uuid } from "uuid";
import type { Customer, PartOffer, ReceiptView, Vehicle, WorkOrderView } from "@mechanon/contract";
import {
  findOrder,
  openOrders,
  sendCommand,
  startTestServer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
const customerId = uuid();
const vehicleId = uuid();
const orderId = uuid();
const [brakes, wipers] = [uuid(), uuid()];

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const view = async (): Promise<WorkOrderView> => (await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`)).body;
const receipt = async (): Promise<ReceiptView> =>
  (await odile.get<ReceiptView>(`/api/work-orders/${orderId}/receipt`)).body;
const keyed = { "Idempotency-Key": uuid() };

it("opens for a new customer and a new car, with a number of its own", async () => {
  const place = {
    street: "27 Heron Landing",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: 48.04,
    longitude: -122.6,
  };
  const customer = await odile.post<Customer>(
    "/api/customers",
    {
      id: customerId,
      name: "Isolde Karimi",
      phones: [{ number: "360 555 0166" }],
      serviceAddresses: [{ id: uuid(), place }],
    },
    keyed,
  );
  expect(customer).toMatchObject({ status: 201, body: { phones: [{ number: "+13605550166" }], version: 1 } });
  const body = {
    id: vehicleId,
    customerId,
    vin: "1n4al3ap1fc207731",
    plate: "mst-33o9",
    region: "wa",
    year: 2015,
    make: "Nissan",
    model: "Altima",
    trim: null,
    engine: null,
    drive: null,
    color: null,
  };
  const vehicle = await odile.post<Vehicle>("/api/vehicles", body, { "Idempotency-Key": uuid() });
  expect(vehicle.body).toMatchObject({ vin: "1N4AL3AP1FC207731", plate: "MST33O9", region: "WA" });
  const twin = await odile.post(
    "/api/vehicles",
    { ...body, id: uuid(), vin: null, plate: "MST3309" },
    { "Idempotency-Key": uuid() },
  );
  expect(twin.body).toMatchObject({ status: 409, code: "vehicle/plate-taken" });
  const concerns = [{ id: uuid(), text: "Brakes grind", kind: "fault", phraseId: "brakes-grind" }];
  const opened = await sendCommand(odile, orderId, { type: "openWorkOrder", customerId, vehicleId, concerns });
  expect(opened.body.workOrder).toMatchObject({
    revision: 1,
    customer: { name: "Isolde Karimi" },
    vehicle: { model: "Altima" },
  });
  expect(opened.body.workOrder.number).toBeGreaterThan(1000);
});

it("is quoted and agreed to, one job yes and one later", async () => {
  const add = (jobId: string, libraryJobId: string, lines: number): object => ({
    type: "addJob",
    jobId,
    libraryJobId,
    lineIds: Array.from({ length: lines }, () => uuid()),
    concernId: null,
    pointIds: [],
  });
  await sendCommand(odile, orderId, add(brakes, "front-brakes", 3));
  const { body } = await sendCommand(odile, orderId, add(wipers, "wipers", 2));
  expect(body.workOrder.state.jobs.map(({ title }) => title)).toEqual(["Front pads and rotors", "Wiper blades"]);
  const answers = [
    { jobId: brakes, title: "Front pads and rotors", answer: "yes", totalCents: 44462 },
    { jobId: wipers, title: "Wiper blades", answer: "later", totalCents: 5474 },
  ];
  const agreed = await sendCommand(odile, orderId, {
    type: "recordAnswers",
    approvalId: uuid(),
    way: "signed",
    name: "Isolde Karimi",
    signature: [[1, 1, 9, 9]],
    answers,
    totalCents: 49380,
  });
  expect(agreed.body.workOrder.state.conflicts).toEqual([]);
});

it("has its parts ordered at the quoted cost, and taken in", async () => {
  const offers = await odile.get<{ supplier: string; offers: PartOffer[] }>(`/api/work-orders/${orderId}/part-offers`);
  expect(offers.body.supplier).toBe("Gull Harbor Parts");
  expect(
    offers.body.offers.map(({ partNumber, quantity, costCents, costChanged }) => [
      partNumber,
      quantity,
      costCents,
      costChanged,
    ]),
  ).toEqual([
    ["HY-4410", 1, 3420, false],
    ["HY-7718", 2, 4180, false],
  ]);
  const lineIds = offers.body.offers.map(({ lineId }) => lineId);
  const ordered = await odile.post<{ workOrder: WorkOrderView }>(`/api/work-orders/${orderId}/part-orders`, {
    orderId: uuid(),
    lineIds,
    acceptChangedCost: false,
  });
  expect(ordered.body.workOrder.state.orders).toMatchObject([
    { supplier: "Gull Harbor Parts", items: [{ quantity: 1 }, { quantity: 2 }] },
  ]);
  await sendCommand(odile, orderId, { type: "receiveParts", lineIds });
  expect((await view()).state.received).toHaveLength(2);
});

it("is paid in parts: some cash, the rest by card, and never twice at once", async () => {
  await sendCommand(odile, orderId, { type: "finishJobs", jobIds: [brakes] });
  const total = (await receipt()).totalCents;
  expect(total).toBe(49380);
  await sendCommand(odile, orderId, { type: "takeCash", paymentId: uuid(), amountCents: 10000, tenderedCents: 20000 });
  expect(await receipt()).toMatchObject({ paidCents: 10000, dueCents: total - 10000 });
  const rest = total - 10000;
  const tries = await Promise.all(
    [1, 2, 3].map(() =>
      odile.post<{ result?: string; code?: string }>(`/api/work-orders/${orderId}/card-payments`, {
        paymentId: uuid(),
        amountCents: rest,
      }),
    ),
  );
  expect(tries.filter(({ body }) => body.result === "taken")).toHaveLength(1);
  expect(tries.filter(({ body }) => body.code === "payment/nothing-due")).toHaveLength(2);
});

it("has a receipt that says what was done, paid and put off", async () => {
  const paper = await receipt();
  expect(paper).toMatchObject({
    customerName: "Isolde Karimi",
    vehicleName: "2015 Nissan Altima",
    dueCents: 0,
    notDone: [{ title: "Wiper blades", answer: "later" }],
    payments: [
      { method: "cash", amountCents: 10000, tenderedCents: 20000 },
      { method: "card", card: { lastFour: expect.stringMatching(/^\d{4}$/) as unknown } },
    ],
    signature: { name: "Isolde Karimi" },
  });
  const taxes = paper.taxes.reduce((sum, { cents }) => sum + cents, 0);
  expect(paper.jobs.reduce((sum, job) => sum + job.totalCents, 0) + paper.suppliesCents + taxes).toBe(paper.totalCents);
  const pdf = await odile.get(`/api/work-orders/${orderId}/receipt.pdf`);
  expect([pdf.status, pdf.headers.get("content-type")]).toEqual([200, "application/pdf"]);
});

it("is closed by what happened, and out of the open work", async () => {
  expect((await openOrders(odile)).map(({ id }) => id)).not.toContain(orderId);
  expect(await findOrder(odile, "isolde")).toMatchObject({ id: orderId, waitsFor: null, dueCents: 0 });
});

it("has all of it in its history, in order, with who did it", async () => {
  const [rows] = await server.db.query(
    `select body->>'type' as type, revision from history where aggregate_id = '${orderId}' order by revision`,
  );
  const history = rows as { type: string; revision: number }[];
  expect(history.map(({ revision }) => revision)).toEqual(history.map((_, index) => index + 1));
  expect(history.map(({ type }) => type)).toEqual([
    "openWorkOrder",
    "addJob",
    "addJob",
    "recordAnswers",
    "recordPartsOrder",
    "receiveParts",
    "finishJobs",
    "takeCash",
    "recordCardPayment",
  ]);
});
