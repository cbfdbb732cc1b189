import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { routes, type Route } from "@mechanon/contract";
import { hasRight, type Right } from "@mechanon/core";
import { addOtherBusiness, THEIRS } from "../testing/otherBusiness";
import { jpegOf } from "../testing/pictures";
import { startTestServer, type HttpAnswer, type TestPerson, type TestServer } from "../testing/testServer";

type Name = keyof typeof routes;
/** Ids of one business, one of each kind. */
type Ids = Record<
  | "workOrder"
  | "customer"
  | "vehicle"
  | "visit"
  | "person"
  | "line"
  | "photo"
  | "import"
  | "moveAsk"
  | "request"
  | "message",
  string
>;

let server: TestServer;
let here: Ids;
let there: Ids;
let theirIds: Set<string>;
let token: string;
let newTimeToken: string;
let calendarToken: string;
let slug: string;
let pageToken: string;
const people: { login: string; rights: Right[]; person: TestPerson }[] = [];

beforeAll(async () => {
  server = await startTestServer();
  const other = await addOtherBusiness(server);
  theirIds = other.ids;
  for (const login of ["odile", "tomas", "wren"]) {
    const person = await server.signIn(login);
    const { body } = await person.get<{ rights: Right[] }>("/api/session");
    people.push({ login, rights: body.rights, person });
  }
  const theirs = await server.signInAs("odile-there", "lantern-7");
  const own = people[0]?.person as TestPerson;
  here = await idsOf(own, false, other.id);
  there = await idsOf(theirs, true, other.id);
  theirIds.add(there.photo).add(there.line).add(there.import).delete("");
  await own.post(`/api/work-orders/${here.workOrder}/receipt-messages`, { messageId: uuid() });
  token = await linkToken();
  newTimeToken = `new-time-of-${(await own.get<{ business: { id: string } }>("/api/session")).body.business.id}`;
  slug = (await own.get<{ slug: string }>("/api/ask-page")).body.slug;
  pageToken = `page-of-request-${here.request}`;
  const renewed = await own.post<{ links: { url: string | null }[] }>(`/api/calendar-links/${here.person}`, {});
  calendarToken =
    renewed.body.links
      .find(({ url }) => url !== null)
      ?.url?.split("/")
      .at(-1) ?? "";
});
afterAll(() => server?.stop());

async function idsOf(who: TestPerson, isTheirs: boolean, otherId: string): Promise<Ids> {
  const one = async (sql: string): Promise<string> => {
    const [row] = await server.db.query<{ id: string }>(
      sql.replace("MINE", `business_id ${isTheirs ? "=" : "<>"} '${otherId}'`),
      { type: QueryTypes.SELECT },
    );
    return row?.id ?? "";
  };
  // With an answered quote, so that there are parts, money and something to take back.
  const workOrder = await one(
    "select id from work_orders where MINE and due_cents > 0 and customer_id in (select id from customers where details->'phones'->0 is not null) order by (waits_for = 'parts' and state->'orders' = '[]') desc, number limit 1",
  );
  const ids = {
    workOrder,
    customer: await one(`select customer_id as id from work_orders where MINE and id = '${workOrder}'`),
    vehicle: await one(`select vehicle_id as id from work_orders where MINE and id = '${workOrder}'`),
    visit: await one("select id from visits where MINE limit 1"),
    person: await one("select id from people where MINE and is_mechanic limit 1"),
    line: await one(
      `select line->>'id' as id from work_orders, jsonb_array_elements(state->'jobs') job, jsonb_array_elements(job->'lines') line where MINE and id = '${workOrder}' and line->>'kind' = 'part'`,
    ),
    photo: uuid(),
    import: uuid(),
    moveAsk: uuid(),
    request: uuid(),
    message: uuid(),
  };
  const business = await one("select business_id as id from people where MINE limit 1");
  await addRequest(business, ids, isTheirs);
  await server.db.query(
    `insert into move_asks (business_id, id, visit_id, starts_at, ends_at, mechanic_id, from_starts_at, asked_by, why,
       message, asked_at, answer_by)
     select business_id, '${ids.moveAsk}', id, '2031-06-01T17:00Z', '2031-06-01T18:00Z', mechanic_id, starts_at, mechanic_id,
       'Rain', '', now(), '2031-05-01T00:00Z' from visits where MINE and not cancelled
     order by set_off_at is null desc limit 1`.replace("MINE", `business_id ${isTheirs ? "=" : "<>"} '${otherId}'`),
  );
  await server.db.query(
    `insert into directory.move_links (token, business_id, ask_id)
     select 'new-time-of-' || business_id, business_id, id from move_asks where id = '${ids.moveAsk}'`,
  );
  await who.send("POST", `/api/photos/${ids.photo}`, new Uint8Array(jpegOf()), { "Content-Type": "image/jpeg" });
  await who.send("POST", `/api/imports/${ids.import}?name=people.csv`, `Name\n${isTheirs ? THEIRS : "Some"} Body`, {
    "Content-Type": "text/csv",
  });
  return ids;
}

