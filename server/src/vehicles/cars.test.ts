import { v7 as uuid } from "uuid";
import type {
  BusinessView,
  CustomerSheetView,
  ElsewhereReport,
  Found,
  KnownVehicle,
  RecallReport,
  Vehicle,
  VehicleSheetView,
  WorkOrderView,
} from "@mechanon/contract";
import {
  findOrder,
  openOrders,
  findSheet,
  sendCommand,
  startTestServer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());
afterEach(async () => {
  for (const service of ["specs", "recalls", "history", "register"]) await server.fault(service, "none");
});

const customerOf = (name: string): Promise<CustomerSheetView> => findSheet(odile, name);
const carOf = async (name: string): Promise<Vehicle> => {
  const [car] = (await customerOf(name)).vehicles;
  if (!car) throw new Error(`${name} has no car in the demo`);
  return car;
};
const sheetOf = async (id: string): Promise<VehicleSheetView> =>
  (await odile.get<VehicleSheetView>(`/api/vehicles/${id}/sheet`)).body;
const fieldsOf = ({ id: _id, customerId: _owner, ...fields }: Vehicle): object => fields;

describe("a car", () => {
  it("is told apart: unit number, nickname, color; and found by them", async () => {
    const car = await carOf("Petra Sandoval");
    const { status, body } = await odile.send<Vehicle>("PATCH", `/api/vehicles/${car.id}`, {
      ...fieldsOf(car),
      nickname: "Bluebottle",
      unitNumber: "PX-77",
      color: "Sea green",
      transmission: "Manual/Standard",
    });
    expect({ status, body }).toMatchObject({
      status: 200,
      body: { nickname: "Bluebottle", unitNumber: "PX-77", transmission: "Manual/Standard", version: car.version + 1 },
    });
    const { body: found } = await odile.get<Found>("/api/search?q=bluebottle");
    expect(found.customers.map(({ customer }) => customer.name)).toEqual(["Petra Sandoval"]);
  });

  it("that is kept already is told by its id, by VIN and by plate", async () => {
    const car = await carOf("Petra Sandoval");
    const { version: _version, ...facts } = { ...fieldsOf(car), version: 0 };
    const keep = async (over: object): Promise<unknown> => {
      const id = uuid();
      const body = { ...facts, id, customerId: car.customerId, ...over };
      return (await odile.post("/api/vehicles", body, { "Idempotency-Key": id })).body;
    };
    expect(await keep({ plate: null, region: null })).toMatchObject({ code: "vehicle/vin-taken", keptId: car.id });
    expect(await keep({ vin: null })).toMatchObject({ code: "vehicle/plate-taken", keptId: car.id });
  });

  it("is not overwritten by who has an older one, and needs something to know it by", async () => {
    const car = await carOf("Linus Featherstone");
    expect(
      (await odile.send("PATCH", `/api/vehicles/${car.id}`, { ...fieldsOf(car), version: 99 })).body,
    ).toMatchObject({
      status: 409,
      code: "version/changed",
    });
    const nothing = { ...fieldsOf(car), vin: null, plate: null, region: null, make: null, model: null };
    expect((await odile.send("PATCH", `/api/vehicles/${car.id}`, nothing)).body).toMatchObject({
      status: 422,
      code: "request/invalid",
    });
    expect((await odile.get("/api/vehicles/01890000-0000-7000-8000-000000000000/sheet")).status).toBe(404);
  });

  it("keeps the reason for a VIN whose check digit does not hold", async () => {
    const { customer } = await customerOf("Amparo");
    const id = uuid();
    const { body } = await odile.post<Vehicle>(
      "/api/vehicles",
      {
        id,
        customerId: customer.id,
        vin: "5FNRL5H66EB091538",
        vinNote: "Read twice from the plate at the windshield",
        plate: null,
        region: null,
        year: 2014,
        make: "Honda",
        model: "Odyssey",
        trim: null,
        engine: null,
        drive: null,
        color: null,
      },
      { "Idempotency-Key": id },
    );
    expect(body).toMatchObject({ vinNote: "Read twice from the plate at the windshield", vin: "5FNRL5H66EB091538" });
  });
});

