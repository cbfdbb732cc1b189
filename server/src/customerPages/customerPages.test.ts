import { v7 as uuid } from "uuid";
import type { AskedTime } from "@mechanon/core";
import type { CustomerPage, NewTime, OpenMessage } from "@mechanon/contract";
import { askFor, offeredTo, wellAhead } from "../testing/asking";
import { sendToVisit } from "../testing/booking";
import { jpegOf } from "../testing/pictures";
import {
  findSheet,
  sendCommand,
  startTestServer,
  until,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let stranger: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  stranger = server.stranger();
});
afterAll(() => server?.stop());

interface Booked {
  token: string;
  page: string;
  workOrderId: string;
  visitId: string;
}
let phone = 1200;
/** Somebody who asked and was agreed to. */
async function booked(over: object = {}, pick: Parameters<typeof askFor>[2] = wellAhead): Promise<Booked> {
  phone += 1;
  const { id, token } = await askFor(stranger, { name: "Juno Aldaine", phone: `360 555 ${phone}`, ...over }, pick);
  const { body } = await odile.post<{ workOrderId: string }>(`/api/requests/${id}/agreement`, {
    customerId: null,
    vehicleId: null,
  });
  const page = `/api/public/pages/${token}`;
  const shown = (await stranger.get<CustomerPage>(page)).body;
  return { token, page, workOrderId: body.workOrderId, visitId: shown.orders[0]?.visits[0]?.id ?? "" };
}
const show = async (page: string, who = stranger): Promise<CustomerPage> => (await who.get<CustomerPage>(page)).body;
const codeOf = ({ body }: HttpAnswer<{ code?: string }>): string | undefined => body.code;

describe("a link", () => {
  it("shows what it was sent for, and nothing of others", async () => {
    const { page, workOrderId } = await booked();
    const shown = await show(page);
    expect(shown).toMatchObject({ name: "Juno", isProven: false, orders: [{ id: workOrderId }] });
    expect(JSON.stringify(shown)).not.toMatch(/costCents|wage|markup|Oyelaran|Haddad/);
  });

  it("that was made up leads nowhere, and one that ended or was called back says so", async () => {
    expect(codeOf(await stranger.get(`/api/public/pages/${"x".repeat(32)}`))).toBe("page/not-found");
    expect((await stranger.get("/api/public/pages/short")).status).toBe(422);
    const { page, workOrderId, token } = await booked();
    const [rows] = await server.db.query(`select customer_id as id from work_orders where id = '${workOrderId}'`);
    const customerId = (rows as { id: string }[])[0]?.id ?? "";
    expect(
      (await odile.send<{ ended: number }>("DELETE", `/api/customers/${customerId}/page-links`)).body.ended,
    ).toBeGreaterThan(0);
    expect(codeOf(await stranger.get(page))).toBe("page/ended");
    const other = await booked();
    await server.db.query(
      `update directory.page_links set ends_at = now() - interval '1 second' where token = '${other.token}'`,
    );
    expect(codeOf(await stranger.get(other.page))).toBe("page/ended");
    expect(token).not.toBe(other.token);
  });

  it("of work that is somebody else's by now ends", async () => {
    const { page, workOrderId } = await booked();
    const { customer } = await findSheet(odile, "Noor Haddad-Bell");
    // The one of the request follows the work; one that was sent for the work does not follow it to another.
    const [rows] = await server.db.query(
      `select token from directory.page_links where work_order_id = '${workOrderId}'`,
    );
    const token = (rows as { token: string }[])[0]?.token ?? "";
    await sendCommand(odile, workOrderId, { type: "changeCustomer", customerId: customer.id, keepAnswers: true });
    expect(codeOf(await stranger.get(`/api/public/pages/${token}`))).toBe("page/ended");
    expect((await show(page)).isProven).toBe(false);
  });
});