/** A request nobody answered, with a link to its page, and a reply. */
async function addRequest(business: string, { request, message, person }: Ids, isTheirs: boolean): Promise<void> {
  const asked = {
    ...{ language: "en", name: isTheirs ? THEIRS : "Some Body", phone: "", email: "some@example.com", place },
    car: { plate: "", region: "", vin: "", year: 2012, make: "Fennick", model: "Rover" },
    ...{
      wishIds: [],
      words: "hums",
      photoIds: [],
      isThere: true,
      keyLies: "",
      terms: "",
      mayText: true,
      mayMail: true,
    },
    time: askedTimeOf(person),
  };
  const values = { business, request, message, asked: JSON.stringify(asked), token: `page-of-request-${request}` };
  const made = { order: uuid(), visit: uuid(), customer: uuid(), vehicle: uuid() };
  await server.db.query(
    `insert into requests (business_id, id, asked, asked_hash, status, email, work_order_id, visit_id, new_customer_id,
       new_vehicle_id) values (:business, :request, :asked, '', 'waiting', 'some@example.com', :order, :visit, :customer, :vehicle);
     insert into directory.page_links (token, business_id, request_id, ends_at)
       values (:token, :business, :request, now() + interval '1 day');
     insert into messages (business_id, id, recipient, text, status, is_incoming)
       values (:business, :message, '+15415550123', '${isTheirs ? THEIRS : "Mine"}', 'received', true)`,
    { replacements: { ...values, ...made } },
  );
}

const askedTimeOf = (mechanicId: string): object => ({
  mechanicId,
  startsAt: "2031-05-01T17:00:00.000Z",
  endsAt: "2031-05-01T18:00:00.000Z",
});

async function linkToken(): Promise<string> {
  const [row] = await server.db.query<{ token: string }>(
    "select token from directory.receipt_links order by created_at desc limit 1",
    { type: QueryTypes.SELECT },
  );
  return row?.token ?? "";
}

