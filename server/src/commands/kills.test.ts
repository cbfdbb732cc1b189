import { createServer } from "node:net";
import { v7 as uuid } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import { startProcess, type ServerProcess } from "../bench/process";
import { openOrders, startTestServer, until, type TestPerson, type TestServer } from "../testing/testServer";

const KILLS = 3;
const WORKERS = 4;
/** So many are acknowledged between one kill and the next, however long that takes. */
const ACTS_BETWEEN = 12;

let server: TestServer;
let odile: TestPerson;
let victim: ServerProcess;
let victimEnv: Record<string, string>;
beforeAll(async () => {
  server = await startTestServer({ SETTLE_AFTER_MS: "500" });
  odile = await server.signIn();
  const { config } = server.running.deps;
  victimEnv = {
    PORT: String(await freePort()),
    DATABASE_URL: config.databaseUrl,
    DATABASE_OWNER_URL: config.databaseOwnerUrl,
    STANDINS_URL: config.standinsUrl,
    PHOTOS_FOLDER: config.photosFolder,
    WEB_DIR: "/nonexistent",
    LOG_LEVEL: "silent",
    TELLS_BY_CLOCK: "false",
    OUTSIDE_TIMEOUT_MS: "15000",
    SETTLE_AFTER_MS: "500",
  };
  victim = await startProcess("server/src/main.ts", victimEnv);
});
afterAll(async () => {
  await victim?.kill();
  await server?.stop();
});

/** Sends until it is answered for good, as a device does; gives the answer. */
async function persist(path: string, body: object): Promise<{ status: number; body: unknown }> {
  const headers = { "Content-Type": "application/json", Cookie: odile.cookie };
  for (;;) {
    const answer = await fetch(victim.url + path, { method: "POST", headers, body: JSON.stringify(body) })
      .then(async (response) => ({ status: response.status, body: (await response.json()) as unknown }))
      .catch(() => null);
    if (answer && answer.status < 500) return answer;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

it("loses nothing it acknowledged and does nothing twice, killed again and again, and its database's connections with it", async () => {
  const orders = (await openOrders(odile)).slice(0, 3).map(({ id }) => id);
  const [owing] = (await openOrders(odile)).filter(({ dueCents }) => dueCents > 5000).map(({ id }) => id);
  const [said, charges, givenUp]: [{ order: string; text: string }[], string[], string[]] = [[], [], []];
  let isOver = false;
  const act = async (worker: number): Promise<void> => {
    for (let turn = 0; !isOver && turn < 60; turn++) {
      const [order, text] = [orders[turn % orders.length] ?? "", `heard ${worker}/${turn}`];
      const command = { type: "addConcern", concernId: uuid(), text, kind: "wish", phraseId: null };
      const commands = [{ id: uuid(), at: new Date().toISOString(), command }];
      const { body } = await persist(`/api/work-orders/${order}/commands`, { commands });
      expect(body).toMatchObject({ outcomes: [{ outcome: "applied" }] });
      said.push({ order, text });
      if (turn % 4 !== 0) continue;
      const paymentId = uuid();
      if (turn % 8 === 0) await server.fault("terminal", "answerLost", 1);
      const paid = await persist(`/api/work-orders/${owing ?? ""}/card-payments`, { paymentId, amountCents: 7 });
      // Killed before the terminal had it, and settled before it was sent again: it is told that nothing was charged.
      if (paid.status === 409) {
        expect(paid.body).toMatchObject({ code: "payment/given-up" });
        givenUp.push(paymentId);
        continue;
      }
      expect(paid.status).toBe(200);
      charges.push(paymentId);
    }
  };
  const killing = (async () => {
    for (let kill = 0; kill < KILLS; kill++) {
      await until(
        async () => said.length,
        (count) => count >= ACTS_BETWEEN * (kill + 1),
        1000,
      );
      await victim.kill();
      victim = await startProcess("server/src/main.ts", victimEnv);
      await server.db
        .query(
          "select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()",
        )
        .catch(() => undefined);
    }
    isOver = true;
  })();
  await Promise.all([killing, ...Array.from({ length: WORKERS }, (_, worker) => act(worker))]);
  expect(said.length).toBeGreaterThanOrEqual(KILLS * ACTS_BETWEEN);
  expect(charges.length).toBeGreaterThan(KILLS);

  const view = (id: string): Promise<WorkOrderView> =>
    until(
      () => odile.get<WorkOrderView>(`/api/work-orders/${id}`),
      ({ status }) => status === 200,
    ).then(({ body }) => body);
  for (const order of orders) {
    const texts = (await view(order)).state.concerns
      .map(({ text }) => text)
      .filter((text) => text.startsWith("heard "));
    const expected = said.filter((each) => each.order === order).map(({ text }) => text);
    expect(texts.sort()).toEqual(expected.sort());
  }
  const settled = await until(
    () => view(owing ?? ""),
    ({ requests }) => requests.every(({ status }) => status !== "asked"),
  );
  const taken = settled.state.payments.filter(({ id }) => charges.includes(id));
  expect(taken.map(({ id }) => id).sort()).toEqual([...charges].sort());
  const done = (await (await fetch(`${victimEnv.STANDINS_URL ?? ""}/terminal/charges`)).json()) as { key: string }[];
  const keys = done.map(({ key }) => key);
  expect(new Set(keys).size).toBe(keys.length);
  for (const id of charges) expect(keys.filter((key) => key.endsWith(`/${id}`))).toHaveLength(1);
  expect(givenUp.filter((id) => keys.some((key) => key.endsWith(`/${id}`)))).toEqual([]);
  expect(settled.state.payments.filter(({ id }) => givenUp.includes(id))).toEqual([]);
}, 180_000);

it("sends each message once, though the server is killed while it sends and the service's answers are lost", async () => {
  const MESSAGES = 12;
  const order = (await openOrders(odile)).find(({ customerName }) => customerName === "Maren Oyelaran");
  const ids: string[] = [];
  await server.fault("messages", "answerLost", MESSAGES);
  for (let index = 0; index < MESSAGES; index++) {
    const messageId = uuid();
    // One whose answer is lost to the kill is sent again under its id, as a device does.
    const body = { messageId, text: `Word ${index}`, answers: null };
    const sending = persist(`/api/work-orders/${order?.id ?? ""}/messages`, body);
    if (index % 5 === 4) {
      await victim.kill();
      victim = await startProcess("server/src/main.ts", victimEnv);
    }
    expect((await sending).status).toBe(200);
    ids.push(messageId);
  }
  await server.fault("messages", "none");
  const arrived = async (): Promise<string[]> =>
    (await server.sentMessages()).map(({ key }) => key.split("/")[1] ?? "");
  const all = await until(arrived, (sent) => ids.every((id) => sent.includes(id)), 1200);
  for (const id of ids) expect(all.filter((each) => each === id)).toHaveLength(1);
  const states = async (): Promise<Set<string>> => {
    const { body } = await odile.get<WorkOrderView>(`/api/work-orders/${order?.id ?? ""}`);
    return new Set(body.messages.filter(({ id }) => ids.includes(id)).map(({ status }) => status));
  };
  expect(await until(states, (found) => !found.has("waiting"), 1200)).not.toContain("waiting");
}, 180_000);

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address !== null ? address.port : 0));
    });
  });
}
