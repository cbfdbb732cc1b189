import { z } from "zod";
import { openApiDocument } from "./openapi";
import {
  PROBLEM_STATUS,
  customerBody,
  emailField,
  phoneField,
  problem,
  routes,
  signInBody,
  textField,
  vehicleBody,
  visitEnvelope,
  workOrderEnvelope,
} from "./index";

const ID = "0190a000-0000-7000-8000-000000000001";
const AT = "2026-11-23T17:00:00.000Z";
const first = (schema: z.ZodType, value: unknown): string | null => {
  const result = schema.safeParse(value);
  return result.success ? null : (result.error.issues[0]?.path.join(".") ?? "");
};

it("leaves out a right that only another version of the program knows", () => {
  const business = { id: "b", name: "Larkhaven", timeZone: "UTC" };
  const told = { id: "p", name: "Odile", role: "Owner", isMechanic: true, rights: ["seeCost", "refund"], business };
  expect(routes.whoAmI.answer.parse(told).rights).toEqual(["seeCost"]);
});

describe("fields", () => {
  it.each([
    ["ten digits", "3605550123", { number: "+13605550123" }],
    ["dots", "360.555.0123", { number: "+13605550123" }],
    ["an extension beside it", "360 555 0123 ext. 9", { number: "+13605550123", extension: "9" }],
    ["another country", "+44 20 7946 0018", { number: "+442079460018" }],
  ])("a phone: %s", (_name, typed, stored) => {
    expect(phoneField.parse({ number: typed })).toEqual({ extension: null, label: "", ...stored });
  });

  it.each(["", "12", "phone", "555-01", "+1"])("no phone: %p", (typed) => {
    expect(phoneField.safeParse({ number: typed }).success).toBe(false);
  });

  it.each([
    ["maren@example.com", "maren@example.com"],
    [" a.b+c@sub.example.com ", "a.b+c@sub.example.com"],
  ])("an email: %p", (typed, stored) => {
    expect(emailField.parse(typed)).toBe(stored);
  });

  it.each(["", "maren", "maren@", "@example.com", "a b@example.com"])("no email: %p", (typed) => {
    expect(emailField.safeParse(typed).success).toBe(false);
  });

  it.each([
    ["a line break", "two\nlines", true],
    ["a tab", "a\tb", true],
    ["a null character", "a\u0000b", false],
    ["an escape", "a\u001bb", false],
    ["just as long as may be", "x".repeat(10), true],
    ["one more", "x".repeat(11), false],
  ])("text with %s", (_name, typed, fits) => {
    expect(textField(10).safeParse(typed).success).toBe(fits);
  });
});

describe("bodies", () => {
  const customer = { id: ID, name: "maren oyelaran" };
  const car = {
    id: ID,
    customerId: ID,
    vin: null,
    plate: null,
    region: null,
    year: null,
    make: "Honda",
    model: null,
    trim: null,
    engine: null,
    drive: null,
    color: null,
  };

  it("capitalize a name typed in lower case", () => {
    expect(customerBody.parse(customer).name).toBe("Maren Oyelaran");
  });

  it.each([
    ["a customer without a name", customerBody, { ...customer, name: " " }, "name"],
    [
      "a customer somewhere impossible",
      customerBody,
      { ...customer, billingAddress: placeAt(91, 0) },
      "billingAddress.latitude",
    ],
    ["a car without anything to know it by", vehicleBody, { ...car, make: "  " }, "make"],
    ["a plate without its state", vehicleBody, { ...car, plate: "ABC" }, "region"],
    ["a car of the year 1700", vehicleBody, { ...car, year: 1700 }, "year"],
    ["half a year", vehicleBody, { ...car, year: 2010.5 }, "year"],
    ["signing in as nobody", signInBody, { login: " ", password: "x" }, "login"],
  ])("refuse %s", (_name, schema, body, path) => {
    expect(first(schema, body)).toBe(path);
  });

  it.each([
    ["a customer", customerBody, customer],
    ["a customer somewhere", customerBody, { ...customer, billingAddress: placeAt(48, -122) }],
    ["a car by its make", vehicleBody, car],
    ["a car by plate and state", vehicleBody, { ...car, make: null, plate: "ABC", region: "WA" }],
    ["a car by its VIN", vehicleBody, { ...car, make: null, vin: "1HGCV1F34KA048217" }],
  ])("take %s", (_name, schema, body) => {
    expect(first(schema, body)).toBeNull();
  });
});

