import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync } from "node:zlib";
import {
  driveMinutes,
  explainedWorkOrder,
  marginsOf,
  offerTimes,
  priceWorkOrder,
  readRoadNetwork,
  roadTravel,
  nothingArranged,
  usualCrewMember,
  type DaysAround,
  type Job,
  type QuoteLine,
  type QuoteSlice,
  type Spot,
  type VisitState,
} from "@mechanon/core";
import { decodeVin, expectedCheckDigit, readVinTable } from "@mechanon/core/vin";
import { ROADS_FILE } from "./roads/roadsFile";
import { VIN_TABLE_FILE } from "./vinTableFile";

interface Figure {
  figure: string;
  unit: string;
  median: number;
  p95?: number;
  runs: number;
}

const BENCHES: Record<string, () => Figure[]> = {
  vin: benchVin,
  price: benchPrice,
  slots: benchSlots,
  travel: benchTravel,
};

/** Size of the VIN data, opening it in a fresh process, and decoding. */
function benchVin(): Figure[] {
  const bytes = readFileSync(VIN_TABLE_FILE);
  const table = readVinTable(bytes);
  const loads = Array.from({ length: 9 }, () =>
    Number(
      execFileSync(process.execPath, ["--import", "tsx", join(__dirname, "benchVinLoad.ts")], { encoding: "utf8" }),
    ),
  );
  const prefixes = [
    "1HGCV1F30KA",
    "1FTEW1EP0KFA",
    "JTDKN3DU0A0",
    "1G1ZD5ST0JF",
    "4S4BRBCC0A3",
    "2T1BURHE0GC",
    "5NPE24AF0FH",
    "1C4RJFAG0FC",
  ];
  const vins = Array.from({ length: 4000 }, (_, index) => {
    const vin = (prefixes[index % prefixes.length] ?? "").padEnd(11, "0") + String(100_000 + index);
    const whole = vin.slice(0, 17);
    return whole.slice(0, 8) + (expectedCheckDigit(whole) ?? "0") + whole.slice(9);
  });
  const context = { table, currentYear: new Date().getFullYear() };
  const decodes = vins.map((vin) => timed(() => decodeVin(vin, context)));
  return [
    { figure: "size", unit: "bytes", median: bytes.length, runs: 1 },
    { figure: "size brotli", unit: "bytes", median: brotliCompressSync(bytes).length, runs: 1 },
    { figure: "load in a fresh process", unit: "ms", ...summary(loads) },
    { figure: "decode", unit: "ms", ...summary(decodes) },
  ];
}

const LONG_QUOTE = { jobs: 10, linesPerJob: 20 };

/** Pricing and explaining a quote of 200 lines of every kind, with discounts on lines, jobs and all. */
function benchPrice(): Figure[] {
  const lineOf = (index: number): QuoteLine => {
    const base = { id: `l${index}`, description: "", quantity: 1.5 };
    switch (index % 5) {
      case 0:
        return { ...base, kind: "labor", hours: 1.25, rateCents: 13_800, wageCents: 3900, paidHours: null };
      case 1:
        return { ...base, kind: "fee", priceCents: 300 + index };
      case 2:
        return { ...base, kind: "sublet", costCents: 4000 + index, percent: 12.5, priceCents: null };
      default:
        return {
          ...{ ...base, kind: "part", costCents: 1000 + index * 37, markup: "m", priceCents: null },
          ...{ partNumber: null, brand: null, ...(index % 7 === 0 ? { off: { percent: 7.5 } } : {}) },
        };
    }
  };
  const jobs = Array.from({ length: LONG_QUOTE.jobs }, (_, job): Job => ({
    ...{ id: `j${job}`, title: "", libraryJobId: null, concernId: null, pointIds: [], addedAt: "" },
    ...{ answer: null, finishedAt: null, ...(job % 3 === 0 ? { off: { amountCents: 1000 } } : {}) },
    lines: Array.from({ length: LONG_QUOTE.linesPerJob }, (_each, line) => lineOf(job * LONG_QUOTE.linesPerJob + line)),
  }));
  const rules = {
    ...{ laborRateCents: 0, wageCents: null },
    pricing: {
      markup: { m: { bands: [{ upTo: 2000, times: 2.4 }, { times: 1.6 }], neverCheaper: true } },
      taxes: [{ id: "t", percent: 8.125, on: ["part" as const, "fee" as const] }],
      supplies: { percentOfLabor: 4, cap: null },
    },
  };
  const discounts = [{ id: "d", title: "", on: "all" as const, off: { percent: 5 }, offerId: null }];
  // A list of its own each time: what was worked out once is not worked out again.
  const quote = (): QuoteSlice => ({ rules, jobs: [...jobs], taxExempt: false, discounts });
  const median = (work: (one: QuoteSlice) => unknown): ReturnType<typeof summary> =>
    summary(
      Array.from({ length: 300 }, () => {
        const one = quote();
        return timed(() => work(one));
      }),
    );
  return [
    { figure: "price 200 lines", unit: "ms", ...median((one) => priceWorkOrder(one, "all")) },
    { figure: "explain 200 lines", unit: "ms", ...median(explainedWorkOrder) },
    { figure: "margins of 200 lines", unit: "ms", ...median(marginsOf) },
  ];
}

