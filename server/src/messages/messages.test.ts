import { v7 as uuid } from "uuid";
import { addDays, dayOf, instantAt, type BusinessSettings, type Consent } from "@mechanon/core";
import { BUSINESS } from "@mechanon/demo";
import type { BusinessView, CustomerSheetView, Message, OpenMessage, WorkOrderView } from "@mechanon/contract";
import { ofBusiness } from "../db/ofBusiness";
import { askFor } from "../testing/asking";
import { bookingOf, sendToVisit } from "../testing/booking";
import {
  MESSENGER_SECRET,
  sendCommand,
  startTestServer,
  until,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";
import { callList } from "./callList";
import { tellNudges } from "./tellNudges";
import { tellTimes } from "./tellTimes";

const ZONE = BUSINESS.timeZone;
const TODAY = dayOf(new Date().toISOString(), ZONE);
let server: TestServer;
let odile: TestPerson;
let businessId: string;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  businessId = (await odile.get<{ business: { id: string } }>("/api/session")).body.business.id;
});
afterAll(() => server?.stop());

const AUTHORIZATION = { Authorization: `Bearer ${MESSENGER_SECRET}` };
const tell = (news: object, headers: Record<string, string> = AUTHORIZATION) =>
  server.stranger().post<{ code: string }>("/api/outside/messages", news, headers);
const reply = (to: Message, text: string, over: object = {}) =>
  tell({
    what: "reply",
    id: uuid(),
    toKey: `${businessId}/${to.id}`,
    channel: "text",
    from: to.recipient,
    text,
    at: new Date().toISOString(),
    ...over,
  });
const open = async (): Promise<OpenMessage[]> =>
  (await odile.get<{ messages: OpenMessage[] }>("/api/messages")).body.messages;