const addingLine = (over: object): object => ({
  type: "addLine",
  jobId: ID,
  line: {
    id: ID,
    kind: "labor",
    description: "Look",
    hours: 1,
    rateCents: 1,
    wageCents: null,
    paidHours: null,
    ...over,
  },
});

describe("envelopes", () => {
  const wrap = (command: object): object => ({ id: ID, at: AT, command });
  const place = placeAt(48, -122);
  const visit = { type: "bookVisit", workOrderIds: [ID], mechanicId: ID, place, startsAt: AT, endsAt: AT, note: "" };

  it.each([
    ["an odometer below zero", { type: "recordOdometer", miles: -1 }],
    ["a grade that is none", { type: "gradePoint", pointId: "oil", grade: "green", measures: {}, note: "" }],
    ["an empty concern", { type: "addConcern", concernId: ID, text: " ", kind: "fault", phraseId: null }],
    ["no answer at all", answering({ answers: [] })],
    ["an answer that is none", answering({ answers: [{ jobId: ID, title: "", answer: "maybe", totalCents: 1 }] })],
    ["a signature outside its field", answering({ signature: [[1001, 0]] })],
    ["cash of nothing", { type: "takeCash", paymentId: ID, amountCents: 0, tenderedCents: 0 }],
    ["no part", { type: "receiveParts", lineIds: [] }],
    ["half a character", { type: "addConcern", concernId: ID, text: "cut \ud83d", kind: "fault", phraseId: null }],
    ["a zero in a text", { type: "gradePoint", pointId: "oil", grade: "good", measures: {}, note: "a\u0000b" }],
    ["a line of a book's length", addingLine({ description: "w".repeat(201) })],
    ["a billion hours", addingLine({ hours: 1e12 })],
    ["no command", { type: "unheardOf" }],
  ])("take %s only as what cannot be read, to be refused alone", (_name, command) => {
    expect(workOrderEnvelope.parse(wrap(command)).command).toEqual({ type: "unreadable" });
  });

  it.each([
    ["a measurement", { type: "gradePoint", pointId: "pads", grade: "act", measures: { value: 2.5 }, note: "worn" }],
    ["an answer", answering({})],
    ["cash with change", { type: "takeCash", paymentId: ID, amountCents: 8712, tenderedCents: 10000 }],
    ["a line", addingLine({})],
  ])("take %s", (_name, command) => {
    expect(workOrderEnvelope.parse(wrap(command)).command).toMatchObject({ type: (command as { type: string }).type });
  });

  it("take a visit only whole", () => {
    const readAs = (given: object): string => visitEnvelope.parse(wrap({ allowOverlap: false, ...given })).command.type;
    expect(readAs(visit)).toBe("bookVisit");
    expect(readAs({ ...visit, allowOverlap: undefined })).toBe("unreadable");
    expect(readAs({ ...visit, workOrderIds: [] })).toBe("unreadable");
    expect(readAs({ ...visit, startsAt: "0001-01-01T00:00:00.000Z" })).toBe("unreadable");
    expect(readAs({ ...visit, place: { ...place, street: "w".repeat(201) } })).toBe("unreadable");
  });

  it("serve a work order once, however often a visit names it", () => {
    const { command } = visitEnvelope.parse(wrap({ ...visit, allowOverlap: false, workOrderIds: [ID, ID] }));
    expect(command).toMatchObject({ workOrderIds: [ID] });
  });

  it("refuse a time that is no instant", () => {
    expect(
      workOrderEnvelope.safeParse({ id: ID, at: "yesterday", command: { type: "recordOdometer", miles: 1 } }).success,
    ).toBe(false);
  });
});