/** Times for a visit among five vans of two weeks with eight visits a day. */
function benchSlots(): Figure[] {
  const [vans, days, perDay] = [5, 14, 8];
  const now = "2026-11-23T13:00:00.000Z";
  const spot = (index: number): Spot => ({ latitude: 48 + (index % 37) / 400, longitude: -122.6 + (index % 41) / 400 });
  const visits = Array.from({ length: vans * days * perDay }, (_, index): VisitState => {
    const [van, day, place] = [index % vans, Math.floor(index / vans / perDay), Math.floor(index / vans) % perDay];
    const startsAt = new Date(Date.parse(now) + (day * 24 + 2 + place * 1.25) * 3_600_000).toISOString();
    return {
      version: 4,
      isLocked: false,
      arranged: nothingArranged(),
      readyBy: null,
      anotherTripWhy: "",
      series: null,
      calledOff: null,
      id: `v${index}`,
      workOrderIds: ["w"],
      mechanicId: `m${van}`,
      place: { street: "", town: "", region: "", postcode: "", ...spot(index) },
      startsAt,
      endsAt: new Date(Date.parse(startsAt) + 40 * 60_000).toISOString(),
      overlapAllowed: false,
      note: "",
      bookedAt: now,
      wantsEarlier: false,
      driveMinutes: null,
      setOffAt: null,
      arrivedAt: null,
      leftAt: null,
      cancelledAt: null,
    };
  });
  const around: DaysAround = {
    now,
    zone: "America/Los_Angeles",
    days,
    crew: Array.from({ length: vans }, (_, van) => usualCrewMember(`m${van}`)),
    home: spot(0),
    visits,
    busy: [],
    travel: (from, to) => driveMinutes(from, to) ?? 0,
  };
  const wanted = {
    place: spot(9),
    minutes: 30,
    skills: [],
    carries: [],
    notBefore: null,
    between: null,
    isUrgent: false,
    mechanicId: null,
    movesVisitId: null,
  };
  const work = (): unknown => offerTimes(wanted, around);
  return [{ figure: "560 visits", unit: "ms", ...summary(Array.from({ length: 100 }, () => timed(work))) }];
}

/** Driving between thirty places of the region, its roads read before. */
function benchTravel(): Figure[] {
  const network = readRoadNetwork(JSON.parse(readFileSync(ROADS_FILE, "utf8")) as unknown);
  const places = Array.from({ length: 30 }, (_, index): Spot => ({
    latitude: 48 + ((index * 37) % 60) / 1000,
    longitude: -122.65 + ((index * 53) % 75) / 1000,
  }));
  const work = (): unknown => {
    const travel = roadTravel(network, 600, () => 0);
    return places.map((from) => places.map((to) => travel(from, to)));
  };
  const figure = `30 places, ${network.roads.length} roads`;
  return [{ figure, unit: "ms", ...summary(Array.from({ length: 50 }, () => timed(work))) }];
}

function timed(work: () => unknown): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

function summary(values: number[]): { median: number; p95: number; runs: number } {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number): number =>
    Math.round((sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0) * 10_000) / 10_000;
  return { median: at(0.5), p95: at(0.95), runs: values.length };
}

const [name = ""] = process.argv.slice(2);
const bench = Object.hasOwn(BENCHES, name) ? BENCHES[name] : undefined;
if (bench) for (const figure of bench()) process.stdout.write(`${JSON.stringify({ bench: name, ...figure })}\n`);
else {
  process.stderr.write(`"${name}" is none of ${Object.keys(BENCHES).join(", ")}\n`);
  process.exitCode = 2;
}