describe("everything of theirs", () => {
  const lastCode = async (): Promise<string> => {
    const [rows] = await server.db.query(
      "select text from messages where text like '%is your code%' order by created_at desc limit 1",
    );
    return /\b(\d{6})\b/.exec((rows as { text: string }[])[0]?.text ?? "")?.[1] ?? "";
  };

  it("is shown to who proves by a code to a phone we know, once, and not to who has the link alone", async () => {
    const { page } = await booked();
    const { ways } = await show(page);
    expect(ways).toEqual([{ channel: "text", hint: `…${String(phone).slice(-2)}` }]);
    expect((await stranger.post(`${page}/codes`, { way: 0 })).status).toBe(200);
    const code = await lastCode();
    expect(codeOf(await stranger.post(`${page}/proof`, { code: code === "000000" ? "000001" : "000000" }))).toBe(
      "page/code-wrong",
    );
    const proven = await stranger.post<CustomerPage>(`${page}/proof`, { code: `${code.slice(0, 3)} ${code.slice(3)}` });
    expect(proven.body.isProven).toBe(true);
    expect(codeOf(await stranger.post(`${page}/proof`, { code }))).toBe("page/code-over");
    const cookie = proven.headers.get("set-cookie")?.split(";")[0] ?? "";
    const again = await stranger.send<CustomerPage>("GET", page, undefined, { Cookie: cookie });
    expect(again.body.isProven).toBe(true);
    // A proof is one person's: another's page stays as it was.
    const other = await booked();
    expect((await stranger.send<CustomerPage>("GET", other.page, undefined, { Cookie: cookie })).body.isProven).toBe(
      false,
    );
  });

  it("stays closed after five wrong codes, right ones too", async () => {
    const { page } = await booked();
    await stranger.post(`${page}/codes`, { way: 0 });
    const code = await lastCode();
    const wrong = code === "123456" ? "654321" : "123456";
    const codes = await Promise.all(
      Array.from({ length: 7 }, () => stranger.post<{ code: string }>(`${page}/proof`, { code: wrong })),
    );
    expect(codes.map(codeOf).filter((each) => each === "page/code-wrong")).toHaveLength(5);
    expect(codeOf(await stranger.post(`${page}/proof`, { code }))).toBe("page/code-over");
  });

  it("sends five codes in an hour at most, and none by a way nobody named", async () => {
    const { page } = await booked();
    expect(codeOf(await stranger.post(`${page}/codes`, { way: 7 }))).toBe("page/no-way");
    const sent = await Promise.all(
      Array.from({ length: 7 }, () => stranger.post<{ code: string }>(`${page}/codes`, { way: 0 })),
    );
    expect(sent.filter(({ status }) => status === 200)).toHaveLength(5);
  });
});

describe("a visit", () => {
  const times = async (page: string, id: string): Promise<AskedTime[]> =>
    (await stranger.get<{ times: AskedTime[] }>(`${page}/visits/${id}/times`)).body.times;

  it("is moved to a time that is offered, once, and to no other", async () => {
    const { page, visitId } = await booked();
    const [time] = await times(page, visitId);
    const never = { ...time, startsAt: "2031-05-01T10:00:00.000Z", endsAt: "2031-05-01T11:00:00.000Z" };
    expect(codeOf(await stranger.post(`${page}/visits/${visitId}/time`, { commandId: uuid(), time: never }))).toBe(
      "ask/time-gone",
    );
    const move = () => stranger.post<CustomerPage>(`${page}/visits/${visitId}/time`, { commandId: uuid(), time });
    expect((await move()).body.orders[0]?.visits[0]).toMatchObject({ startsAt: time?.startsAt });
    expect((await move()).status).toBe(200);
    const sheet = await findSheet(odile, "Juno Aldaine");
    expect(sheet.messages.filter(({ kind }) => kind === "moved").length).toBeGreaterThan(0);
  });

  it("is called off within the owner's hours, and not after them", async () => {
    const { page, visitId } = await booked();
    const off = () =>
      stranger.post<CustomerPage & { code?: string }>(`${page}/visits/${visitId}/call-off`, {
        commandId: uuid(),
        words: "It runs again",
      });
    expect((await off()).body.orders[0]?.visits[0]?.standing).toBe("cancelled");
    expect((await off()).status).toBe(200);
    const late = await booked({}, 0);
    await server.db.query(
      `update visits set starts_at = now() + interval '3 hours', ends_at = now() + interval '4 hours',
         state = state || jsonb_build_object('startsAt', iso(now() + interval '3 hours'), 'endsAt', iso(now() + interval '4 hours'), 'overlapAllowed', true),
         overlap_allowed = true where id = '${late.visitId}'`,
    );
    expect((await show(late.page)).orders[0]?.visits[0]?.changeUntil).toBeNull();
    expect(
      codeOf(await stranger.post(`${late.page}/visits/${late.visitId}/call-off`, { commandId: uuid(), words: "" })),
    ).toBe("page/too-late");
    const other = await booked();
    expect(
      codeOf(await stranger.post(`${other.page}/visits/${visitId}/call-off`, { commandId: uuid(), words: "" })),
    ).toBe("page/not-proven");
  });

  it("that is for somebody else, too, is neither moved nor called off by one of them", async () => {
    const [one, other] = [await booked(), await booked({ name: "Other Household" })];
    expect((await show(one.page)).orders[0]?.visits[0]?.changeUntil).not.toBeNull();
    await sendToVisit(odile, one.visitId, { type: "takeAlong", workOrderId: other.workOrderId });
    const shared = (await show(other.page)).orders[0]?.visits.find(({ id }) => id === one.visitId);
    expect(shared?.changeUntil).toBeNull();
    expect(JSON.stringify(await show(other.page))).not.toContain(one.workOrderId);
    for (const { page } of [one, other])
      expect(
        codeOf(await stranger.post(`${page}/visits/${one.visitId}/call-off`, { commandId: uuid(), words: "" })),
      ).toBe("page/too-late");
  });

  it("tells its arrival only while somebody is on the way", async () => {
    const { page, visitId } = await booked();
    const arrival = async () => (await show(page)).orders[0]?.visits[0]?.arrivesAt;
    expect(await arrival()).toBeNull();
    await sendToVisit(odile, visitId, { type: "setOff", driveMinutes: 12 });
    expect(Date.parse((await arrival()) ?? "") - Date.now()).toBeGreaterThan(11 * 60_000);
    await sendToVisit(odile, visitId, { type: "arrive" });
    expect(await arrival()).toBeNull();
    // Days before its time somebody on site would stand in the way of all that is offered there.
    await sendToVisit(odile, visitId, { type: "leave" });
  });
});

