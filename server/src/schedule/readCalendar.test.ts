import { readCalendar } from "./readCalendar";

const ZONE = "America/Los_Angeles";
const NOW = new Date("2026-11-27T12:00:00Z");
const event = (...lines: string[]): string => ["BEGIN:VEVENT", ...lines, "END:VEVENT"].join("\r\n");
const calendar = (...events: string[]): string =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", ...events, "END:VCALENDAR", ""].join("\r\n");
const read = async (...events: string[]) => {
  const found = await readCalendar(calendar(...events), NOW, ZONE);
  if (!found) throw new Error("no calendar");
  return {
    ...found,
    spans: found.times.map(({ startsAt, endsAt }) => `${startsAt.slice(0, 16)} ${endsAt.slice(0, 16)}`),
  };
};

it("reads times in UTC, in a zone, without one, and whole days", async () => {
  const { spans } = await read(
    event("UID:a", "DTSTART:20261201T170000Z", "DTEND:20261201T180000Z"),
    event("UID:b", "DTSTART;TZID=America/New_York:20261202T090000", "DURATION:PT30M"),
    event("UID:c", "DTSTART:20261203T090000", "DTEND:20261203T100000"),
    event("UID:d", "DTSTART;VALUE=DATE:20261204", "DTEND;VALUE=DATE:20261205"),
  );
  expect(spans).toEqual([
    "2026-12-01T17:00 2026-12-01T18:00",
    "2026-12-02T14:00 2026-12-02T14:30",
    "2026-12-03T17:00 2026-12-03T18:00",
    "2026-12-04T08:00 2026-12-05T08:00",
  ]);
});

it("follows what repeats, without what was taken out or changed, over the change of the clocks", async () => {
  const { spans } = await read(
    event("UID:w", "DTSTART;TZID=America/Los_Angeles:20270303T090000", "DURATION:PT1H", "RRULE:FREQ=WEEKLY;COUNT=4", "EXDATE;TZID=America/Los_Angeles:20270310T090000"), // prettier-ignore
    event("UID:w", "RECURRENCE-ID;TZID=America/Los_Angeles:20270317T090000", "DTSTART;TZID=America/Los_Angeles:20270317T130000", "DURATION:PT1H"), // prettier-ignore
  );
  expect(spans).toEqual([
    "2027-03-03T17:00 2027-03-03T18:00",
    "2027-03-17T20:00 2027-03-17T21:00",
    "2027-03-24T16:00 2027-03-24T17:00",
  ]);
});

it("leaves out what is free, called off, over or beyond the year, and what cannot be read, and says how many", async () => {
  const found = await read(
    event("UID:a", "DTSTART:20261201T170000Z", "DTEND:20261201T180000Z", "TRANSP:TRANSPARENT"),
    event("UID:b", "DTSTART:20261201T170000Z", "DTEND:20261201T180000Z", "STATUS:CANCELLED"),
    event("UID:c", "DTSTART:20200101T170000Z", "DTEND:20200101T180000Z"),
    event("UID:d", "DTSTART:20290101T170000Z", "DTEND:20290101T180000Z"),
    event("UID:e", "DTSTART:soon"),
    event("UID:f", "DTSTART:20261201T180000Z", "DTEND:20261201T170000Z"),
    event("UID:g", "DTSTART:20261201T170000Z", "RRULE:FREQ=NEVER"),
  );
  expect([found.times, found.leftOut, found.isCut]).toEqual([[], 7, false]);
  expect(await readCalendar("BEGIN:VCARD\nEND:VCARD", NOW, ZONE)).toBeNull();
});

it("ends with what has no end, and keeps no more than a year holds", async () => {
  const daily = await read(event("UID:d", "DTSTART:20200101T170000Z", "DURATION:PT1H", "RRULE:FREQ=DAILY"));
  expect(daily.times).toHaveLength(365);
  const everySecond = await read(event("UID:s", "DTSTART:19700101T000000Z", "DURATION:PT1S", "RRULE:FREQ=SECONDLY"));
  expect(everySecond.times).toEqual([]);
  const many = Array.from({ length: 20_000 }, (_, index) =>
    event(`UID:${index}`, `DTSTART:2026120${1 + (index % 9)}T${String(10 + (index % 12))}0000Z`, "DURATION:PT10M"),
  );
  const { times, isCut } = await read(...many);
  expect([times.length, isCut]).toEqual([3000, true]);
});
