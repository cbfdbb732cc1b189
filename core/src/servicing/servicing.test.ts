import { run, start, yes } from "../testing/sampleWorkOrder";
import { odometerTrend } from "../vehicles/odometer/odometerTrend";
import { dueServices, intervalsFor, type DueService } from "./dueServices";
import { lastService, otherPartLastTime } from "./lastService";
import { servicesDone } from "./servicesDone";
import type { Job } from "../quoting/slice";
import type { WorkOrderState } from "../workOrders/state";
import type { QuoteLine } from "../quoting/quoteLine";

const NOW = "2026-11-23T18:00:00.000Z";
const oil = { id: "oil", title: "Oil and filter", miles: 5000, months: 6 };
const fluid = { id: "fluid", title: "Brake fluid", miles: null, months: 36 };
const at = (day: string): string => `${day}T17:00:00.000Z`;
/** Driven 12,000 miles a year. */
const TREND = odometerTrend([
  { miles: 50_000, at: at("2025-10-01") },
  { miles: 62_000, at: at("2026-10-01") },
]);
const due = (
  intervals: Parameters<typeof intervalsFor>,
  done: { intervalId: string; at: string; miles: number | null }[],
): DueService[] => dueServices(intervalsFor(...intervals), done, TREND, NOW, "UTC");

describe("how often", () => {
  it("goes by the customer over the owner over the sheet; one left empty leaves it to the word before", () => {
    const sheet = [oil, fluid];
    const owner = { ...oil, miles: 7500 };
    expect(intervalsFor(sheet, [owner], []).map(({ id, miles, from }) => [id, miles, from])).toEqual([
      ["oil", 7500, "owner"],
      ["fluid", null, "sheet"],
    ]);
    expect(intervalsFor(sheet, [owner], [{ ...oil, miles: 10_000 }])[0]).toMatchObject({
      miles: 10_000,
      from: "customer",
    });
    expect(intervalsFor(sheet, [{ ...oil, miles: null, months: null }], [])[0]).toMatchObject({ from: "sheet" });
    expect(intervalsFor([], [{ ...oil, miles: null, months: null }], [])).toEqual([]);
  });
});

describe("what is due", () => {
  it("comes by miles where they come first", () => {
    const [first] = due([[oil], [], []], [{ intervalId: "oil", at: at("2026-08-01"), miles: 60_000 }]);
    // 3,000 miles after the last reading, at about 33 a day.
    expect(first).toMatchObject({ dueAtMiles: 65_000, by: "miles", dueOn: "2027-01-01", standing: "soon" });
  });
  it("comes by months where they come first", () => {
    const [first] = due(
      [[{ ...oil, months: 3 }], [], []],
      [{ intervalId: "oil", at: at("2026-10-20"), miles: 62_500 }],
    );
    expect(first).toMatchObject({ by: "months", dueOn: "2027-01-20", standing: "later" });
  });
  it("is overdue by date, or by miles that are probably reached already", () => {
    expect(due([[fluid], [], []], [{ intervalId: "fluid", at: at("2023-01-01"), miles: null }])[0]?.standing).toBe(
      "overdue",
    );
    expect(
      due([[{ ...oil, months: null }], [], []], [{ intervalId: "oil", at: at("2026-05-01"), miles: 57_000 }])[0],
    ).toMatchObject({ dueAtMiles: 62_000, standing: "overdue" });
  });
  it("takes the odometer of the time where none was written down, and the last time of several", () => {
    const done = [
      { intervalId: "oil", at: at("2024-01-01"), miles: 30_000 },
      { intervalId: "oil", at: at("2026-10-02"), miles: null },
    ];
    expect(due([[oil], [], []], done)[0]?.dueAtMiles).toBe(67_000);
  });
  it("is not known when it was never done here, and the urgent ones come first", () => {
    const list = due([[fluid, oil], [], []], [{ intervalId: "oil", at: at("2025-01-01"), miles: 50_000 }]);
    expect(list.map(({ interval, standing }) => [interval.id, standing])).toEqual([
      ["oil", "overdue"],
      ["fluid", "unknown"],
    ]);
  });
});

const part = (description: string, partNumber: string): QuoteLine => ({
  id: partNumber,
  kind: "part",
  description,
  quantity: 1,
  costCents: 100,
  markup: null,
  priceCents: 200,
  partNumber,
  brand: "Kelpline",
});
const worked = (finishedAt: string | null, ...lines: QuoteLine[]): WorkOrderState => ({
  ...start(),
  jobs: [
    {
      id: "j",
      title: "Oil",
      libraryJobId: "oil-service",
      concernId: null,
      pointIds: [],
      lines,
      addedAt: NOW,
      answer: null,
      finishedAt,
    } satisfies Job,
  ],
});

describe("the last service", () => {
  it("has oil, filter and pressures of the last time each was done; nothing of unfinished work", () => {
    const old = worked(at("2025-05-01"), part("Oil 5W-30, quart", "OLD"), part("Oil filter", "F1"));
    const newer = worked(at("2026-05-01"), part("Engine oil 0W-20", "NEW"));
    const open = worked(null, part("Oil 10W-40", "OPEN"));
    const pressed = run(start(), { type: "recordPressures", frontPsi: 35, rearPsi: 33 });
    expect(lastService([open, old, newer, pressed])).toMatchObject({
      oil: { partNumber: "NEW" },
      oilFilter: { partNumber: "F1" },
      pressures: { frontPsi: 35, rearPsi: 33 },
    });
  });
  it("has the newest part of each name, and says where a line has another; what a customer brought is theirs", () => {
    const old = worked(at("2025-05-01"), part("Oil filter", "F1"), part("Wiper blade", "W1"));
    const belt = part("Belt", "B");
    const theirs = belt.kind === "part" ? { ...belt, isCustomers: true } : belt;
    const newer = worked(at("2026-05-01"), part("Oil filter, long-life", "F2"), theirs);
    const { parts } = lastService([newer, old]);
    expect(parts.map(({ partNumber }) => partNumber).sort()).toEqual(["F2", "W1"]);
    expect(otherPartLastTime({ description: "Oil filter", partNumber: "F9" }, parts)).toMatchObject({
      partNumber: "F2",
    });
    expect(otherPartLastTime({ description: "Oil filter", partNumber: "F2" }, parts)).toBeNull();
    expect(otherPartLastTime({ description: "Belt", partNumber: null }, parts)).toBeNull();
  });
  it.each(["Gear oil 75W-90", "Transmission oil cooler", "Oil pan gasket", "Oil pressure sender", "Used oil"])(
    "does not take %s for engine oil",
    (description) => {
      expect(lastService([worked(at("2026-05-01"), part(description, "X"))]).oil).toBeNull();
    },
  );
});

it("knows a service by the library jobs that do it", () => {
  const owners = [{ ...oil, jobIds: ["oil-service"] }];
  const state = { ...worked(at("2026-05-01")), odometerMiles: { value: 61_000, at: at("2026-05-01") } };
  expect(servicesDone([state, worked(null), yes(start())], owners)).toEqual([
    { intervalId: "oil", at: at("2026-05-01"), miles: 61_000 },
  ]);
});
