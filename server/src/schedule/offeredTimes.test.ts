import { BUSINESS } from "@mechanon/demo";
import { v7 as uuid } from "uuid";
import { addDays, dayOf, type TimeOffer } from "@mechanon/core";
import type { BusinessView } from "@mechanon/contract";
import { findOrder, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

const ZONE = BUSINESS.timeZone;
const TODAY = dayOf(new Date().toISOString(), ZONE);
const EBB_COURT = { latitude: 48.0216, longitude: -122.6258 };

let server: TestServer;
let odile: TestPerson;
let business: BusinessView;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  business = (await odile.get<BusinessView>("/api/business")).body;
});
afterAll(() => server?.stop());

const offers = async (over: object = {}): Promise<TimeOffer[]> => {
  const body = { place: EBB_COURT, minutes: 60, mechanicId: null, movesVisitId: null, days: 7, ...over };
  return (await odile.post<{ offers: TimeOffer[] }>("/api/offered-times", body)).body.offers;
};
const idOf = (name: string): string => business.people.find((person) => person.name === name)?.id ?? "";

it("offers times that can be booked as they are, least driving first, and none that is taken then", async () => {
  const found = await offers();
  expect(found.length).toBeGreaterThan(10);
  expect(found.map(({ addedMinutes }) => addedMinutes)).toEqual(
    found.map(({ addedMinutes }) => addedMinutes).sort((a, b) => a - b),
  );
  const [best] = found;
  if (!best) throw new Error("no time");
  const order = await findOrder(odile, "Caspian");
  const visitId = uuid();
  const command = {
    type: "bookVisit",
    workOrderIds: [order.id],
    mechanicId: best.mechanicId,
    place: { street: "3 Ebb Court", town: "", region: "", postcode: "", ...EBB_COURT },
    startsAt: best.startsAt,
    endsAt: best.endsAt,
    note: "",
    allowOverlap: false,
  };
  const booked = await odile.post<{ outcomes: { outcome: string }[] }>(`/api/visits/${visitId}/commands`, {
    commands: [{ id: uuid(), at: new Date().toISOString(), command }],
  });
  expect(booked.body.outcomes).toMatchObject([{ outcome: "applied" }]);
  const overlaps = (all: TimeOffer[]): TimeOffer[] =>
    all.filter(
      ({ mechanicId, startsAt, endsAt }) =>
        mechanicId === best.mechanicId && startsAt < best.endsAt && endsAt > best.startsAt,
    );
  expect(overlaps(await offers())).toEqual([]);
  expect(overlaps(await offers({ movesVisitId: visitId }))).not.toEqual([]);
});

it("keeps to the hours, days off and skills the owner set, and to who is wanted", async () => {
  const tomas = idOf("Tomas Quill");
  const crew = [
    {
      from: null,
      to: {
        personId: tomas,
        hours: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, fromMinute: 480, untilMinute: 900 })),
        pause: { fromMinute: 720, untilMinute: 750 },
        off: [{ from: TODAY, to: addDays(TODAY, 1) }],
        skills: ["Refrigerant"],
      },
    },
  ];
  const saved = await odile.send("PATCH", "/api/business/crew", { version: business.settings.versions.crew, crew });
  expect(saved.status).toBe(200);
  const his = await offers({ mechanicId: tomas });
  expect(his.length).toBeGreaterThan(0);
  expect(his.filter(({ mechanicId, date }) => mechanicId !== tomas || date <= addDays(TODAY, 1))).toEqual([]);
  const skilled = await offers({ skills: ["High voltage"] });
  expect(skilled.filter(({ mechanicId }) => mechanicId === tomas)).toEqual([]);
  const wrong = { ...crew[0]?.to, hours: [{ weekday: 1, fromMinute: 900, untilMinute: 480 }] };
  const refused = await odile.send("PATCH", "/api/business/crew", { version: 1, crew: [{ from: null, to: wrong }] });
  expect(refused.status).toBe(422);
  const wren = await server.signIn("wren");
  expect((await wren.send("PATCH", "/api/business/crew", { version: 1, crew: [] })).status).toBe(403);
});

it("offers nothing longer than any day", async () => {
  expect(await offers({ minutes: 1440 })).toEqual([]);
  const { status } = await odile.post("/api/offered-times", { minutes: 60 });
  expect(status).toBe(422);
});