const view = async (id: string): Promise<WorkOrderView> =>
  (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
const messagesOf = async (workOrderId: string, kind: string): Promise<Message[]> =>
  (await view(workOrderId)).messages.filter((message) => message.kind === kind);

let nextPhone = 1000;
/** A new customer with a work order. */
async function newcomer(name: string, over: object = {}): Promise<{ customerId: string; workOrderId: string }> {
  const [customerId, workOrderId] = [uuid(), uuid()];
  const phone = `360 555 ${String(nextPhone++)}`;
  const body = { id: customerId, name, phones: [{ number: phone, label: "Mobile" }], ...over };
  expect((await odile.post("/api/customers", body, { "Idempotency-Key": uuid() })).status).toBe(201);
  await sendCommand(odile, workOrderId, { type: "openWorkOrder", customerId, vehicleId: null, concerns: [] });
  return { customerId, workOrderId };
}
let day = 40;
/** Books a visit on a day of its own. */
async function book(
  workOrderId: string,
  on = addDays(TODAY, (day += 1)),
  minute = 600,
): Promise<{ visitId: string; mechanicId: string; startsAt: string; endsAt: string }> {
  const { people } = (await odile.get<BusinessView>("/api/business")).body;
  const mechanicId = people.find(({ isMechanic }) => isMechanic)?.id ?? "";
  const time = { mechanicId, startsAt: instantAt(on, minute, ZONE), endsAt: instantAt(on, minute + 60, ZONE) };
  const visitId = uuid();
  const { outcomes } = await sendToVisit(odile, visitId, { ...bookingOf(workOrderId, time), allowOverlap: true });
  expect(outcomes).toMatchObject([{ outcome: "applied" }]);
  return { visitId, ...time };
}
async function setRule(
  kind: keyof BusinessSettings["messages"]["kinds"],
  rule: "auto" | "ask" | "never",
): Promise<void> {
  const { settings } = (await odile.get<BusinessView>("/api/business")).body;
  const { messages, versions } = settings;
  const to = { ...messages, kinds: { ...messages.kinds, [kind]: { ...messages.kinds[kind], rule } } };
  const body = { version: versions.messages, messages: [{ from: messages, to }] };
  expect((await odile.send("PATCH", "/api/business/messages", body)).status).toBe(200);
}

describe("a customer is told", () => {
  it("in their language, by what they prefer, of a visit that is booked, moved and called off, each once", async () => {
    const { workOrderId } = await newcomer("Ana Toledano", { language: "es" });
    const visit = await book(workOrderId);
    const moved = {
      ...visit,
      startsAt: instantAt(addDays(TODAY, day), 840, ZONE),
      endsAt: instantAt(addDays(TODAY, day), 900, ZONE),
    };
    const { visitId, ...time } = moved;
    const move = { type: "moveVisit", ...time, allowOverlap: true };
    await sendToVisit(odile, visitId, move);
    await sendToVisit(odile, visitId, move);
    await sendToVisit(odile, visitId, { type: "cancelVisit", why: "us", words: "" });
    const { messages } = await view(workOrderId);
    expect(messages.map(({ kind }) => kind)).toEqual(["booked", "moved", "calledOff"]);
    expect(messages[1]?.text).toMatch(/^Larkhaven Driveway Garage: su visita es ahora el .*2:00 p\. m\..*\/c\//);
    const links = new Set(messages.map(({ text }) => /\/c\/([\w-]+)/.exec(text)?.[1]));
    expect(links.size).toBe(1);
  });

  it.each([
    ["by mail where they prefer it", { emails: [{ address: "a1@example.com" }], preferredContact: "email" }, ["mail"]],
    [
      "by both where they said yes to both",
      { emails: [{ address: "a2@example.com" }], textConsent: yes(), emailConsent: yes() },
      ["text", "mail"],
    ],
    [
      "by mail where they want no texts",
      { emails: [{ address: "a3@example.com" }], textConsent: { ...yes(), given: false } },
      ["mail"],
    ],
    [
      "not at all where they want neither",
      {
        emails: [{ address: "a4@example.com" }],
        textConsent: { ...yes(), given: false },
        emailConsent: { ...yes(), given: false },
      },
      [],
    ],
  ])("%s", async (name, over, channels) => {
    const { workOrderId } = await newcomer(`Way ${name}`, over);
    await book(workOrderId);
    const booked = await messagesOf(workOrderId, "booked");
    expect(booked.map(({ channel }) => channel).sort()).toEqual([...channels].sort());
    for (const mail of booked.filter(({ channel }) => channel === "mail"))
      expect(mail.subject).toMatch(/^Your visit on /);
  });

  it("only as the owner says: never, or once somebody said yes", async () => {
    await setRule("booked", "never");
    const one = await newcomer("Rule Never");
    await book(one.workOrderId);
    expect(await messagesOf(one.workOrderId, "booked")).toEqual([]);
    await setRule("booked", "ask");
    const two = await newcomer("Rule Ask");
    await book(two.workOrderId);
    const [asks] = await messagesOf(two.workOrderId, "booked");
    expect(asks).toMatchObject({ status: "asks" });
    expect((await open()).map(({ id }) => id)).toContain(asks?.id);
    const decide = (decision: string) =>
      odile.post<{ code: string }>(`/api/messages/${asks?.id}/decision`, { decision });
    const both = await Promise.all([decide("send"), decide("drop")]);
    expect(both.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(both.find(({ status }) => status !== 200)?.body.code).toBe("message/settled");
    await setRule("booked", "auto");
  });

  it("the day before at the owner's hour, and when a visit runs late, each once", async () => {
    const { workOrderId } = await newcomer("Day Before");
    const tomorrow = await book(workOrderId, addDays(TODAY, 1), 1380);
    const deps = { ...server.running.deps };
    const evening = new Date(instantAt(TODAY, 17 * 60 + 1, ZONE));
    const noon = new Date(instantAt(TODAY, 12 * 60, ZONE));
    await tellTimes(deps, businessId, noon);
    expect(await messagesOf(workOrderId, "dayBefore")).toEqual([]);
    await Promise.all([tellTimes(deps, businessId, evening), tellTimes(deps, businessId, evening)]);
    expect((await messagesOf(workOrderId, "dayBefore")).map(({ text }) => text)).toEqual([
      expect.stringMatching(/comes tomorrow, 11:00 pm/),
    ]);
    const late = new Date(Date.parse(tomorrow.startsAt) + 22 * 60_000);
    await tellTimes(deps, businessId, new Date(Date.parse(tomorrow.startsAt) + 10 * 60_000));
    expect(await messagesOf(workOrderId, "late")).toEqual([]);
    await tellTimes(deps, businessId, late);
    await tellTimes(deps, businessId, new Date(late.getTime() + 30 * 60_000));
    const [asks, ...others] = await messagesOf(workOrderId, "late");
    expect([asks?.status, others]).toEqual(["asks", []]);
    expect(asks?.text).toContain("25 minutes late");
    // Whoever set off has said so; nobody has to be asked any more.
    await sendToVisit(odile, tomorrow.visitId, { type: "setOff", driveMinutes: 10 });
    expect(await messagesOf(workOrderId, "late")).toMatchObject([{ status: "dropped" }]);
  });

  it("reminders of a quote nobody answered by the owner's rhythm, then stands it on the list of whom to call", async () => {
    const { workOrderId } = await newcomer("Still Thinking");
    const jobId = uuid();
    await sendCommand(odile, workOrderId, { type: "addOwnJob", jobId, title: "Look", concernId: null });
    const line = { id: uuid(), kind: "fee" as const, description: "Look", quantity: 1, priceCents: 5000 };
    await sendCommand(odile, workOrderId, { type: "addLine", jobId, line });
    await odile.post(`/api/work-orders/${workOrderId}/quote-messages`, { messageId: uuid() });
    const deps = { ...server.running.deps };
    const at = (days: number, minute = 600): Date => new Date(instantAt(addDays(TODAY, days), minute, ZONE));
    const nudges = (): Promise<Message[]> => messagesOf(workOrderId, "nudge");
    await tellNudges(deps, businessId, at(1));
    // Nobody is reminded at night.
    await tellNudges(deps, businessId, at(2, 1380));
    expect(await nudges()).toEqual([]);
    await Promise.all([tellNudges(deps, businessId, at(2)), tellNudges(deps, businessId, at(2))]);
    await tellNudges(deps, businessId, at(3));
    expect((await nudges()).map(({ status, text }) => [status, text])).toEqual([
      ["asks", expect.stringContaining("$")],
    ]);
    await tellNudges(deps, businessId, at(6));
    expect(await nudges()).toHaveLength(2);
    const scope = { businessId } as Parameters<typeof callList>[1];
    const toCall = async (days: number): Promise<string[]> =>
      (await ofBusiness(businessId, () => callList(deps, scope, at(days)))).map((quote) => quote.workOrderId);
    expect(await toCall(5)).not.toContain(workOrderId);
    expect(await toCall(6)).toContain(workOrderId);
    await sendCommand(odile, workOrderId, { type: "noteCall", outcome: "noAnswer", againOn: addDays(TODAY, 8) });
    expect([(await toCall(7)).includes(workOrderId), (await toCall(8)).includes(workOrderId)]).toEqual([false, true]);
    // Whoever answered is neither reminded nor called.
    const answers = [{ jobId, title: "Look", answer: "no" as const, totalCents: 5000 }];
    await sendCommand(odile, workOrderId, {
      ...{
        type: "recordAnswers",
        approvalId: uuid(),
        way: "spoken",
        name: "Still",
        signature: [],
        answers,
        totalCents: 0,
      },
    });
    await tellNudges(deps, businessId, at(30));
    expect([await nudges(), await toCall(30)]).toEqual([
      expect.objectContaining({ length: 2 }),
      expect.not.arrayContaining([workOrderId]),
    ]);
    // What they put off is asked about on its day, unless a call put it off further.
    const later = [{ jobId, title: "Look", answer: "later" as const, totalCents: 5000, askOn: addDays(TODAY, 40) }];
    await sendCommand(odile, workOrderId, {
      ...{ type: "recordAnswers", approvalId: uuid(), way: "spoken", name: "Still", signature: [] },
      ...{ answers: later, totalCents: 0 },
    });
    expect([(await toCall(39)).includes(workOrderId), (await toCall(40)).includes(workOrderId)]).toEqual([false, true]);
    await sendCommand(odile, workOrderId, { type: "noteCall", outcome: "thinks", againOn: addDays(TODAY, 43) });
    expect([(await toCall(42)).includes(workOrderId), (await toCall(43)).includes(workOrderId)]).toEqual([false, true]);
  });

  it("nothing of a drive that was long over when the phone that kept it had signal again", async () => {
    const { workOrderId } = await newcomer("Late Signal");
    const { visitId } = await book(workOrderId);
    const at = new Date(Date.now() - 3 * 3_600_000).toISOString();
    await odile.post(`/api/visits/${visitId}/commands`, {
      commands: [{ id: uuid(), at, command: { type: "setOff", driveMinutes: 10 } }],
    });
    expect(await messagesOf(workOrderId, "onMyWay")).toEqual([]);
  });
});

function yes(): Consent {
  return { given: true, at: "2026-11-01T00:00:00.000Z", how: "Said so" };
}

describe("what becomes of a message", () => {
  it("is told by the service, which proves who it is", async () => {
    const { workOrderId } = await newcomer("Delivered Well");
    await book(workOrderId);
    const [message] = await messagesOf(workOrderId, "booked");
    const key = `${businessId}/${message?.id}`;
    expect((await tell({ what: "delivered", key }, {})).body.code).toBe("messenger/not-known");
    expect((await tell({ what: "delivered", key }, { Authorization: "Bearer wrong wrong wrong wrong" })).status).toBe(
      401,
    );
    expect((await tell({ what: "delivered", key })).status).toBe(200);
    expect(await messagesOf(workOrderId, "booked")).toMatchObject([{ status: "delivered" }]);
    // News of what is not ours, or not told right, is taken and changes nothing.
    expect((await tell({ what: "delivered", key: "no/key" })).status).toBe(200);
    expect((await tell({ what: "exploded", key })).status).toBe(422);
  });

  it("stands with the work where it did not arrive, and can be sent once more", async () => {
    const { workOrderId } = await newcomer("Failed Once");
    await book(workOrderId);
    const [message] = await messagesOf(workOrderId, "booked");
    await until(
      () => messagesOf(workOrderId, "booked"),
      ([sent]) => sent?.status !== "waiting",
    );
    await tell({ what: "failed", key: `${businessId}/${message?.id}`, why: "The number takes no messages." });
    expect((await open()).find(({ id }) => id === message?.id)).toMatchObject({
      status: "failed",
      lastError: "The number takes no messages.",
      customerName: "Failed Once",
    });
    expect((await odile.post(`/api/messages/${message?.id}/decision`, { decision: "send" })).status).toBe(200);
    await until(
      () => server.sentMessages(),
      (all) => all.some(({ key }) => key === `${businessId}/${message?.id}/1`),
    );
    await tell({ what: "delivered", key: `${businessId}/${message?.id}/1` });
    expect(await messagesOf(workOrderId, "booked")).toMatchObject([{ status: "delivered" }]);
  });

  it("goes out once, though its answer is lost and the service was down in between", async () => {
    await server.fault("messages", "answerLost", 2);
    const { workOrderId } = await newcomer("Lost Answer");
    await book(workOrderId);
    const [message] = await messagesOf(workOrderId, "booked");
    await until(
      () => messagesOf(workOrderId, "booked"),
      ([sent]) => sent?.status === "sent",
    );
    const sent = (await server.sentMessages()).filter(({ key }) => key === `${businessId}/${message?.id}`);
    expect(sent).toHaveLength(1);
  });
});

describe("a reply", () => {
  it("stands with the work it answers, waits for somebody, and is answered where it came from", async () => {
    const { workOrderId } = await newcomer("Reply Well");
    await book(workOrderId);
    const [message] = await messagesOf(workOrderId, "booked");
    if (!message) throw new Error("nothing was told");
    const id = uuid();
    await reply(message, "Gate code is 4410", { id });
    await reply(message, "Gate code is 4410", { id });
    expect((await view(workOrderId)).messages.filter(({ isIncoming }) => isIncoming)).toMatchObject([
      { text: "Gate code is 4410", status: "received" },
    ]);
    expect((await open()).find((each) => each.id === id)).toMatchObject({ workOrderId, customerName: "Reply Well" });
    const messageId = uuid();
    const answer = () =>
      odile.post(`/api/work-orders/${workOrderId}/messages`, { messageId, text: "Thank you", answers: id });
    expect([(await answer()).status, (await answer()).status]).toEqual([200, 200]);
    expect((await open()).map((each) => each.id)).not.toContain(id);
    const sent = await until(
      () => server.sentMessages(),
      (all) => all.some(({ text }) => text.endsWith("Thank you")),
    );
    expect(sent.filter(({ text }) => text.endsWith("Thank you"))).toMatchObject([{ to: message.recipient }]);
  });

  it("from a number nobody has is kept, and answered there", async () => {
    const { workOrderId } = await newcomer("Reply Else");
    await book(workOrderId);
    const [message] = await messagesOf(workOrderId, "booked");
    if (!message) throw new Error("nothing was told");
    const id = uuid();
    await reply(message, "Who is this?", { id, from: "+15415559999" });
    const kept = (await open()).find((each) => each.id === id);
    expect(kept).toMatchObject({ customerName: null, workOrderId: null, recipient: "+15415559999" });
    expect((await odile.post(`/api/messages/${id}/answer`, { messageId: uuid(), text: "Your mechanic" })).status).toBe(
      200,
    );
    await until(
      () => server.sentMessages(),
      (all) => all.some(({ to }) => to === "+15415559999"),
    );
  });

  it("of STOP is honored at once, shown, and taken back by START", async () => {
    const { workOrderId, customerId } = await newcomer("Stop Now");
    await book(workOrderId);
    const [message] = await messagesOf(workOrderId, "booked");
    if (!message) throw new Error("nothing was told");
    await setRule("moved", "ask");
    await server.fault("messages", "down");
    const { workOrderId: other } = { workOrderId };
    await book(other);
    await reply(message, "Stop");
    const sheet = async () => (await odile.get<CustomerSheetView>(`/api/customers/${customerId}`)).body.customer;
    expect((await sheet()).textConsent).toMatchObject({ given: false, how: "Texted “Stop”" });
    await server.fault("messages", "none");
    expect((await messagesOf(workOrderId, "booked")).filter(({ status }) => status === "waiting")).toEqual([]);
    expect((await open()).filter(({ text }) => text === "Stop")).toEqual([]);
    await book(workOrderId);
    expect(
      (await messagesOf(workOrderId, "booked")).filter(({ status }) => status === "waiting" || status === "asks"),
    ).toEqual([]);
    expect(
      (
        await odile.post<{ code: string }>(`/api/work-orders/${workOrderId}/messages`, {
          messageId: uuid(),
          text: "Hello",
        })
      ).body.code,
    ).toBe("message/refused");
    await reply(message, "START");
    expect((await sheet()).textConsent).toMatchObject({ given: true });
    await setRule("moved", "auto");
  });

  it("of STOP from somebody whose request waits is honored, too", async () => {
    const { id } = await askFor(server.stranger(), { phone: "360 555 0155", name: "Stop Early" });
    const [rows] = await server.db.query(`select id from messages where request_id = '${id}'`);
    const [message] = rows as { id: string }[];
    await tell({
      what: "reply",
      id: uuid(),
      toKey: `${businessId}/${message?.id}`,
      channel: "text",
      from: "+13605550155",
      text: "alto",
      at: new Date().toISOString(),
    });
    await odile.post(`/api/requests/${id}/refusal`, { words: "" });
    await until(
      async () =>
        (
          (
            await server.db.query(`select status from messages where request_id = '${id}' and kind = 'declined'`)
          )[0] as { status: string }[]
        )[0]?.status,
      (status) => status === "stopped",
    );
  });
});

it("a template with an unknown field is refused, and says which", async () => {
  const { settings } = (await odile.get<BusinessView>("/api/business")).body;
  const { messages, versions } = settings;
  const { booked } = messages.kinds;
  const to = {
    ...messages,
    kinds: { ...messages.kinds, booked: { ...booked, en: { ...booked.en, text: "Hi {nome}" } } },
  };
  const answer = await odile.send<{ detail: string }>("PATCH", "/api/business/messages", {
    version: versions.messages,
    messages: [{ from: messages, to }],
  });
  expect([answer.status, answer.body.detail]).toEqual([422, expect.stringContaining("{nome}")]);
});
