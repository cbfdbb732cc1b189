import sharp from "sharp";
import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { MOST_LOGO_BYTES, jobTotals, USUAL_PAPERS, type OwnersWords, type PaperSettings } from "@mechanon/core";
import type { BusinessView, Message, OpenMessage, WorkOrderView } from "@mechanon/contract";
import {
  MESSENGER_SECRET,
  sendCommand,
  startTestServer,
  until,
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

let phone = 6100;
/** A work order of somebody new with one job of 100.00. */
async function quoted(over: object = {}): Promise<{ customerId: string; workOrderId: string; jobId: string }> {
  const [customerId, workOrderId, jobId] = [uuid(), uuid(), uuid()];
  phone += 1;
  const body = {
    ...{ id: customerId, name: "Juno Aldaine", phones: [{ number: `360 555 ${phone}`, label: "Mobile" }] },
    ...over,
  };
  expect((await odile.post("/api/customers", body, { "Idempotency-Key": uuid() })).status).toBe(201);
  const concerns = [{ id: uuid(), text: "It hums above 40", kind: "fault", phraseId: null }];
  await sendCommand(odile, workOrderId, { type: "openWorkOrder", customerId, vehicleId: null, concerns });
  await sendCommand(odile, workOrderId, { type: "addOwnJob", jobId, title: "Wheel bearing", concernId: null });
  const line = {
    ...{ id: uuid(), kind: "labor", description: "Bearing", hours: 1, rateCents: 10_000 },
    ...{ wageCents: 3_000, paidHours: null },
  };
  await sendCommand(odile, workOrderId, { type: "addLine", jobId, line });
  return { customerId, workOrderId, jobId };
}
const view = async (id: string): Promise<WorkOrderView> =>
  (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
const settings = async (): Promise<BusinessView["settings"]> =>
  (await odile.get<BusinessView>("/api/business")).body.settings;
const said = async (id: string, kind: Message["kind"]): Promise<Message[]> =>
  (await view(id)).messages.filter((message) => message.kind === kind);
interface Sent {
  key: string;
  channel: string;
  to: string;
  text: string;
  attachment: { name: string; base64: string } | null;
}
const arrived = async (messageId: string): Promise<Sent> => {
  const found = async (): Promise<Sent[]> =>
    ((await server.sentMessages()) as Sent[]).filter(({ key }) => key.endsWith(messageId));
  const [sent] = await until(found, ({ length }) => length > 0);
  if (!sent) throw new Error("nothing arrived");
  return sent;
};

describe("the owner's papers", () => {
  const WORDS: OwnersWords = {
    quote: { en: "Thank you.", es: "Gracias." },
    mechanicsSheet: "Torque every wheel.",
    terms: { en: "Twelve months.", es: "Doce meses." },
  };
  const change = async (to: OwnersWords, from?: OwnersWords): Promise<number> => {
    const { papers, versions } = await settings();
    const { logo: _logo, ...before } = papers;
    const body = { version: from ? 1 : versions.papers, papers: [{ from: from ?? before, to }] };
    return (await odile.send("PATCH", "/api/business/papers", body)).status;
  };

  it("say the words that were saved; of two who change them the older is refused", async () => {
    expect(await change(WORDS)).toBe(200);
    expect((await settings()).papers).toMatchObject(WORDS);
    const { logo: _logo, ...usual } = USUAL_PAPERS;
    expect(await change({ ...WORDS, mechanicsSheet: "" }, usual)).toBe(409);
    expect((await settings()).papers.mechanicsSheet).toBe("Torque every wheel.");
  });

  it("are the owner's: who may not change settings changes neither words nor logo", async () => {
    const tomas = await server.signIn("tomas");
    expect((await tomas.send("DELETE", "/api/business/logo")).status).toBe(403);
    expect((await tomas.send("PATCH", "/api/business/papers", { version: 1, papers: [] })).status).toBe(403);
  });

  it("have a logo that is made small, stays when the words change, and is on the customer's page", async () => {
    const noise = Buffer.from(Array.from({ length: 900 * 400 * 3 }, (_, at) => (at * 7919) % 251));
    const large = await sharp(noise, { raw: { width: 900, height: 400, channels: 3 } })
      .png()
      .toBuffer();
    const send = (bytes: Buffer) =>
      odile.send<PaperSettings>("POST", "/api/business/logo", new Uint8Array(bytes), { "Content-Type": "image/png" });
    const { status, body } = await send(large);
    expect(status).toBe(200);
    const logo = Buffer.from(body.logo ?? "", "base64");
    expect(logo.length).toBeLessThanOrEqual(MOST_LOGO_BYTES);
    const { format, width = 0, height = 0 } = await sharp(logo).metadata();
    expect([format, width <= 480, height <= 144]).toEqual(["png", true, true]);
    expect((await send(large.subarray(0, 4000))).status).toBe(422);
    expect((await send(Buffer.from("%PDF-1.4"))).status).toBeGreaterThanOrEqual(400);
    expect(await change({ ...WORDS, mechanicsSheet: "Chock it." })).toBe(200);
    expect((await settings()).papers.logo).toBe(body.logo);

    const { workOrderId } = await quoted();
    await odile.post(`/api/work-orders/${workOrderId}/quote-messages`, { messageId: uuid() });
    const [, token = ""] = /\/c\/([\w-]+)/.exec((await said(workOrderId, "quoted"))[0]?.text ?? "") ?? [];
    const stranger = server.stranger();
    const page = `/api/public/pages/${token}`;
    expect((await stranger.get<{ hasLogo: boolean }>(page)).body.hasLogo).toBe(true);
    expect((await stranger.get(`${page}/logo`)).headers.get("content-type")).toBe("image/png");
    await odile.send("DELETE", "/api/business/logo");
    expect((await stranger.get<{ hasLogo: boolean }>(page)).body.hasLogo).toBe(false);
    expect((await stranger.get(`${page}/logo`)).status).toBe(404);
  });
});

it("is a PDF of quote and sheet for who is signed in, and of nothing else", async () => {
  const { workOrderId } = await quoted({ language: "es" });
  for (const paper of ["quote", "mechanicsSheet", "quote?language=en"]) {
    const { status, headers } = await odile.get(`/api/work-orders/${workOrderId}/papers/${paper}`);
    expect([status, headers.get("content-type")]).toEqual([200, "application/pdf"]);
  }
  expect((await odile.get(`/api/work-orders/${workOrderId}/papers/bill`)).status).toBe(422);
  expect((await odile.get(`/api/work-orders/${uuid()}/papers/quote`)).status).toBe(404);
  expect((await server.stranger().get(`/api/work-orders/${workOrderId}/papers/mechanicsSheet`)).status).toBe(401);
});

describe("sending a paper", () => {
  it("brings the quote by mail with its PDF, by text as the link, wherever it is sent", async () => {
    const { workOrderId } = await quoted();
    const [mail, text] = [uuid(), uuid()];
    const send = (messageId: string, to: string) =>
      odile.post<{ code: string }>(`/api/work-orders/${workOrderId}/quote-messages`, { messageId, to });
    expect((await send(mail, "juno@example.com")).status).toBe(200);
    expect((await send(text, "(360) 555-0142")).status).toBe(200);
    const { attachment, channel } = await arrived(mail);
    expect([channel, attachment?.name.startsWith("quote-")]).toEqual(["mail", true]);
    expect(
      Buffer.from(attachment?.base64 ?? "", "base64")
        .subarray(0, 5)
        .toString(),
    ).toBe("%PDF-");
    const texted = await arrived(text);
    expect([texted.to, texted.attachment]).toEqual(["+13605550142", null]);
    expect(texted.text).toContain("/c/");
    expect((await send(uuid(), "nowhere")).body.code).toBe("message/no-reach");
  });

  it("brings the sheet to a mechanic, and never to the customer's page", async () => {
    const { workOrderId } = await quoted();
    const [mail, text] = [uuid(), uuid()];
    const send = (messageId: string, to: string) =>
      odile.post(`/api/work-orders/${workOrderId}/sheet-messages`, { messageId, to });
    expect((await send(mail, "tomas@example.com")).status).toBe(200);
    expect((await send(mail, "tomas@example.com")).status).toBe(200);
    expect((await send(text, "360 555 0143")).status).toBe(200);
    const { attachment } = await arrived(mail);
    expect(attachment?.name).toMatch(/^sheet-\d+\.pdf$/);
    const texted = await arrived(text);
    expect(texted.text).toContain(`/work/${workOrderId}/papers/mechanicsSheet`);
    expect(await said(workOrderId, "sheet")).toHaveLength(2);
    await odile.post(`/api/work-orders/${workOrderId}/quote-messages`, { messageId: uuid() });
    const [, token = ""] = /\/c\/([\w-]+)/.exec((await said(workOrderId, "quoted"))[0]?.text ?? "") ?? [];
    // What the mechanic answers is ours, and waits for somebody.
    const news = {
      ...{ what: "reply", id: uuid(), toKey: texted.key, channel: "text", from: texted.to },
      ...{ text: "Their bolts look seized", at: new Date().toISOString() },
    };
    const secret = { Authorization: `Bearer ${MESSENGER_SECRET}` };
    expect((await server.stranger().post("/api/outside/messages", news, secret)).status).toBe(200);
    const { messages } = (await odile.get<{ messages: OpenMessage[] }>("/api/messages")).body;
    expect(messages.find(({ id }) => id === news.id)).toMatchObject({ workOrderId: null, text: news.text });
    const page = JSON.stringify((await server.stranger().get(`/api/public/pages/${token}`)).body);
    expect(page).not.toContain("mechanicsSheet");
    expect(page).not.toContain(news.text);
  });
});

describe("a change of state", () => {
  const yes = { way: "signed", name: "Juno Aldaine", signature: [[1, 1, 2, 2]], totalCents: 10_000 };
  const answers = (jobId: string, totalCents = 10_000): object[] => [
    { jobId, title: "Wheel bearing", answer: "yes", totalCents },
  ];

  it("offers to say the answer back, once, and asks first", async () => {
    const { workOrderId, jobId } = await quoted();
    const command = { type: "recordAnswers", approvalId: uuid(), ...yes, answers: answers(jobId) };
    await sendCommand(odile, workOrderId, command);
    await sendCommand(odile, workOrderId, command);
    const [told, ...more] = await said(workOrderId, "answered");
    expect([told?.status, more]).toEqual(["asks", []]);
    expect(told?.text).toContain("You agree to Wheel bearing, $100.00.");
  });

  it("says it in their language, and not where the owner said never", async () => {
    const { workOrderId, jobId } = await quoted({ language: "es" });
    await sendCommand(odile, workOrderId, {
      type: "recordAnswers",
      approvalId: uuid(),
      ...yes,
      answers: answers(jobId),
    });
    expect((await said(workOrderId, "answered"))[0]?.text).toContain("Usted autoriza Wheel bearing");
    const { messages, versions } = await settings();
    const to = { ...messages, kinds: { ...messages.kinds, answered: { ...messages.kinds.answered, rule: "never" } } };
    await odile.send("PATCH", "/api/business/messages", {
      version: versions.messages,
      messages: [{ from: messages, to }],
    });
    const other = await quoted();
    await sendCommand(odile, other.workOrderId, {
      ...{ type: "recordAnswers", approvalId: uuid(), ...yes, answers: answers(other.jobId) },
    });
    expect(await said(other.workOrderId, "answered")).toEqual([]);
  });

  it("offers to tell that the parts are here when the last one is, and no visit is booked", async () => {
    const { workOrderId, jobId } = await quoted();
    const lineIds = [uuid(), uuid()];
    for (const id of lineIds)
      await sendCommand(odile, workOrderId, {
        ...{ type: "addLine", jobId },
        line: {
          ...{ id, kind: "part", description: "Bearing", quantity: 1, costCents: 100, markup: null, priceCents: 200 },
          ...{ partNumber: null, brand: null },
        },
      });
    await sendCommand(odile, workOrderId, {
      type: "recordAnswers",
      approvalId: uuid(),
      ...yes,
      answers: answers(jobId, jobTotals((await view(workOrderId)).state).get(jobId)),
    });
    const receive = (lineId: string) =>
      sendCommand(odile, workOrderId, { type: "receiveParts", items: [{ lineId, quantity: null }] });
    await receive(lineIds[0] ?? "");
    expect(await said(workOrderId, "partsHere")).toEqual([]);
    await receive(lineIds[1] ?? "");
    expect(await said(workOrderId, "partsHere")).toMatchObject([{ status: "asks" }]);
  });
});

it("leaves nothing a person said on a paper when they are erased", async () => {
  const { workOrderId, customerId, jobId } = await quoted();
  await sendCommand(odile, workOrderId, { type: "wordPaper", paper: "quote", concernId: null, text: "Dear Zephyrine" });
  await sendCommand(odile, workOrderId, { type: "removeJob", jobId });
  await sendCommand(odile, workOrderId, { type: "closeWithoutSale", reason: "price", words: "" });
  expect((await odile.post(`/api/customers/${customerId}/erase`, { version: 1 })).status).toBeLessThan(300);
  const rows = await server.db.query<{ count: string }>(
    `select (select count(*) from commands where body::text like '%Zephyrine%')
       + (select count(*) from work_orders where state::text like '%Zephyrine%')
       + (select count(*) from messages where text like '%Zephyrine%') as count`,
    { type: QueryTypes.SELECT },
  );
  expect(Number(rows[0]?.count)).toBe(0);
});
