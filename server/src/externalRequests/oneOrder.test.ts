import { v7 as uuid } from "uuid";
import { approvedParts, jobTotals } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import {
  startTestServer,
  until,
  sendCommand,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

/** Three people, so many rounds for each way a supplier fails. */
const ROUNDS = Number(process.env.ORDER_ROUNDS ?? 8);
const FAULTS = ["none", "slow", "down", "wrongPrice", "outOfStock", "answerLost"] as const;

let server: TestServer;
let people: TestPerson[];
beforeAll(async () => {
  server = await startTestServer({ SETTLE_AFTER_MS: "500", OUTSIDE_TIMEOUT_MS: "400" });
  people = await Promise.all(["odile", "tomas", "wren"].map((login) => server.signIn(login)));
});
afterEach(() => server.fault("supplier", "none"));
afterAll(() => server?.stop());

const supplier = (): string => `${server.running.deps.config.standinsUrl}/suppliers/gull-harbor`;
const filledKeys = async (): Promise<string[]> =>
  ((await (await fetch(`${supplier()}/orders`)).json()) as { key: string }[]).map(({ key }) => key);
const view = async (who: TestPerson, id: string): Promise<WorkOrderView> =>
  (await who.get<WorkOrderView>(`/api/work-orders/${id}`)).body;

/** A work order with one agreed part; gives its id and the part's line. */
async function agreedPart(who: TestPerson): Promise<[orderId: string, lineId: string]> {
  const [orderId, jobId, lineIds] = [uuid(), uuid(), [uuid(), uuid()]];
  await sendCommand(who, orderId, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] });
  await sendCommand(who, orderId, {
    type: "addJob",
    jobId,
    libraryJobId: "stabilizer-links",
    lineIds,
    concernId: null,
    pointIds: [],
  });
  const totalCents = jobTotals((await view(who, orderId)).state).get(jobId) ?? 0;
  const answers = [{ jobId, title: "", answer: "yes", totalCents }];
  const said = {
    type: "recordAnswers",
    approvalId: uuid(),
    way: "spoken",
    name: "P",
    signature: [],
    answers,
    totalCents,
  };
  await sendCommand(who, orderId, said);
  const [part] = approvedParts((await view(who, orderId)).state, "needed");
  return [orderId, part?.id ?? ""];
}

it.each(FAULTS)(
  "three people at once order a part once, while the supplier is: %s",
  async (fault) => {
    const [odile] = people;
    if (!odile) throw new Error("nobody is signed in");
    const { outside } = server.running.deps;
    const really = outside.suppliers.order.bind(outside.suppliers);
    // The offers come through; what goes wrong goes wrong with the order itself.
    const ordering = jest.spyOn(outside.suppliers, "order").mockImplementation(async (...asked) => {
      await server.fault("supplier", fault, 1);
      return really(...asked);
    });
    const rounds: { orderId: string; lineId: string; ids: string[]; statuses: number[] }[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      await server.fault("supplier", "none");
      await fetch(`${supplier()}/restock`, { method: "POST" });
      const [orderId, lineId] = await agreedPart(odile);
      const ids = people.map(() => uuid());
      const order = (who: TestPerson, id: string): Promise<HttpAnswer> =>
        who.post(`/api/work-orders/${orderId}/part-orders`, {
          orderId: id,
          lineIds: [lineId],
          acceptChangedCost: true,
        });
      const answers = await Promise.all(people.map((who, index) => order(who, ids[index] ?? "")));
      // A page loaded anew asks with a new id, while nobody knows what became of the first.
      ids.push(uuid());
      const again = await order(odile, ids.at(-1) ?? "");
      const { requests, state } = await view(odile, orderId);
      // Every one that is not known to be done is shown.
      if (state.orders.length === 0 && answers.some(({ status }) => status === 503))
        expect(requests.map(({ kind }) => kind)).toContain("partsOrder");
      rounds.push({ orderId, lineId, ids, statuses: [...answers, again].map(({ status }) => status) });
    }
    ordering.mockRestore();
    await server.fault("supplier", "none");
    for (const { orderId, lineId, ids, statuses } of rounds) {
      // Settled by itself: the supplier says what became of each.
      const settled = await until(
        () => view(odile, orderId),
        ({ requests }) => requests.every(({ status }) => status !== "asked"),
      );
      const keys = (await filledKeys()).filter((key) => ids.some((id) => key.endsWith(`/${id}`)));
      expect(keys.length).toBeLessThanOrEqual(1);
      const recorded = settled.state.orders.filter(({ items }) => items.some((item) => item.lineId === lineId));
      expect([fault, recorded.length]).toEqual([fault, keys.length]);
      expect(statuses.filter((status) => status === 200).length).toBeLessThanOrEqual(keys.length);
      expect(settled.state.conflicts).toEqual([]);
      if (fault === "none" || fault === "answerLost" || fault === "slow") expect(keys).toHaveLength(1);
    }
  },
  180_000,
);