describe("whose car it is", () => {
  it("is told with open work and drivers when a known plate or VIN comes up", async () => {
    const { body } = await odile.get<{ known: KnownVehicle }>("/api/plates/WA/TDW8126");
    expect(body.known).toMatchObject({
      customerName: "Caspian Rowntree",
      openWork: [{ waitsFor: "time" }],
      people: [],
    });
  });

  it("moves with its history to another; bills stay with the old owner; a repeat changes nothing", async () => {
    const { customer: ingrid, vehicles } = await customerOf("Delphine Marsh");
    const [car] = vehicles;
    if (!car) throw new Error("no car");
    const { customer: teodor } = await customerOf("Teodor Vance");
    const move = (): Promise<{ body: Vehicle; status: number }> =>
      odile.post<Vehicle>(`/api/vehicles/${car.id}/move`, { customerId: teodor.id, version: car.version });
    expect((await move()).body.customerId).toBe(teodor.id);
    expect(await move()).toMatchObject({ status: 200, body: { customerId: teodor.id, version: car.version + 1 } });
    const sheet = await sheetOf(car.id);
    expect(sheet.owner.name).toBe("Teodor Vance");
    expect(sheet.moves).toMatchObject([{ fromName: "Delphine Marsh", toName: "Teodor Vance", by: "Odile Farrow" }]);
    expect(sheet.pastWork).toMatchObject([{ customerName: "Delphine Marsh" }]);
    const pageFrom = async (from: number) =>
      (await odile.get<{ workOrders: object[] }>(`/api/vehicles/${car.id}/work?from=${from}`)).body.workOrders;
    expect(await pageFrom(0)).toEqual(sheet.pastWork);
    expect(await pageFrom(1)).toEqual([]);
    const old = (await odile.get<CustomerSheetView>(`/api/customers/${ingrid.id}`)).body;
    expect(old.vehicles).toEqual([]);
    expect(old.pastWorkCount).toBe(1);
    const { body: found } = await odile.get<Found>(`/api/search?q=${car.plate ?? ""}`);
    expect(found.customers[0]?.customer.name).toBe("Teodor Vance");
  });

  it("links who drives it, who is then found by its plate; not the owner; and lets them go again", async () => {
    const car = await carOf("Ingrid Palomar");
    const { customer: driver } = await customerOf("Oskar Nwosu");
    const link = (customerId: string): Promise<{ status: number; body: { code?: string } }> =>
      odile.post(`/api/vehicles/${car.id}/people`, { customerId, role: "Driver" });
    expect((await link(driver.id)).status).toBe(200);
    expect((await link(car.customerId)).body.code).toBe("vehicle/owner-driver");
    expect((await sheetOf(car.id)).people).toMatchObject([{ name: "Oskar Nwosu", role: "Driver" }]);
    const search = async (): Promise<string[]> =>
      (await odile.get<Found>(`/api/search?q=${car.plate ?? ""}`)).body.customers.map(({ customer }) => customer.name);
    expect((await search()).sort()).toEqual(["Ingrid Palomar", "Oskar Nwosu"]);
    await odile.send("DELETE", `/api/vehicles/${car.id}/people/${driver.id}`);
    expect(await search()).toEqual(["Ingrid Palomar"]);
  });
});