const AT = "2026-11-25T18:00:00.000Z";
const place = { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
const car = (customerId: string): object => ({
  id: uuid(),
  customerId,
  ...{ vin: null, plate: null, region: null, year: 2012, make: "Fennick", model: "Rover", trim: null, engine: null },
  ...{ drive: null, color: null },
});
const commands = (...list: object[]): object => ({
  commands: list.map((command) => ({ id: uuid(), at: AT, command })),
});

/** The address and body of each route, made of one business's ids. Who adds a route says here how it is asked. */
const ASKS: Record<Name, (ids: Ids) => { id?: string; path?: string; query?: string; body?: unknown }> = {
  health: () => ({}),
  openapi: () => ({}),
  events: () => ({}),
  signIn: () => ({ body: { login: "nobody", password: "x" } }),
  whoAmI: () => ({}),
  signOut: () => ({}),
  deviceKey: () => ({}),
  takeAlong: () => ({ body: { known: {} } }),
  ownSessions: () => ({}),
  endOwnSession: () => ({ id: uuid() }),
  demoAccounts: () => ({}),
  getBusiness: () => ({}),
  getLibrary: () => ({}),
  getLaborGuide: () => ({}),
  keepLibraryJob: ({ workOrder, line }) => ({
    body: { id: uuid(), workOrderId: workOrder, jobId: line, title: "Kept", area: "Kept" },
  }),
  libraryFile: () => ({}),
  libraryTable: () => ({}),
  libraryUsage: () => ({}),
  bringInLibrary: () => ({ body: { text: '{"version":1,"jobs":[]}', isDry: true } }),
  changeLibraryJobs: () => ({ body: { changes: [] } }),
  libraryChanges: () => ({}),
  undoLibraryChange: () => ({ id: uuid() }),
  removeLibraryJob: () => ({ path: "no-such-job" }),
  changeNewcomers: () => ({ body: { version: 1, foundUsBy: [], questions: [] } }),
  changeConcerns: () => ({ body: { version: 1, concerns: [], concernGaps: [] } }),
  keepPhrase: () => ({ body: { id: uuid(), text: "hums at dusk", kind: "fault", area: "Noise" } }),
  blankSheet: () => ({ id: "quick" }),
  changeInspection: () => ({ body: { version: 1, inspection: [], sheets: [] } }),
  changeIntervals: () => ({ body: { version: 1, intervals: [] } }),
  changeCrew: () => ({ body: { version: 1, crew: [] } }),
  findAddresses: () => ({ query: "typed=18+Heron+Landing" }),
  offeredTimes: () => ({
    body: { place: { latitude: null, longitude: null }, minutes: 60, mechanicId: null, movesVisitId: null, days: 7 },
  }),
  mapRoads: () => ({ query: "south=48&west=-122.7&north=48.02&east=-122.6" }),
  pickTime: ({ person }) => ({
    body: {
      heldFor: uuid(),
      mechanicId: person,
      startsAt: "2031-05-01T17:00:00.000Z",
      endsAt: "2031-05-01T18:00:00.000Z",
      place: { latitude: null, longitude: null },
    },
  }),
  letTimesGo: () => ({ id: uuid() }),
  getDays: () => ({ query: "from=2026-11-25&to=2026-11-27" }),
  getWeather: () => ({ query: "from=2026-11-25&to=2026-11-27" }),
  checkMove: ({ visit, person }) => ({
    id: visit,
    body: { mechanicId: person, startsAt: "2031-05-01T17:00:00.000Z", endsAt: "2031-05-01T18:00:00.000Z" },
  }),
  findRepeats: ({ person }) => ({
    body: { rule: "FREQ=WEEKLY;COUNT=2", mechanicId: person, startsAt: "2031-05-01T17:00:00.000Z", minutes: 60 },
  }),
  askNewTimes: () => ({ body: { date: "2031-05-01" } }),
  listMoveAsks: () => ({}),
  sendMoveAsks: () => ({ body: { ids: [uuid()] } }),
  answerMoveAsk: (ids) => ({ id: ids.moveAsk, body: { answer: "no" } }),
  openNewTime: () => ({ path: newTimeToken }),
  answerNewTime: () => ({ path: newTimeToken, body: { answer: "no" } }),
  listCalendarLinks: () => ({}),
  renewCalendarLink: (ids) => ({ id: ids.person }),
  openCalendar: () => ({ path: calendarToken }),
  visitCalendar: ({ visit }) => ({ id: visit }),
  readBusyTimes: ({ person }) => ({
    id: person,
    body: new TextEncoder().encode("BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n"),
  }),
  forgetBusyTimes: ({ person }) => ({ id: person }),
  visitTable: () => ({ query: "from=2026-11-25&to=2026-11-27" }),
  changeVisits: () => ({ body: { version: 1, visits: [] } }),
  changePay: () => ({ body: { version: 1, pay: [] } }),
  changeStock: () => ({ body: { version: 1, stock: [] } }),
  changeLabor: () => ({ body: { version: 1, labor: [] } }),
  changePricing: () => ({ body: { version: 1, pricing: [] } }),
  changeReceiptLinks: () => ({ body: { months: 18 } }),
  newcomerReport: () => ({}),
  createCustomer: ({ customer }) => ({ body: { id: uuid(), name: "New One", notTheSameAs: [customer] } }),
  likelyCustomers: () => ({ body: { id: uuid(), name: "Odile", phones: [] } }),
  getCustomer: ({ customer }) => ({ id: customer }),
  customerWork: ({ customer }) => ({ id: customer }),
  changeCustomer: ({ customer }) => ({ id: customer, body: { version: 999, name: "Changed" } }),
  mergeCustomers: ({ customer }) => ({ id: here.customer, body: { mergedId: customer } }),
  undoMerge: () => ({ id: uuid() }),
  exportCustomer: ({ customer }) => ({ id: customer }),
  eraseCustomer: ({ customer }) => ({ id: customer, body: { version: 999 } }),
  lookUpPhone: () => ({ path: "+15415550123" }),
  lookUpPostcode: () => ({ path: "98099" }),
  createVehicle: ({ customer }) => ({ body: car(customer) }),
  getVehicle: ({ vehicle }) => ({ id: vehicle }),
  changeVehicle: ({ vehicle }) => ({
    id: vehicle,
    body: {
      version: 999,
      vin: null,
      plate: null,
      region: null,
      year: null,
      make: "x",
      model: null,
      trim: null,
      engine: null,
      drive: null,
      color: null,
    },
  }),
  moveVehicle: ({ customer, vehicle }) => ({ id: vehicle, body: { customerId: customer, version: 999 } }),
  linkPerson: ({ customer, vehicle }) => ({ id: vehicle, body: { customerId: customer, role: "Driver" } }),
  unlinkPerson: ({ customer, vehicle }) => ({ id: `${vehicle}/people/${customer}` }),
  vehicleSheet: ({ vehicle }) => ({ id: vehicle }),
  vehicleWork: ({ vehicle }) => ({ id: vehicle }),
  vehiclePaper: ({ vehicle }) => ({ id: vehicle }),
  correctSpec: ({ vehicle }) => ({ id: vehicle, body: { key: "oilQuarts", value: null } }),
  refreshSpecs: ({ vehicle }) => ({ id: vehicle }),
  vehicleRecalls: ({ vehicle }) => ({ id: vehicle }),
  vehicleElsewhere: ({ vehicle }) => ({ id: vehicle }),
  decodeVin: () => ({ path: "1HGCV1F34KA048217" }),
  lookUpPlate: () => ({ path: "WA/LRK1204" }),
  getWorkOrder: ({ workOrder }) => ({ id: workOrder }),
  agreedCopies: ({ workOrder }) => ({ id: workOrder }),
  sendWorkOrderCommands: ({ workOrder, customer, vehicle, photo }) => ({
    id: workOrder,
    body: commands(
      { type: "recordOdometer", miles: 1 },
      { type: "changeCustomer", customerId: customer, keepAnswers: true },
      { type: "openWorkOrder", customerId: customer, vehicleId: vehicle, concerns: [] },
      { type: "attachPhoto", pointId: "oil", photoId: photo },
    ),
  }),
  openWork: () => ({}),
  sendVisitCommands: ({ workOrder, person }) => ({
    id: uuid(),
    body: commands({
      type: "bookVisit",
      workOrderIds: [workOrder],
      mechanicId: person,
      place,
      startsAt: AT,
      endsAt: "2026-11-25T19:00:00.000Z",
      note: "",
      allowOverlap: true,
    }),
  }),
  getDay: () => ({ query: `date=${new Date().toISOString().slice(0, 10)}` }),
  askSupplier: ({ workOrder }) => ({ id: workOrder }),
  callList: () => ({}),
  usedParts: () => ({ query: "words=a" }),
  takeOffers: ({ workOrder, line }) => ({ id: workOrder, body: { askId: uuid(), lineIds: [line || uuid()] } }),
  orderParts: ({ workOrder, line }) => ({
    id: workOrder,
    body: { orderId: uuid(), lineIds: [line || uuid()], acceptChangedCost: true },
  }),
  takeCard: ({ workOrder }) => ({ id: workOrder, body: { paymentId: uuid(), amountCents: 1 } }),
  getReceipt: ({ workOrder }) => ({ id: workOrder }),
  getReceiptPdf: ({ workOrder }) => ({ id: workOrder }),
  textReceipt: ({ workOrder }) => ({ id: workOrder, body: { messageId: uuid() } }),
  callBackReceipts: ({ workOrder }) => ({ id: workOrder }),
  openReceipt: () => ({ path: token }),
  openReceiptPdf: () => ({ path: token }),
  putPhoto: () => ({ id: uuid(), body: new Uint8Array(jpegOf()) }),
  getPhoto: ({ photo }) => ({ id: photo }),
  photoArrived: () => ({ id: uuid() }),
  addPhotoPiece: () => ({ id: uuid(), query: "from=0&of=900000", body: new Uint8Array(jpegOf()) }),
  search: () => ({ query: "q=Petra" }),
  startImport: () => ({ id: uuid(), query: "name=a.csv", body: "Name\nA" }),
  listImports: () => ({}),
  getImport: (ids) => ({ id: ids.import }),
  importRows: (ids) => ({ id: ids.import }),
  rereadImport: (ids) => ({ id: ids.import, body: { encoding: "utf-8" } }),
  checkImport: (ids) => ({ id: ids.import, body: { mapping: ["name"], doubles: "fill" } }),
  runImport: (ids) => ({ id: ids.import, body: { rows: "all" } }),
  undoImport: (ids) => ({ id: ids.import }),
  openMessages: () => ({}),
  decideMessage: ({ message }) => ({ id: message, body: { decision: "done" } }),
  writeMessage: ({ workOrder }) => ({ id: workOrder, body: { messageId: uuid(), text: "Soon" } }),
  answerUnknown: ({ message }) => ({ id: message, body: { messageId: uuid(), text: "Soon" } }),
  hearMessenger: () => ({ body: { what: "delivered", key: `${uuid()}/${uuid()}` } }),
  sendQuote: ({ workOrder }) => ({ id: workOrder, body: { messageId: uuid() } }),
  sendSheet: ({ workOrder }) => ({ id: workOrder, body: { messageId: uuid(), to: "3605550177" } }),
  callBackPages: ({ customer }) => ({ id: customer }),
  changePapers: () => ({ body: { version: 1, papers: [] } }),
  keepLogo: () => ({ body: new Uint8Array(jpegOf()) }),
  dropLogo: () => ({}),
  workOrderPaper: ({ workOrder }) => ({ path: `${workOrder}/papers/quote` }),
  changeMessages: () => ({ body: { version: 1, messages: [] } }),
  changeRequests: () => ({ body: { version: 1, requests: [] } }),
  listRequests: () => ({}),
  openRequest: ({ request }) => ({ id: request }),
  agreeToRequest: ({ request, customer }) => ({ id: request, body: { customerId: customer, vehicleId: uuid() } }),
  offerTimes: ({ request, person }) => ({ id: request, body: { times: [askedTimeOf(person)] } }),
  declineRequest: ({ request }) => ({ id: request, body: { words: "" } }),
  askAddress: () => ({}),
  changeAskAddress: () => ({ body: { slug } }),
  openAskPage: () => ({ path: slug }),
  findStrangersCar: () => ({ path: slug, body: { plate: "LRK1204", region: "WA", vin: "" } }),
  findTown: () => ({ path: slug, body: { postcode: "98099" } }),
  askTimes: () => ({ path: slug, body: { place, wishIds: [] } }),
  holdAskedTime: ({ person }) => ({
    path: slug,
    body: { place, wishIds: [], requestId: uuid(), time: askedTimeOf(person) },
  }),
  addAskedPhoto: () => ({
    path: `${slug}/requests/${uuid()}/photos/${uuid()}`,
    body: new Uint8Array(jpegOf()),
  }),
  askForVisit: () => ({ path: `${slug}/requests/${uuid()}`, body: {} }),
  openPage: () => ({ path: pageToken }),
  speakOnPage: () => ({ path: pageToken, body: { language: "en" } }),
  sendPageCode: () => ({ path: pageToken, body: { way: 0 } }),
  provePage: () => ({ path: pageToken, body: { code: "000000" } }),
  pagePhoto: ({ photo }) => ({ path: `${pageToken}/photos/${photo}` }),
  foundPdf: ({ workOrder }) => ({ path: `${pageToken}/found/${workOrder}` }),
  pageLogo: () => ({ path: pageToken }),
  quotePdf: ({ workOrder }) => ({ path: `${pageToken}/quote/${workOrder}` }),
  writeOnPage: ({ workOrder }) => ({
    path: pageToken,
    body: { messageId: uuid(), text: "When?", workOrderId: workOrder },
  }),
  addPagePhoto: ({ workOrder }) => ({
    path: `${pageToken}/new-photos/${uuid()}`,
    query: `order=${workOrder}`,
    body: new Uint8Array(jpegOf()),
  }),
  answerOnPage: ({ workOrder }) => ({
    path: `${pageToken}/orders/${workOrder}`,
    body: {
      ...{ commandId: uuid(), digest: "0", name: "Maren", signature: [[1, 1, 2, 2]] },
      answers: [{ jobId: uuid(), answer: "no", otherId: null, reason: "", askOn: null }],
    },
  }),
  timesForWork: ({ workOrder }) => ({ path: `${pageToken}/orders/${workOrder}` }),
  bookOnPage: ({ workOrder, person }) => ({
    path: `${pageToken}/orders/${workOrder}`,
    body: { commandId: uuid(), time: askedTimeOf(person) },
  }),
  takeBackOnPage: ({ workOrder }) => ({
    path: `${pageToken}/orders/${workOrder}`,
    body: { commandId: uuid(), jobId: uuid(), name: "Maren", staysCents: 0 },
  }),
  pageTimes: ({ visit }) => ({ path: `${pageToken}/visits/${visit}` }),
  moveOnPage: ({ visit, person }) => ({
    path: `${pageToken}/visits/${visit}`,
    body: { commandId: uuid(), time: askedTimeOf(person) },
  }),
  callOffOnPage: ({ visit }) => ({ path: `${pageToken}/visits/${visit}`, body: { commandId: uuid(), words: "" } }),
  wantEarlierOnPage: ({ visit }) => ({
    path: `${pageToken}/visits/${visit}`,
    body: { commandId: uuid(), wants: true },
  }),
  pickOffered: ({ request, person }) => ({
    path: `${pageToken}/requests/${request}`,
    body: { time: askedTimeOf(person) },
  }),
  withdrawRequest: ({ request }) => ({ path: `${pageToken}/requests/${request}` }),
  exportCustomersCsv: ({ customer }) => ({ query: `ids=${customer}` }),
  exportContactsCsv: () => ({}),
  exportCarsCsv: () => ({}),
  exportVcards: () => ({}),
};

/** Not asked here: one never ends, two end the session they are asked in. Each has tests of its own. */
const ELSEWHERE: Name[] = ["events", "signIn", "signOut"];
/** Ids a person makes; the other business may have made the same ones. */
const MAKES_ITS_OWN: Name[] = ["sendVisitCommands", "sendWorkOrderCommands", "endOwnSession"];
/** Open to strangers, and refused here: nothing of the page fits what is asked. */
const REFUSES: Name[] = [
  "hearMessenger",
  "holdAskedTime",
  "askForVisit",
  "sendPageCode",
  "provePage",
  "pagePhoto",
  "foundPdf",
  "pageLogo",
  "quotePdf",
  "writeOnPage",
  "addPagePhoto",
  "answerOnPage",
  "takeBackOnPage",
  "timesForWork",
  "bookOnPage",
  "pageTimes",
  "moveOnPage",
  "callOffOnPage",
  "wantEarlierOnPage",
  "pickOffered",
  "withdrawRequest",
];
const SECRETS = /costCents":\s*\d|wageCents":\s*\d|"markup":\s*["{]|paidHours":\s*\d|margin(Percent|Cents)":\s*\d/;

async function ask(name: Name, who: TestPerson, ids: Ids): Promise<HttpAnswer> {
  const route: Route = routes[name];
  const { id = "", path = id, query, body } = ASKS[name](ids);
  // One filled place for all of an address's names; what stands behind it stays.
  const names = route.path.match(/:\w+(.*:\w+)?/)?.[0] ?? "";
  const address = `${names ? route.path.replace(names, path) : route.path}${query ? `?${query}` : ""}`;
  const type = route.file ? route.file.types[0] : body === undefined ? null : "application/json";
  const isSent = route.method !== "get" && route.method !== "delete";
  return who.send(route.method.toUpperCase(), address, isSent ? (body ?? (route.body ? {} : undefined)) : undefined, {
    ...(type ? { "Content-Type": type } : {}),
    ...(route.keyed ? { "Idempotency-Key": uuid() } : {}),
  });
}
/** Routes that told somebody of costs who may see them. */
const tellOfCost = new Set<Name>();
const textOf = ({ body }: HttpAnswer): string => (typeof body === "string" ? body : JSON.stringify(body));
/** Calling links back, and renewing them, comes after those who open one. */
const LAST: Name[] = ["callBackReceipts", "renewCalendarLink"];
const names = [...(Object.keys(routes) as Name[]).filter((name) => ![...ELSEWHERE, ...LAST].includes(name)), ...LAST];

describe.each(names)("%s", (name) => {
  const route: Route = routes[name];

  it("gives nobody anything of another business", async () => {
    for (const { person } of people) {
      const answer = await ask(name, person, there);
      const text = textOf(answer);
      expect(answer.status).toBeLessThan(500);
      expect(text).not.toContain(THEIRS);
      const asked = JSON.stringify(ASKS[name](there));
      for (const id of theirIds) if (text.includes(id)) expect(`${name}: ${id} in ${asked}`).toBe(asked.includes(id));
      const isOthers = Object.values(there).some((id) => id !== "" && asked.includes(id));
      if (isOthers && !MAKES_ITS_OWN.includes(name) && name !== "createCustomer" && name !== "exportCustomersCsv")
        expect([name, answer.status >= 400]).toEqual([name, true]);
    }
  });

  it("gives whoever may not see them no cost, wage, markup or margin, and does nothing for who lacks its right", async () => {
    for (const { login, rights, person } of people) {
      const answer = await ask(name, person, here);
      expect([login, answer.status < 500]).toEqual([login, true]);
      const maySee = rights.includes("seeCost") && !route.open;
      if (name !== "openapi" && !maySee) expect(textOf(answer)).not.toMatch(SECRETS);
      if (maySee && SECRETS.test(textOf(answer))) tellOfCost.add(name);
      if (route.right && !hasRight({ rights }, route.right)) expect([login, answer.status]).toEqual([login, 403]);
    }
  });

  it("is for strangers only where it says so", async () => {
    const answer = await ask(name, server.stranger(), here);
    if (route.open) {
      // What does not fit is refused for what it is, and not for who asks.
      expect(answer.status).toBeLessThan(500);
      if (name !== "openapi") expect(textOf(answer)).not.toContain("session/missing");
      if (!REFUSES.includes(name)) expect([name, answer.status < 400]).toEqual([name, true]);
      if (name !== "openapi") expect(textOf(answer)).not.toMatch(SECRETS);
    } else expect(answer.body).toMatchObject({ status: 401, code: "session/missing" });
  });
});

it("changed nothing of the other business by all of that", async () => {
  const [changed] = await server.db.query<{ changed: number }>(
    `select (select count(*)::int from history where person_id in (select id from people where name not like '${THEIRS}%')
         and business_id = (select business_id from people where name like '${THEIRS}%' limit 1)) as changed`,
    { type: QueryTypes.SELECT },
  );
  expect(changed?.changed).toBe(0);
});

it("finds costs for who may see them wherever they are told, so that finding none says something", () => {
  const places: Name[] = [
    "getBusiness",
    "getLibrary",
    "libraryFile",
    "getWorkOrder",
    "askSupplier",
    "orderParts",
    "takeOffers",
    "usedParts",
    "changeStock",
    "takeAlong",
    "takeCard",
    "textReceipt",
    "callBackReceipts",
  ];
  expect([...tellOfCost].sort()).toEqual([...places].sort());
});

it("knows that there is something to find: the owner of each business sees their own", async () => {
  const theirs = await server.signInAs("odile-there", "lantern-7");
  expect(textOf(await ask("getWorkOrder", theirs, there))).toContain(THEIRS);
  expect(textOf(await ask("getWorkOrder", people[0]?.person as TestPerson, here))).toMatch(SECRETS);
  expect(textOf(await ask("search", theirs, there))).toContain(THEIRS);
});

it("tells the live stream of one business nothing of the other", async () => {
  const wren = people[2]?.person as TestPerson;
  const stream = await fetch(`${server.running.url}/api/events`, { headers: { Cookie: wren.cookie } });
  const reader = stream.body?.getReader();
  const theirs = await server.signInAs("odile-there", "lantern-7");
  await theirs.post(`/api/work-orders/${there.workOrder}/commands`, commands({ type: "recordOdometer", miles: 7 }));
  await wren.post(`/api/work-orders/${here.workOrder}/commands`, commands({ type: "recordOdometer", miles: 7 }));
  let heard = "";
  while (!heard.includes(here.workOrder)) heard += new TextDecoder().decode((await reader?.read())?.value);
  for (const id of theirIds) expect(heard).not.toContain(id);
  await reader?.cancel();
});