describe("an earlier time", () => {
  it("is told to those who would come, and the first yes gets it", async () => {
    const early = await booked({ name: "Gap Maker" }, 0);
    const waiting = [await booked({ name: "Wants One" }, 6), await booked({ name: "Wants Two" }, 7)];
    for (const { page, visitId } of waiting) {
      const { body } = await stranger.post<CustomerPage>(`${page}/visits/${visitId}/earlier`, {
        commandId: uuid(),
        wants: true,
      });
      expect(body.orders[0]?.visits[0]?.wantsEarlier).toBe(true);
    }
    await sendToVisit(odile, early.visitId, { type: "cancelVisit", why: "customer", words: "" });
    const links = async (): Promise<string[]> => {
      const [rows] = await server.db.query("select text from messages where kind = 'earlier' order by created_at");
      return (rows as { text: string }[]).flatMap(({ text }) => /\/t\/([\w-]+)/.exec(text)?.[1] ?? []);
    };
    const asked = await until(links, (found) => found.length === 2);
    const opened = await stranger.get<NewTime>(`/api/public/new-times/${asked[0]}`);
    expect(opened.body).toMatchObject({ forGap: true, answer: null, isOver: false });
    const yes = await Promise.all(
      asked.map((token) =>
        stranger.post<NewTime & { code?: string }>(`/api/public/new-times/${token}`, { answer: "yes" }),
      ),
    );
    expect(yes.map(({ status }) => status).sort()).toEqual([200, 409]);
    const loser = asked[yes.findIndex(({ status }) => status === 409)] ?? "";
    expect((await stranger.get<NewTime>(`/api/public/new-times/${loser}`)).body.isOver).toBe(true);
  });
});

describe("words and photos", () => {
  it("come once, wait for somebody here, and are answered on the page", async () => {
    const { page, workOrderId } = await booked();
    const messageId = uuid();
    const write = () =>
      stranger.post<CustomerPage>(`${page}/messages`, { messageId, text: "The gate is open", workOrderId });
    expect([(await write()).status, (await write()).status]).toEqual([200, 200]);
    const open = (await odile.get<{ messages: OpenMessage[] }>("/api/messages")).body.messages.filter(
      ({ id }) => id === messageId,
    );
    expect(open).toMatchObject([{ text: "The gate is open", channel: "page", workOrderId }]);
    await odile.post(`/api/work-orders/${workOrderId}/messages`, {
      messageId: uuid(),
      text: "Thank you",
      answers: messageId,
    });
    const { words } = (await show(page)).orders[0] ?? { words: [] };
    expect(words.map(({ isOurs }) => isOurs)).toEqual([false, true]);
    expect(words.map(({ text }) => text)).toEqual(["The gate is open", "Thank you"]);
    const sheet = await findSheet(odile, "Noor Haddad-Bell");
    const theirs = sheet.openWork[0]?.id ?? uuid();
    expect(codeOf(await stranger.post(`${page}/messages`, { messageId: uuid(), text: "x", workOrderId: theirs }))).toBe(
      "page/not-proven",
    );
  });

  it("of a request that waits are shown and answered there, and go on with the work it becomes", async () => {
    phone += 1;
    const { id, token } = await askFor(stranger, { name: "Words First", phone: `360 555 ${phone}` }, 3);
    const page = `/api/public/pages/${token}`;
    const messageId = uuid();
    await stranger.post(`${page}/messages`, { messageId, text: "Is it far?", workOrderId: null });
    await odile.post(`/api/messages/${messageId}/answer`, { messageId: uuid(), text: "Ten minutes" });
    expect((await show(page)).requests[0]?.said.map(({ text }) => text)).toEqual(["Is it far?", "Ten minutes"]);
    await odile.post(`/api/requests/${id}/agreement`, { customerId: null, vehicleId: null });
    const { orders } = await show(page);
    expect(orders[0]?.words.map(({ text }) => text)).toEqual(["Is it far?", "Ten minutes"]);
    const sheet = await findSheet(odile, "Words First");
    expect(sheet.messages.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["asked", "booked"]));
  });

  it("are kept where they are pictures, seven of them not, and somebody else's are not shown", async () => {
    const { page, token } = await booked();
    const add = (id: string, bytes: Uint8Array) =>
      stranger.send<CustomerPage & { code?: string }>("POST", `${page}/new-photos/${id}`, bytes, {
        "Content-Type": "image/jpeg",
      });
    const first = uuid();
    const picture = new Uint8Array(jpegOf());
    expect((await add(first, picture)).body.orders[0]?.photoIds).toEqual([first]);
    expect((await add(first, picture)).body.orders[0]?.photoIds).toEqual([first]);
    expect((await add(uuid(), new TextEncoder().encode("no picture"))).status).toBe(422);
    for (let index = 0; index < 5; index += 1) await add(uuid(), picture);
    expect(codeOf(await add(uuid(), picture))).toBe("page/photos-enough");
    expect((await stranger.get(`${page}/photos/${first}`)).status).toBe(200);
    const ours = uuid();
    await odile.send("POST", `/api/photos/${ours}`, picture, { "Content-Type": "image/jpeg" });
    expect(codeOf(await stranger.get(`${page}/photos/${ours}`))).toBe("page/not-proven");
    const other = await booked();
    expect(codeOf(await stranger.get(`${other.page}/photos/${first}`))).toBe("page/not-proven");
    // The id of a photo that is kept gives nobody that photo.
    expect(
      (
        await stranger.send<{ code: string }>("POST", `${other.page}/new-photos/${ours}`, picture, {
          "Content-Type": "image/jpeg",
        })
      ).body.code,
    ).toBe("request/id-taken");
    expect(token).not.toBe(other.token);
  });
});