describe("what comes along with a car", () => {
  it("trusts no odometer because it is the newest, tells each work order what was read before, and takes one back", async () => {
    const { vehicles } = await customerOf("Harbor Bread Deliveries");
    const car = vehicles.find(({ plate }) => plate === "LRK1451");
    if (!car) throw new Error("no car");
    const [first] = (await sheetOf(car.id)).odometer.readings;
    const orderId = first?.workOrderId ?? "";
    const view = async (): Promise<WorkOrderView> =>
      (await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`)).body;
    const open = (): Promise<unknown> =>
      odile.send("POST", `/api/work-orders/${second}/commands`, {
        commands: [
          {
            id: uuid(),
            at: new Date().toISOString(),
            command: { type: "openWorkOrder", customerId: car.customerId, vehicleId: car.id, concerns: [] },
          },
        ],
      });
    const second = uuid();
    await open();
    expect((await odile.get<WorkOrderView>(`/api/work-orders/${second}`)).body.odometerBefore).toMatchObject([
      { miles: 88_102 },
    ]);
    await sendCommand(odile, second, { type: "recordOdometer", miles: 881_020 });
    expect((await view()).odometerBefore).toMatchObject([{ miles: 881_020 }]);
    expect((await sheetOf(car.id)).odometer).toMatchObject({
      readings: [{ miles: 88_102, workOrderId: orderId }],
      doubtful: [{ miles: 881_020, workOrderId: second }],
    });
    await sendCommand(odile, second, { type: "takeBackOdometer", miles: 881_020, reason: "Misread" });
    expect((await sheetOf(car.id)).odometer.doubtful).toEqual([]);
    expect((await odile.get<WorkOrderView>(`/api/work-orders/${second}`)).body.state.odometerTakenBack).toMatchObject([
      { reason: "Misread" },
    ]);
  });

  it("has last oil, filter and pressures, the odometer's trend, and work put off then and now", async () => {
    const car = await carOf("Maren Oyelaran");
    const sheet = await sheetOf(car.id);
    expect(sheet.lastService).toMatchObject({
      oil: { description: "Oil, quart", quantity: 5, brand: "Kelpline" },
      oilFilter: { partNumber: "KL-F12" },
      pressures: { frontPsi: 33, rearPsi: 33 },
    });
    expect(sheet.odometer.readings.map(({ miles }) => miles)).toEqual([70455, 77120]);
    expect(sheet.odometer.milesPerYear).toBeGreaterThan(12_000);
    expect(sheet.odometer.predictedMiles).toBeGreaterThan(78_000);
    const [put] = sheet.later;
    expect(put).toMatchObject({ title: "Wiper blades", nowCents: put?.thenCents });
    expect(sheet.due.find(({ interval }) => interval.id === "oil")).toMatchObject({
      interval: { from: "owner", miles: 5000 },
      standing: "overdue",
    });
  });

  it("prices work put off at today's rate", async () => {
    const { customer } = await customerOf("Sunniva Achterberg");
    const [order] = (await odile.get<CustomerSheetView>(`/api/customers/${customer.id}`)).body.later;
    await server.db.query(`update businesses set settings = jsonb_set(settings, '{rules,laborRateCents}', '20000')`);
    await server.db.query(
      `update library_jobs set job = jsonb_set(job, '{lines,0,rateCents}', '20000') where id = 'wipers'`,
    );
    const car = await carOf("Sunniva Achterberg");
    const [put] = (await sheetOf(car.id)).later;
    // A tenth of an hour at 62.00 more.
    expect(put).toMatchObject({ thenCents: order?.totalCents, nowCents: (put?.thenCents ?? 0) + 620 });
  });

  it("asks the source for specs, keeps them, labels them as simulated, and does without it", async () => {
    const car = await carOf("Noor Haddad-Bell");
    expect((await sheetOf(car.id)).specs).toBeNull();
    await server.fault("specs", "down");
    expect((await odile.post(`/api/vehicles/${car.id}/specs`, {})).body).toMatchObject({
      status: 503,
      code: "vehicle/source-unreachable",
    });
    await server.fault("specs", "none");
    const { body } = await odile.post<VehicleSheetView>(`/api/vehicles/${car.id}/specs`, {});
    expect(body.specs).toMatchObject({
      simulated: true,
      values: { oilGrade: expect.stringMatching(/^\d+W-\d+$/) as unknown },
    });
    await server.fault("specs", "down");
    expect((await sheetOf(car.id)).specs).toEqual(body.specs);
  });

  it("keeps a mechanic's correction with who and when, checks it, and takes it back", async () => {
    const car = await carOf("Jasper Lindqvist");
    await odile.post(`/api/vehicles/${car.id}/specs`, {});
    const correct = (key: string, value: string | null): Promise<{ status: number; body: VehicleSheetView }> =>
      odile.post<VehicleSheetView>(`/api/vehicles/${car.id}/corrections`, { key, value });
    expect((await correct("oilCapacityQuarts", "a bit")).status).toBe(422);
    expect((await correct("oilCapacityQuarts", "6.2")).body.corrections).toMatchObject([
      { key: "oilCapacityQuarts", value: "6.2", by: "Odile Farrow" },
    ]);
    expect((await correct("oilCapacityQuarts", null)).body.corrections).toHaveLength(2);
    const pdf = await odile.get<string>(`/api/vehicles/${car.id}/history.pdf`);
    expect(pdf.headers.get("content-type")).toBe("application/pdf");
  });

  it("asks for recalls and history elsewhere, and says when they do not answer or there is no VIN", async () => {
    const car = await carOf("Bram Castellanos");
    const recalls = await odile.get<RecallReport>(`/api/vehicles/${car.id}/recalls`);
    expect(recalls.body).toMatchObject({ simulated: true });
    expect((await odile.get<RecallReport>(`/api/vehicles/${car.id}/recalls`)).body).toEqual(recalls.body);
    expect((await odile.get<ElsewhereReport>(`/api/vehicles/${car.id}/elsewhere`)).body.source).toMatch(/stand-in/);
    const hurried = await server.signIn("odile", (await server.startSecond({ outsideTimeoutMs: 300 })).url);
    await server.fault("recalls", "slow");
    expect((await hurried.get(`/api/vehicles/${car.id}/recalls`)).body).toMatchObject({
      code: "vehicle/source-unreachable",
    });
    const { customer } = await customerOf("Amparo");
    const id = uuid();
    const trailer = {
      id,
      customerId: customer.id,
      vin: null,
      plate: null,
      region: null,
      year: null,
      make: "Homebuilt",
      model: "Boat trailer",
      trim: null,
      engine: null,
      drive: null,
      color: null,
    };
    await odile.post("/api/vehicles", trailer, { "Idempotency-Key": id });
    for (const path of ["recalls", "elsewhere"])
      expect((await odile.get(`/api/vehicles/${id}/${path}`)).body).toMatchObject({ code: "vehicle/no-source" });
    expect((await odile.post(`/api/vehicles/${id}/specs`, {})).body).toMatchObject({ code: "vehicle/no-source" });
  });
});

describe("a wrong car or customer on a work order", () => {
  it("is swapped: findings of the other car go, answers are asked anew, and lists know the right car", async () => {
    const { id } = await findOrder(odile, "Teodor Vance");
    const other = await carOf("Petra Sandoval");
    const change = { type: "changeVehicle", vehicleId: other.id, keepFindings: false, keepAnswers: false };
    const { body } = await sendCommand(odile, id, change);
    expect(body.workOrder).toMatchObject({
      vehicle: { id: other.id },
      state: { findings: [], odometerMiles: null, vehicleId: other.id },
    });
    expect(body.workOrder.state.jobs.map(({ answer }) => answer)).toEqual([null, null]);
    expect(body.workOrder.state.approvals).toHaveLength(1);
    expect((await sheetOf(other.id)).openWork.map((order) => order.id)).toContain(id);
  });

  it("is taken off: the work order stands without a car, in every list, and takes one again", async () => {
    const { id, customerId } = await findOrder(odile, "Caspian Rowntree");
    const detach = { type: "changeVehicle", vehicleId: null, keepFindings: true, keepAnswers: true };
    expect((await sendCommand(odile, id, detach)).body.workOrder.vehicle).toBeNull();
    expect((await openOrders(odile)).find((order) => order.id === id)?.vehicleName).toBe("No car yet");
    expect((await odile.get<CustomerSheetView>(`/api/customers/${customerId}`)).body.openWork[0]?.vehicleName).toBe(
      "No car yet",
    );
    expect((await odile.get("/api/search?q=Caspian")).status).toBe(200);
    expect((await odile.get(`/api/work-orders/${id}/receipt`)).status).toBe(200);
    const car = await carOf("Caspian Rowntree");
    const back = { type: "changeVehicle", vehicleId: car.id, keepFindings: true, keepAnswers: true };
    expect((await sendCommand(odile, id, back)).body.workOrder.vehicle?.id).toBe(car.id);
    const nobodys = { ...back, vehicleId: uuid() };
    expect((await sendCommand(odile, id, nobodys)).body).toMatchObject({
      outcomes: [{ outcome: "refused", refusal: "vehicle/not-found" }],
    });
  });

  it("gets the right customer, with that one's tax exemption", async () => {
    const { id } = await findOrder(odile, "Oskar Nwosu");
    const { customer: bakery } = await customerOf("Harbor Bread");
    const change = { type: "changeCustomer", customerId: bakery.id, keepAnswers: true };
    expect((await sendCommand(odile, id, change)).body.workOrder).toMatchObject({
      customer: { name: "Harbor Bread Deliveries" },
      state: { taxExempt: true, customerId: bakery.id },
    });
    expect((await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body.customer?.id).toBe(bakery.id);
  });
});

describe("the library of concerns and the owner's services", () => {
  const settings = async (): Promise<{
    concerns: { id: string; text: string }[];
    intervals: { id: string }[];
    versions: { concerns: number; intervals: number };
  }> => (await odile.get<BusinessView>("/api/business")).body.settings;

  it("keeps typed words as a phrase for all, once", async () => {
    const tomas = await server.signIn("tomas");
    const phrase = {
      id: uuid(),
      text: "Rattles at idle {when}",
      kind: "fault",
      area: "Engine",
      causes: [],
      corrections: [],
    };
    expect((await tomas.post("/api/business/concerns", phrase)).body).toEqual(phrase);
    const again = { ...phrase, id: uuid(), text: "rattles at idle {when}" };
    expect((await odile.post("/api/business/concerns", again)).body).toEqual(phrase);
    expect((await settings()).concerns.filter(({ text }) => /rattles/i.test(text))).toHaveLength(1);
  });

  it("is edited by who may change settings, and nobody else", async () => {
    const { concerns, versions } = await settings();
    const changes = concerns.slice(3).map((phrase) => ({ from: phrase, to: null }));
    const change = { version: versions.concerns, concerns: changes, concernGaps: [] };
    const tomas = await server.signIn("tomas");
    expect((await tomas.send("PATCH", "/api/business/concerns", change)).status).toBe(403);
    const { body } = await odile.send<{ concerns: object[] }>("PATCH", "/api/business/concerns", change);
    expect(body.concerns).toEqual(concerns.slice(0, 3));
    const twice = { ...change, concerns: [changes[0], changes[0]] };
    expect((await odile.send("PATCH", "/api/business/concerns", twice)).status).toBe(422);
  });

  it("goes by the customer's interval over the owner's", async () => {
    const oil = { id: "oil", title: "Oil and filter", miles: 3000, months: 3 };
    const { intervals, versions } = await settings();
    const { body } = await odile.send<{ intervals: object[] }>("PATCH", "/api/business/intervals", {
      version: versions.intervals,
      intervals: intervals.map((from) => ({
        from,
        to: from.id === "oil" ? { ...oil, jobIds: ["oil-service"] } : null,
      })),
    });
    expect(body.intervals).toEqual([{ ...oil, jobIds: ["oil-service"] }]);
    const { customer, vehicles } = await customerOf("Sunniva Achterberg");
    const { id, version, createdAt: _at, erasedAt: _erased, ...fields } = customer;
    const serviceIntervals = [{ ...oil, miles: 10_000, months: 12 }];
    expect((await odile.send("PATCH", `/api/customers/${id}`, { ...fields, version, serviceIntervals })).status).toBe(
      200,
    );
    const due = (await sheetOf(vehicles[0]?.id ?? "")).due.find(({ interval }) => interval.id === "oil");
    expect(due).toMatchObject({ interval: { from: "customer", miles: 10_000 }, standing: "later" });
  });
});