describe("the table of routes", () => {
  const all = Object.values(routes);
  it("has each method and address once, all below /api", () => {
    const addresses = all.map(({ method, path }) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
    for (const { path } of all) expect(path).toMatch(/^\/api\//);
  });
  it("has parameters for each name in an address", () => {
    for (const { path, params } of all) expect(params !== null).toBe(path.includes(":"));
  });
  it("opens only what a stranger needs", () => {
    const open = Object.entries(routes).filter(([, route]) => "open" in route && route.open);
    expect(open.map(([name]) => name).sort()).toEqual(
      [
        "addAskedPhoto",
        "addPagePhoto",
        "answerNewTime",
        "answerOnPage",
        "askForVisit",
        "askTimes",
        "bookOnPage",
        "callOffOnPage",
        "demoAccounts",
        "findStrangersCar",
        "findTown",
        "foundPdf",
        "health",
        // By the message service's secret.
        "hearMessenger",
        "holdAskedTime",
        "moveOnPage",
        "openAskPage",
        "openCalendar",
        "openNewTime",
        "openPage",
        "openReceipt",
        "openReceiptPdf",
        "openapi",
        "pageLogo",
        "pagePhoto",
        "pageTimes",
        "pickOffered",
        "provePage",
        "quotePdf",
        "sendPageCode",
        "signIn",
        "signOut",
        "speakOnPage",
        "takeBackOnPage",
        "timesForWork",
        "wantEarlierOnPage",
        "withdrawRequest",
        "writeOnPage",
      ].sort(),
    );
  });
});

describe("the description", () => {
  const document = openApiDocument("1.2.3");
  it("is OpenAPI 3.1, with each operation named once", () => {
    expect([document.openapi, document.info.version]).toEqual(["3.1.0", "1.2.3"]);
    const names = Object.values(document.paths ?? {}).flatMap((path) =>
      Object.values(path).map((operation) => (operation as { operationId: string }).operationId),
    );
    expect(names.sort()).toEqual(Object.keys(routes).sort());
  });
  it("asks for a session where one is needed, and for a key where a retry must not double", () => {
    expect(document.paths?.["/api/customers"]?.post).toMatchObject({
      security: [{ session: [] }],
      parameters: [{ in: "header", name: "Idempotency-Key" }],
    });
    expect(document.paths?.["/api/session"]?.post).toMatchObject({ security: [] });
  });
  it("describes problems once", () => {
    expect(document.components?.schemas).toHaveProperty("Problem");
  });
});

describe("problems", () => {
  it("carry a known code and a client or server status", () => {
    for (const [code, status] of Object.entries(PROBLEM_STATUS)) {
      expect(code).toMatch(/^[a-z-]+\/[a-z-]+$/);
      expect(status).toBeGreaterThanOrEqual(400);
    }
    const body = { type: "urn:x", title: "t", status: 409, code: "command/refused", detail: "d" };
    expect(problem.safeParse(body).success).toBe(true);
    expect(problem.safeParse({ ...body, code: "made/up" }).success).toBe(false);
  });
});

function placeAt(latitude: number, longitude: number): object {
  return { street: "18 Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099", latitude, longitude };
}

function answering(over: object): object {
  const answers = [{ jobId: ID, title: "Brakes", answer: "yes", totalCents: 100 }];
  const signature = [[0, 0, 1000, 1000]];
  return {
    type: "recordAnswers",
    approvalId: ID,
    way: "signed",
    name: "Maren",
    signature,
    answers,
    totalCents: 100,
    ...over,
  };
}