it("a quote is on the page once it was sent, and not before", async () => {
  const { page, workOrderId } = await booked();
  expect((await show(page)).orders[0]).toMatchObject({ jobs: [], totalCents: null });
  const messageId = uuid();
  const send = () => odile.post(`/api/work-orders/${workOrderId}/quote-messages`, { messageId });
  expect([(await send()).status, (await send()).status]).toEqual([200, 200]);
  const [order] = (await show(page)).orders;
  expect(order?.jobs).toHaveLength(1);
  expect(order?.totalCents).toBeGreaterThan(0);
});

it("speaks the language its customer picked, from then on everywhere", async () => {
  const { page } = await booked({ name: "Idioma Vega" });
  expect((await stranger.post<CustomerPage>(`${page}/language`, { language: "es" })).body.language).toBe("es");
  expect((await findSheet(odile, "Idioma Vega")).customer.language).toBe("es");
  expect(await offeredTo(stranger)).not.toEqual([]);
});

it("erased with its customer: request, words, photos, links and codes", async () => {
  const { page, workOrderId } = await booked({ name: "Gone Tomorrow" });
  await stranger.post(`${page}/codes`, { way: 0 });
  await stranger.post(`${page}/messages`, { messageId: uuid(), text: "It is by the elm", workOrderId });
  await stranger.send("POST", `${page}/new-photos/${uuid()}`, new Uint8Array(jpegOf()), {
    "Content-Type": "image/jpeg",
  });
  const { customer } = await findSheet(odile, "Gone Tomorrow");
  const left = async (): Promise<number[]> => {
    const counts = [
      `requests where customer_id = '${customer.id}'`,
      `messages where customer_id = '${customer.id}' or work_order_id = '${workOrderId}' or text like '%elm%'`,
      `customer_photos where work_order_id = '${workOrderId}'`,
      `directory.page_links where customer_id = '${customer.id}' or work_order_id = '${workOrderId}'`,
      `customer_codes where customer_id = '${customer.id}'`,
    ].map((of) => `(select count(*)::int from ${of})`);
    const [rows] = await server.db.query(`select array[${counts.join(", ")}] as counts`);
    return (rows as { counts: number[] }[])[0]?.counts ?? [];
  };
  expect((await left()).every((count) => count > 0)).toBe(true);
  const { body: all } = await odile.get<{ requests: unknown[]; photos: unknown[] }>(
    `/api/customers/${customer.id}/everything`,
  );
  expect([all.requests.length, all.photos.length]).toEqual([1, 1]);
  await server.db.query(`update work_orders set waits_for = null, due_cents = 0 where id = '${workOrderId}'`);
  expect((await odile.post(`/api/customers/${customer.id}/erase`, { version: customer.version })).status).toBe(200);
  expect(await left()).toEqual([0, 0, 0, 0, 0]);
  expect(codeOf(await stranger.get(page))).toBe("page/not-found");
});
