import { v7 as uuid } from "uuid";
import type { TimeOffer } from "@mechanon/core";
import { bookingOf, EBB_COURT, sendToVisit } from "../testing/booking";
import { findOrder, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let wren: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  wren = await server.signIn("wren");
});
afterAll(() => server?.stop());
afterEach(() => server.db.query("delete from held_times"));

interface Offered {
  offers: TimeOffer[];
  heldUntil: string | null;
}
const look = async (who: TestPerson, heldFor: string | null, hold = 3): Promise<Offered> => {
  const body = { place: EBB_COURT, minutes: 60, mechanicId: null, movesVisitId: null, days: 7, heldFor, hold };
  return (await who.post<Offered>("/api/offered-times", body)).body;
};
const overlap = (one: TimeOffer, other: TimeOffer): boolean =>
  one.mechanicId === other.mechanicId && one.startsAt < other.endsAt && other.startsAt < one.endsAt;
const pick = (who: TestPerson, heldFor: string, { mechanicId, startsAt, endsAt }: TimeOffer) =>
  who.post<{ heldUntil: string; code: string }>("/api/held-times", {
    heldFor,
    mechanicId,
    startsAt,
    endsAt,
    place: EBB_COURT,
  });

it("holds the first times for ten minutes, and offers nobody else any of them, in one moment either", async () => {
  const answers = await Promise.all([look(odile, uuid()), look(wren, uuid()), look(odile, uuid()), look(wren, uuid())]);
  const held = answers.map(({ offers }) => offers.slice(0, 3));
  for (const [index, mine] of held.entries()) {
    expect(mine).toHaveLength(3);
    for (const theirs of held.slice(index + 1).flat())
      expect(mine.filter((offer) => overlap(offer, theirs))).toEqual([]);
  }
  const until = Date.parse(answers[0]?.heldUntil ?? "") - Date.now();
  expect(until).toBeGreaterThan(9 * 60_000);
  expect(until).toBeLessThanOrEqual(10 * 60_000);
});

it("offers one's own again, holds nothing where nobody asks it, and lets go what expired or is given up", async () => {
  const call = uuid();
  const first = await look(odile, call);
  expect((await look(odile, call)).offers.slice(0, 3)).toEqual(first.offers.slice(0, 3));
  expect((await look(wren, null)).heldUntil).toBeNull();
  const best = first.offers[0] as TimeOffer;
  const hers = uuid();
  expect(
    (await look(wren, hers, 0)).offers.some(
      (offer) => offer.startsAt === best.startsAt && offer.mechanicId === best.mechanicId,
    ),
  ).toBe(false);
  await odile.send("DELETE", `/api/held-times/${call}`);
  expect((await look(wren, hers)).offers[0]).toEqual(best);
  await server.db.query("update held_times set expires_at = now() - interval '1 second'");
  expect((await look(odile, call)).offers[0]).toEqual(best);
});

it("gives a picked time to the first of two, and lets the other times go", async () => {
  const [one, other] = [uuid(), uuid()];
  const best = (await look(odile, one)).offers[0] as TimeOffer;
  await server.db.query("delete from held_times");
  const picked = await Promise.all([pick(odile, one, best), pick(wren, other, best)]);
  expect(picked.map(({ status }) => status).sort()).toEqual([200, 409]);
  expect(picked.find(({ status }) => status === 409)?.body.code).toBe("time/taken");
  const [kept] = (await server.db.query("select count(*)::int as count from held_times"))[0] as { count: number }[];
  expect(kept?.count).toBe(1);
  expect((await pick(odile, one, { ...best, mechanicId: uuid() })).body.code).toBe("mechanic/not-found");
});

it("books a held time for whom it is held alone, unless somebody books it anyway", async () => {
  const order = await findOrder(odile, "Caspian");
  const best = (await look(odile, order.id)).offers[0] as TimeOffer;
  const hers = await sendToVisit(wren, uuid(), bookingOf((await findOrder(wren, "Bram")).id, best));
  expect(hers.outcomes).toMatchObject([{ outcome: "refused", refusal: "visit/held" }]);
  const his = await sendToVisit(odile, uuid(), bookingOf(order.id, best));
  expect(his.outcomes).toMatchObject([{ outcome: "applied" }]);
  const [left] = (await server.db.query("select count(*)::int as count from held_times"))[0] as { count: number }[];
  expect(left?.count).toBe(0);
  const next = (await look(odile, uuid())).offers[0] as TimeOffer;
  const anyway = { ...bookingOf((await findOrder(wren, "Bram")).id, next), allowOverlap: true };
  expect((await sendToVisit(wren, uuid(), anyway)).outcomes).toMatchObject([{ outcome: "applied" }]);
});
