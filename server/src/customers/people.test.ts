import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type { BusinessView, Customer, CustomerSheetView, Found, LikelySame, NewcomerReport } from "@mechanon/contract";
import {
  findOrder,
  findSheet,
  sendCommand,
  startTestServer,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";
import { undoMerge } from "./merge";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

interface Refused {
  code: string;
  detail: string;
}
const create = (body: object, id = uuid()): Promise<HttpAnswer<Customer & Refused>> =>
  odile.post<Customer & Refused>("/api/customers", { id, ...body }, { "Idempotency-Key": id });
const find = async (typed: string): Promise<Found> =>
  (await odile.get<Found>(`/api/search?q=${encodeURIComponent(typed)}`)).body;
const names = async (typed: string): Promise<string[]> =>
  (await find(typed)).customers.map(({ customer }) => customer.name);
const sheetOf = (name: string): Promise<CustomerSheetView> => findSheet(odile, name);

describe("a customer", () => {
  it("keeps all that is told, and gives it back", async () => {
    const place = {
      street: "5 Kelp Street",
      town: "Larkhaven",
      region: "WA",
      postcode: "98099",
      latitude: null,
      longitude: null,
    };
    const told = {
      kind: "business",
      name: "Saltgrass Veterinary",
      phones: [{ number: "(360) 555-0171 ext. 2", label: "Desk" }],
      emails: [{ address: "front@example.com", label: "Desk" }],
      preferredContact: "email",
      textConsent: { given: true, at: "2026-11-01T10:00:00.000Z", how: "Wrote it" },
      contacts: [
        {
          id: uuid(),
          name: "hanne vik",
          role: "Driver",
          phone: { number: "3605550172" },
          approvalLimitCents: 30000,
          mayHandOverKeys: true,
        },
      ],
      billingAddress: { ...place, street: "PO Box 9" },
      serviceAddresses: [
        {
          id: uuid(),
          label: "Clinic",
          place,
          access: { gateCode: "1", dog: "many", slope: "Level", heightLimit: "7 ft", surface: "Gravel", note: "" },
        },
      ],
      taxExemption: { number: "EX-1" },
      usualPayer: { name: "The county" },
      notes: "Mornings only",
      foundUsBy: "Web search",
      newcomerAnswers: [{ questionId: "parking", question: "Where?", answer: "Driveway" }],
    };
    const { status, body } = await create(told);
    expect(status).toBe(201);
    expect(body).toMatchObject({
      ...told,
      phones: [{ number: "+13605550171", extension: "2", label: "Desk" }],
      contacts: [{ name: "Hanne Vik", phone: { number: "+13605550172" }, approvalLimitCents: 30000, mayPay: false }],
      usualPayer: { name: "The county", customerId: null },
    });
    const { body: sheet } = await odile.get<CustomerSheetView>(`/api/customers/${body.id}`);
    expect(sheet.customer).toEqual(body);
  });

  it("needs a name and nothing else; a name of 300 letters fits", async () => {
    expect((await create({ name: "x".repeat(300) })).status).toBe(201);
    expect((await create({ name: "x".repeat(301) })).status).toBe(422);
    expect((await create({ phones: [{ number: "3605550179" }] })).body.code).toBe("request/invalid");
  });

  it("shows open work, visits, money, what was put off, and past work", async () => {
    const sunniva = await sheetOf("Sunniva");
    expect(sunniva).toMatchObject({ owedCents: 0, openWork: [], pastWorkCount: 3 });
    expect(sunniva.later.map(({ title }) => title)).toEqual(["Wiper blades"]);
    expect(sunniva.lastVisits).toHaveLength(3);
    const bram = await sheetOf("Bram Castellanos");
    expect(bram.owedCents).toBeGreaterThan(0);
    expect(bram.comingVisits).toHaveLength(1);
  });
});

describe("no doubles", () => {
  it("shows likely the same ones with why, while a name is typed", async () => {
    const place = { street: "18 Heron Landing", town: "", region: "", postcode: "", latitude: null, longitude: null };
    const { body } = await odile.post<{ likely: LikelySame[] }>("/api/customers/likely", {
      name: "Marin Oyelaran",
      phones: [{ number: "360 555 0131" }],
      serviceAddresses: [{ id: uuid(), place }],
    });
    expect(body.likely.map(({ customer, likenesses, cars }) => [customer.name, likenesses, cars])).toEqual([
      ["Maren Oyelaran", ["phone", "soundAndStreet"], ["2019 Honda Accord"]],
    ]);
  });

  it("refuses a phone that is kept until somebody looked, and keeps nothing", async () => {
    const refused = await create({ name: "Somebody Else", phones: [{ number: "360 555 0111" }] });
    expect(refused).toMatchObject({ status: 409, body: { code: "customer/kept-already" } });
    expect(refused.body.detail).toContain("Maren Oyelaran");
    const maren = (await sheetOf("Maren Oyelaran")).customer.id;
    expect(refused.body).toMatchObject({ keptId: maren });
    const again = { name: "Somebody Else", phones: [{ number: "360 555 0111" }], notTheSameAs: [maren] };
    expect((await create(again)).status).toBe(201);
  });

  it("keeps twice whom somebody took down without a signal, to be made one later", async () => {
    const phones = [{ number: "360 555 0111" }];
    expect((await create({ name: "Taken Down Below", phones, keepTwice: true })).status).toBe(201);
    const { customer } = await sheetOf("Taken Down Below");
    expect(customer).not.toHaveProperty("keepTwice");
    const { body } = await odile.post<{ likely: LikelySame[] }>("/api/customers/likely", {
      id: customer.id,
      name: customer.name,
      phones,
    });
    expect(body.likely.map((each) => each.customer.name)).toContain("Maren Oyelaran");
  });

  it("lets one of two who save the same new phone at once through, and tells the other", async () => {
    const phones = [{ number: "360 555 0188" }];
    const answers = await Promise.all([create({ name: "Twin One", phones }), create({ name: "Twin Two", phones })]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
  });
});

describe("merging", () => {
  it("moves cars and work, joins what both know, and is undone whole", async () => {
    const kept = await sheetOf("Teodor Vance");
    const merged = await sheetOf("Delphine Marsh");
    const [keptId, mergedId] = [kept.customer.id, merged.customer.id];
    const done = await odile.post<{ mergeId: string }>(
      `/api/customers/${keptId}/merges`,
      { mergedId },
      { "Idempotency-Key": uuid() },
    );
    expect(done.status).toBe(201);
    const both = await sheetOf("Teodor Vance");
    expect(both.vehicles).toHaveLength(2);
    expect(both.pastWorkCount + both.openWork.length).toBe(2);
    expect(both.customer.phones.map(({ number }) => number)).toEqual(["+13605550114", "+13605550119"]);
    expect(both.merges).toMatchObject([{ mergedName: "Delphine Marsh", by: "Odile Farrow" }]);
    // The merged record leads to the kept one, and is found by its own phone.
    expect((await odile.get<CustomerSheetView>(`/api/customers/${mergedId}`)).body.customer.id).toBe(keptId);
    expect(await names("360 555 0119")).toEqual(["Teodor Vance"]);
    const order = [...both.pastWork, ...both.openWork].find(({ vehicleName }) => vehicleName.includes("Mazda"));
    expect(order?.customerName).toBe("Teodor Vance");

    const undone = await odile.post(`/api/merges/${done.body.mergeId}/undo`, undefined);
    expect(undone.body).toEqual({ keptId, mergedId, detailsRestored: true });
    expect(await sheetOf("Teodor Vance")).toMatchObject({
      ...kept,
      customer: { ...kept.customer, version: 3 },
      openWork: expect.any(Array) as unknown,
    });
    expect((await sheetOf("Delphine Marsh")).vehicles).toEqual(merged.vehicles);
    expect((await odile.post<Refused>(`/api/merges/${done.body.mergeId}/undo`, undefined)).body.code).toBe(
      "merge/undone",
    );
  });

  it("takes along what the merged one drives, and parts it again", async () => {
    const link = (vehicleId: string, customerId: string, role: string) =>
      odile.post(`/api/vehicles/${vehicleId}/people`, { customerId, role });
    const kept = (await sheetOf("Linus Featherstone")).customer;
    const [own] = (await sheetOf("Linus Featherstone")).vehicles;
    const [petras] = (await sheetOf("Petra Sandoval")).vehicles;
    const [noors] = (await sheetOf("Noor Haddad-Bell")).vehicles;
    const merged = (await create({ name: "Twice Driven" })).body;
    for (const [car, who, role] of [
      [own, merged, "Spouse"],
      [petras, merged, "Driver"],
      [noors, merged, "Driver"],
      [noors, kept, "Fleet manager"],
    ] as const)
      await link(car?.id ?? "", who.id, role);
    const { body } = await odile.post<{ mergeId: string }>(
      `/api/customers/${kept.id}/merges`,
      { mergedId: merged.id },
      { "Idempotency-Key": uuid() },
    );
    const drives = async (name: string) =>
      (await sheetOf(name)).drives.map(({ vehicle, role }) => [vehicle.id, role]).sort();
    const both = [
      [petras?.id, "Driver"],
      [noors?.id, "Fleet manager"],
    ].sort();
    expect(await drives("Linus Featherstone")).toEqual(both);
    expect(await names(petras?.plate ?? "")).toContain("Linus Featherstone");

    await odile.post(`/api/merges/${body.mergeId}/undo`, undefined);
    expect(await drives("Linus Featherstone")).toEqual([[noors?.id, "Fleet manager"]]);
    expect(await drives("Twice Driven")).toEqual(
      [
        [own?.id, "Spouse"],
        [petras?.id, "Driver"],
        [noors?.id, "Driver"],
      ].sort(),
    );
    expect(await names(petras?.plate ?? "")).not.toContain("Linus Featherstone");
  });

  it("keeps what was changed since, when it is undone", async () => {
    const kept = (await create({ name: "Part One" })).body;
    const merged = (await create({ name: "Part Two", phones: [{ number: "360 555 0189" }] })).body;
    const { body } = await odile.post<{ mergeId: string }>(
      `/api/customers/${kept.id}/merges`,
      { mergedId: merged.id },
      { "Idempotency-Key": uuid() },
    );
    await odile.send("PATCH", `/api/customers/${kept.id}`, { name: "Part One", notes: "new", version: 2 });
    expect((await odile.post(`/api/merges/${body.mergeId}/undo`, undefined)).body).toMatchObject({
      detailsRestored: false,
    });
    expect((await sheetOf("Part One")).customer.notes).toBe("new");
  });

  it("of a customer with itself, of nobody, or after 30 days is refused in clear words", async () => {
    const { customer } = await sheetOf("Maren Oyelaran");
    const merge = (mergedId: string) =>
      odile.post<Refused>(`/api/customers/${customer.id}/merges`, { mergedId }, { "Idempotency-Key": uuid() });
    expect((await merge(customer.id)).body).toMatchObject({ code: "customer/merge-with-itself" });
    expect((await merge(uuid())).body).toMatchObject({ code: "customer/not-found" });
    const other = (await create({ name: "Late Double" })).body;
    const { body } = await odile.post<{ mergeId: string }>(
      `/api/customers/${customer.id}/merges`,
      { mergedId: other.id },
      { "Idempotency-Key": uuid() },
    );
    const { db } = server;
    const [row] = await db.query<{ business_id: string }>("select business_id from customers limit 1", {
      type: QueryTypes.SELECT,
    });
    const scope = {
      businessId: row?.business_id ?? "",
      timeZone: "utc",
      businessName: "",
      actor: { id: uuid(), name: "", rights: [] },
    };
    const late = new Date(Date.now() + 31 * 24 * 3600_000);
    await expect(undoMerge(db, scope, body.mergeId, late)).rejects.toMatchObject({ code: "merge/too-late" });
  });
});

describe("privacy", () => {
  it("hands out all that is known, without the business's costs", async () => {
    const { customer } = await sheetOf("Sunniva");
    const { body, headers } = await odile.get<{ workOrders: object[]; cars: object[]; visits: object[] }>(
      `/api/customers/${customer.id}/everything`,
    );
    expect(headers.get("content-disposition")).toContain("attachment");
    expect(body).toMatchObject({ customer: { name: "Sunniva Achterberg" }, cars: [{ plate: "TDW7115" }] });
    expect([body.workOrders.length, body.visits.length]).toEqual([3, 3]);
    expect(JSON.stringify(body)).not.toMatch(/costCents":\d|wageCents":\d/);
  });

  it("waits until work is finished and paid", async () => {
    const { customer } = await sheetOf("Maren Oyelaran");
    expect(
      (await odile.post<Refused>(`/api/customers/${customer.id}/erase`, { version: customer.version })).body.code,
    ).toBe("customer/work-open");
  });

  it("takes away whoever it was and keeps the bill", async () => {
    const before = await sheetOf("Sunniva");
    const { id, version } = before.customer;
    const orderId = before.pastWork[0]?.id ?? "";
    await sendCommand(odile, orderId, {
      type: "addConcern",
      concernId: uuid(),
      text: "Sunniva says it rattles",
      kind: "fault",
      phraseId: null,
    });
    // Their car tells of them, too: its nickname, why its VIN is kept, what they drive.
    const [car] = before.vehicles;
    const { id: carId, customerId: _owner, ...fields } = car ?? { id: "", customerId: "" };
    await odile.send("PATCH", `/api/vehicles/${carId}`, {
      ...fields,
      nickname: "Achterberg's blue one",
      vinNote: "Sunniva read it",
    });
    const { vehicles } = await sheetOf("Oskar Nwosu");
    await odile.post(`/api/vehicles/${vehicles[0]?.id ?? ""}/people`, { customerId: id, role: "Sunniva drives" });
    const { body } = await odile.post(`/api/customers/${id}/erase`, { version });
    expect(body).toEqual({ billsKept: 3, carsRemoved: 0, photosRemoved: 0 });
    const { body: after } = await odile.get<CustomerSheetView>(`/api/customers/${id}`);
    expect(after).toMatchObject({
      customer: { name: "Erased", phones: [] },
      vehicles: [{ plate: null, vin: null, model: "CR-V" }],
    });
    expect(after.pastWork[0]?.totalCents).toBe(before.pastWork[0]?.totalCents);
    for (const typed of ["Sunniva", "Achterberg", "360 555 0117", "TDW7115"])
      expect(await names(typed)).not.toContain("Erased");
    const tables = [
      "customers",
      "vehicles",
      "work_orders",
      "visits",
      "commands",
      "history",
      "approvals",
      "approval_answers",
      "bills",
      "payments",
      "ordered_parts",
      "external_requests",
      "messages",
      "idempotency_keys",
      "customer_words",
      "search_words",
      "search_word_shapes",
      "customer_keys",
      "customer_merges",
      "import_rows",
    ];
    for (const table of tables) {
      const rows = await server.db.query(
        `select 1 from ${table} t where t::text ~* 'sunniva|achterberg|5550117|TDW7115'`,
        { type: QueryTypes.SELECT },
      );
      expect([table, rows]).toEqual([table, []]);
    }
    const opened = await sendCommand(odile, uuid(), {
      type: "openWorkOrder",
      customerId: id,
      vehicleId: after.vehicles[0]?.id,
      concerns: [],
    });
    expect(opened.body.outcomes).toMatchObject([{ refusal: "customer/erased" }]);
    expect((await odile.post<Refused>(`/api/customers/${id}/erase`, { version: version + 1 })).body.code).toBe(
      "customer/erased",
    );
  });

  it("is the owner's", async () => {
    const wren = await server.signIn("wren");
    const { customer } = await sheetOf("Petra");
    for (const answer of [
      await wren.get<Refused>(`/api/customers/${customer.id}/everything`),
      await wren.post<Refused>(`/api/customers/${customer.id}/erase`, { version: 1 }),
      await wren.get<Refused>("/api/exports/customers.csv"),
      await wren.get<Refused>("/api/reports/newcomers"),
      await wren.send<Refused>("PATCH", "/api/business/newcomers", { version: 1, foundUsBy: [], questions: [] }),
    ])
      expect(answer).toMatchObject({ status: 403, body: { code: "rights/missing" } });
  });
});

describe("around a customer", () => {
  it("the directory says whose a phone is, or that it does not answer", async () => {
    const ask = (phone: string) =>
      odile.get<Refused & { entry: object | null }>(`/api/directory/${encodeURIComponent(phone)}`);
    expect((await ask("(360) 555-0141")).body.entry).toMatchObject({ name: "Ottilie Brandt", town: "Larkhaven" });
    expect((await ask("360 555 0199")).body.entry).toBeNull();
    expect((await ask("12")).body.entry).toBeNull();
    await server.fault("directory", "down");
    expect(await ask("(360) 555-0141")).toMatchObject({ status: 503, body: { code: "directory/unreachable" } });
    await server.fault("directory", "none");
  });

  it("a postcode gives town and state: shipped ones without asking anybody, others from outside", async () => {
    const ask = (code: string) =>
      odile.get<Refused & { towns: object[] }>(`/api/postcodes/${encodeURIComponent(code)}`);
    await server.fault("postcodes", "down");
    expect((await ask("98099-1204")).body.towns).toEqual([{ town: "Larkhaven", region: "WA" }]);
    expect((await ask("98098")).body.towns).toHaveLength(2);
    expect((await ask("97099")).body).toMatchObject({ code: "postcode/unreachable" });
    await server.fault("postcodes", "none");
    expect((await ask("97099")).body.towns).toEqual([{ town: "Dunmore Spit", region: "OR" }]);
    expect((await ask("00000")).body.towns).toEqual([]);
  });

  it("texts nobody who said no", async () => {
    const order = await findOrder(odile, "Noor Haddad-Bell");
    const send = () => odile.post<Refused>(`/api/work-orders/${order.id}/receipt-messages`, { messageId: uuid() });
    // She has a mail, and said nothing of those.
    expect((await send()).status).toBe(200);
    const [rows] = await server.db.query(`select channel from messages where work_order_id = '${order.id}'`);
    expect(rows).toEqual([{ channel: "mail" }]);
    await server.db.query(
      "update customers set details = details || '{\"emails\": []}' where name = 'Noor Haddad-Bell'",
    );
    expect((await send()).body.code).toBe("receipt/texts-refused");
  });

  it("newcomers are asked what the owner wants, and the answers are counted", async () => {
    const newcomers = {
      foundUsBy: ["Ferry"],
      questions: [{ id: "q1", text: "Who sent you?", choices: ["Aunt", "Dog"] }],
    };
    const was = (await odile.get<BusinessView>("/api/business")).body.settings.newcomers;
    const change = {
      version: 1,
      foundUsBy: [{ from: was.foundUsBy, to: newcomers.foundUsBy }],
      questions: [
        ...was.questions.map((question) => ({ from: question, to: null })),
        { from: null, to: newcomers.questions[0] },
      ],
    };
    expect((await odile.send("PATCH", "/api/business/newcomers", change)).body).toEqual(newcomers);
    const business = await odile.get<{ settings: { newcomers: object; phone: string } }>("/api/business");
    expect(business.body.settings).toMatchObject({ newcomers, phone: "+13605550100" });
    for (const [name, answer] of [
      ["New A", "Dog"],
      ["New B", "Dog"],
      ["New C", "Aunt"],
    ])
      await create({
        name,
        foundUsBy: "Ferry",
        newcomerAnswers: [{ questionId: "q1", question: "Who sent you?", answer }],
      });
    const { body } = await odile.get<NewcomerReport>("/api/reports/newcomers");
    expect(body.foundUsBy).toContainEqual({ answer: "Ferry", count: 3 });
    expect(body.questions).toContainEqual({
      questionId: "q1",
      question: "Who sent you?",
      answers: [
        { answer: "Dog", count: 2 },
        { answer: "Aunt", count: 1 },
      ],
    });
    const added = { from: null, to: { ...newcomers.questions[0], id: "q2" } };
    const twice = { version: 2, foundUsBy: [], questions: [added, added] };
    expect((await odile.send<Refused>("PATCH", "/api/business/newcomers", twice)).body.code).toBe("request/invalid");
  });
});
