import { once } from "node:events";
import type { AddressInfo } from "node:net";
import type { Server } from "node:http";
import express from "express";
import { CUSTOMERS, LIBRARY, PEOPLE, REGISTER_ONLY, SETTINGS, WORK_ORDERS } from "@mechanon/demo";
import { expectedCheckDigit } from "@mechanon/core/vin";
import { createStandins } from "./app";

let server: Server;
let url: string;
beforeAll(async () => {
  server = createStandins("the secret").listen(0, "127.0.0.1");
  await new Promise((resolve) => server.once("listening", resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

const post = async (
  path: string,
  body: object,
  key?: string,
): Promise<{ status: number; body: Record<string, unknown> }> => {
  const response = await fetch(url + path, {
    method: "POST",
    headers: { "Content-Type": "application/json", ...(key ? { "Idempotency-Key": key } : {}) },
    body: JSON.stringify(body),
  });
  const text = await response.text();
  return { status: response.status, body: (text === "" ? {} : JSON.parse(text)) as Record<string, unknown> };
};
const set = (service: string, fault: string, times?: number) =>
  post("/faults", { service, fault, ...(times ? { times } : {}) });
afterEach(() => Promise.all(["register", "supplier", "terminal", "messages"].map((service) => set(service, "none"))));

describe("switches", () => {
  it.each(["register", "supplier", "terminal", "messages"])("take %s down and up again", async (service) => {
    expect((await set(service, "down")).status).toBe(204);
    const ask = () =>
      service === "register"
        ? fetch(`${url}/register/plates/WA/X`).then(({ status }) => status)
        : post(
            service === "messages"
              ? "/messages"
              : service === "supplier"
                ? "/suppliers/gull-harbor/offers"
                : "/terminal/charges",
            service === "supplier"
              ? { partNumbers: [] }
              : service === "messages"
                ? { channel: "text", to: "1", subject: null, text: "x", callback: "http://127.0.0.1:1/" }
                : { amountCents: 1, reference: "r" },
          ).then(({ status }) => status);
    expect(await ask()).toBe(503);
    await set(service, "none");
    expect(await ask()).toBeLessThan(300);
  });
  it("count down to the next requests only", async () => {
    await set("terminal", "declined", 1);
    expect((await post("/terminal/charges", { amountCents: 100, reference: "r" })).body).toMatchObject({
      status: "declined",
    });
    expect((await post("/terminal/charges", { amountCents: 100, reference: "r" })).body).toMatchObject({
      status: "approved",
    });
  });
  it("refuse a fault a service does not have", async () => {
    expect((await set("register", "declined")).status).toBe(422);
    expect((await set("bakery", "down")).status).toBe(422);
  });
  it("are on a page for people", async () => {
    expect(await (await fetch(url)).text()).toContain("What each service should do wrong");
  });
});

describe("what costs money", () => {
  it("is done once for a key, also when the answer was lost", async () => {
    await set("terminal", "answerLost", 1);
    await expect(post("/terminal/charges", { amountCents: 700, reference: "r" }, "k1")).rejects.toThrow();
    const [again, more] = [
      await post("/terminal/charges", { amountCents: 700, reference: "r" }, "k1"),
      await post("/terminal/charges", { amountCents: 700, reference: "r" }, "k1"),
    ];
    expect(again.body).toMatchObject({ status: "approved" });
    expect(more.body).toEqual(again.body);
  });
  it.each([
    ["/terminal/charges", { amountCents: 700, reference: "r" }, { status: "approved" }],
    [
      "/suppliers/gull-harbor/orders",
      { items: [{ partNumber: "SD-22", quantity: 1, costCents: 890 }] },
      { orderNumber: expect.any(String) as unknown },
    ],
  ])("tells what became of it at %s, and takes no more what it never had", async (path, body, done) => {
    await post(path, body, "a/settled");
    expect((await post(`${path}/${encodeURIComponent("a/settled")}/settle`, {})).body).toMatchObject(done);
    expect(await post(`${path}/never/settle`, {})).toMatchObject({ status: 410, body: { withdrawn: true } });
    expect(await post(path, body, "never")).toMatchObject({ status: 410 });
    const all = (await (await fetch(url + path)).json()) as { key: string }[];
    expect(all.map(({ key }) => key).filter((key) => key === "a/settled" || key === "never")).toEqual(["a/settled"]);
  });
  it("takes an order off the shelf, and no more than is there", async () => {
    const order = { items: [{ partNumber: "HY-7731", quantity: 1, costCents: 3860 }] };
    const first = await post("/suppliers/gull-harbor/orders", order, "o1");
    expect(first).toMatchObject({ status: 201, body: { orderNumber: expect.stringMatching(/^GH-\d{6}$/) as unknown } });
    expect((await post("/suppliers/gull-harbor/orders", order, "o1")).body).toEqual(first.body);
    expect(await post("/suppliers/gull-harbor/orders", order, "o2")).toMatchObject({
      status: 409,
      body: { reason: "outOfStock" },
    });
  });
  it("holds an order to today's cost", async () => {
    await set("supplier", "wrongPrice");
    expect((await post("/suppliers/gull-harbor/offers", { partNumbers: ["SD-22", "NONE"] })).body).toMatchObject({
      offers: [{ partNumber: "SD-22", costCents: 1113 }],
    });
    expect(
      await post("/suppliers/gull-harbor/orders", { items: [{ partNumber: "SD-22", quantity: 1, costCents: 890 }] }),
    ).toMatchObject({ status: 409, body: { reason: "priceChanged" } });
  });
});

describe("messages", () => {
  const heard: { authorization: string | undefined; news: Record<string, unknown> }[] = [];
  let business: Server;
  let callback = "";
  beforeAll(async () => {
    const app = express().use(express.json());
    app.post("/", (req, res) => {
      heard.push({ authorization: req.get("Authorization"), news: req.body as Record<string, unknown> });
      res.json({});
    });
    business = app.listen(0, "127.0.0.1");
    await once(business, "listening");
    callback = `http://127.0.0.1:${(business.address() as AddressInfo).port}/`;
  });
  afterAll(() => business.close());
  const send = (key: string, over: object = {}) =>
    post(
      "/messages",
      {
        channel: "text",
        to: "+13605550111",
        subject: null,
        text: "<b>Receipt</b> http://x.example/r/1",
        callback,
        ...over,
      },
      key,
    );
  const heardOf = async (what: string, key: string) => {
    for (let tries = 0; tries < 100; tries += 1) {
      const found = heard.find(({ news }) => news.what === what && (news.key === key || news.toKey === key));
      if (found) return found;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    throw new Error(`${what} of ${key} was never told`);
  };

  it("arrive on the customers' phones, once a key, with links to open and nothing run, and are told to have", async () => {
    await send("m1");
    await send("m1");
    const page = await (await fetch(`${url}/phone?to=%2B13605550111`)).text();
    expect(page).toContain('<a href="http://x.example/r/1">');
    expect(page.match(/&lt;b&gt;Receipt/g)).toHaveLength(1);
    expect(await heardOf("delivered", "m1")).toMatchObject({ authorization: "Bearer the secret" });
  });

  it("are answered, and the answer is told", async () => {
    await send("m2");
    expect((await post("/phone/reply", { key: "m2", text: "STOP" })).status).toBe(204);
    expect((await heardOf("reply", "m2")).news).toMatchObject({ from: "+13605550111", text: "STOP", channel: "text" });
    expect((await post("/phone/reply", { key: "none", text: "x" })).status).toBe(404);
  });

  it("may not arrive", async () => {
    await set("messages", "undeliverable", 1);
    await send("m3", { to: "+13605550112" });
    expect((await heardOf("failed", "m3")).news.why).toMatch(/takes no messages/);
  });
});

it("answers a body that does not fit without falling over", async () => {
  expect((await post("/terminal/charges", { amountCents: "x" })).status).toBe(400);
});

describe("the demo scenario", () => {
  const cars = CUSTOMERS.flatMap((customer) => customer.cars);
  it("has enough of everything, all of it made up", () => {
    expect(CUSTOMERS.length).toBeGreaterThanOrEqual(12);
    expect(cars.length).toBeGreaterThanOrEqual(16);
    for (const { phone, email } of CUSTOMERS) {
      expect(phone).toMatch(/^\+1\d{3}55501\d\d$/);
      if (email !== null) expect(email).toMatch(/@example\.com$/);
    }
    expect(
      new Set(WORK_ORDERS.flatMap(({ visits }) => visits.map(({ day }) => day)).filter((day) => Math.abs(day) <= 1)),
    ).toEqual(new Set([-1, 0, 1]));
    expect(PEOPLE.some(({ isMechanic }) => !isMechanic)).toBe(true);
  });
  it("has VINs whose check digits hold, each once", () => {
    const vins = [...cars, ...REGISTER_ONLY].flatMap(({ vin }) => (vin === null ? [] : [vin]));
    for (const vin of vins) expect([vin, expectedCheckDigit(vin)]).toEqual([vin, vin[8]]);
    expect(new Set(vins).size).toBe(vins.length);
  });
  it("names only points, concerns and jobs that are there", () => {
    const points = SETTINGS.inspection.map(({ id }) => id);
    const phrases = SETTINGS.concerns.map(({ id }) => id);
    for (const { causes, corrections } of SETTINGS.concerns)
      expect([causes.length >= 3, corrections.length >= 3]).toEqual([true, true]);
    expect(
      SETTINGS.sheets.flatMap(({ comes }) => comes.libraryJobIds).filter((id) => !LIBRARY.some((job) => job.id === id)),
    ).toEqual([]);
    for (const job of LIBRARY) {
      expect(points).toEqual(expect.arrayContaining(job.curesPoints));
      expect(phrases).toEqual(expect.arrayContaining(job.answersConcerns));
    }
    for (const order of WORK_ORDERS)
      expect(LIBRARY.map(({ id }) => id)).toEqual(expect.arrayContaining(order.jobs ?? []));
  });
});

describe("the weather", () => {
  const hours = async (fault: string): Promise<{ at: string; rainPercent: number }[]> => {
    await set("weather", fault);
    const [from, to] = [0, 72].map((hour) => new Date(Date.now() + hour * 3_600_000).toISOString());
    const query = new URLSearchParams({ latitude: "48", longitude: "-122", from: from ?? "", to: to ?? "" });
    const answer = (await (await fetch(`${url}/weather?${query.toString()}`)).json()) as {
      hours: { at: string; rainPercent: number }[];
    };
    await set("weather", "none");
    return answer.hours;
  };
  it("is the same for an hour and a place, however often it is asked", async () => {
    const first = await hours("none");
    expect(first.length).toBeGreaterThanOrEqual(72);
    expect(await hours("none")).toEqual(first);
  });
  it("rains all the time, for two days, or not at all, as it is switched", async () => {
    const percents = async (fault: string): Promise<Set<number>> =>
      new Set((await hours(fault)).map(({ rainPercent }) => rainPercent));
    expect(await percents("wet")).toEqual(new Set([90]));
    expect(await percents("dry")).toEqual(new Set([0]));
    expect(await percents("wetTwoDays")).toEqual(new Set([90, 0]));
  });
});

it("answers a table of seconds between points, and nothing for what is none", async () => {
  const table = (points: string) => fetch(`${url}/routing/table/v1/driving/${points}?annotations=duration`);
  const { durations } = (await (await table("-122,48;-122.1,48")).json()) as { durations: number[][] };
  expect(durations).toEqual([
    [0, expect.closeTo(677, -1)],
    [expect.closeTo(677, -1), 0],
  ]);
  expect((await table("here;there")).status).toBe(400);
});
