import fc from "fast-check";
import { CalcError } from "../calc/error";
import { findSlots, type PlannedDay, type WantedVisit } from "./slots";
import { calcSlots } from "./slotsCalc";

const EXAMPLE = {
  visit: { minutes: 60, from: 540, to: 1020 },
  step: 15,
  days: [
    {
      id: "tue",
      leaveAt: 480,
      backBy: 1020,
      stops: [
        { id: "ana", from: 540, to: 600, service: 75 },
        { id: "cho", from: 660, to: 780, service: 60 },
      ],
      travel: [
        [0, 20, 25, 0, 10],
        [20, 0, 18, 20, 12],
        [25, 18, 0, 25, 15],
        [0, 20, 25, 0, 10],
        [10, 12, 15, 10, 0],
      ],
    },
  ],
};

it("finds the places of the published example, least added first", () => {
  expect(calcSlots(EXAMPLE)).toEqual({
    windows: [
      { day: "tue", after: "cho", earliest: 735, latest: 945, added: 0 },
      { day: "tue", after: "ana", earliest: 630, latest: 705, added: 9 },
    ],
  });
});

it("has no last start where nothing limits it, and fits into an empty day", () => {
  const visit = { minutes: 60, from: null, to: null };
  const day = { id: "d", leaveAt: 7, backBy: null, stops: [], travel: [[0, 0, 5], [0, 0, 0], [5, 9, 0]] }; // prettier-ignore
  expect(findSlots(visit, 10, [day])).toEqual([{ day: "d", after: null, earliest: 20, latest: null, added: 14 }]);
});

it("makes a stop that is late already no later, though one that is not may wait", () => {
  const stops = [{ id: "late", from: null, to: 10, service: 10 }];
  const travel = [[0, 30, 0, 5], [30, 0, 0, 5], [0, 0, 0, 0], [5, 25, 5, 0]]; // prettier-ignore
  const late = (to: number): PlannedDay => ({
    id: "d",
    leaveAt: 0,
    backBy: null,
    stops: [{ ...stops[0]!, to }],
    travel,
  });
  const before = (day: PlannedDay, minutes: number): boolean =>
    findSlots({ minutes, from: null, to: null }, 1, [day]).some(({ after }) => after === null);
  expect([before(late(10), 0), before(late(10), 1), before(late(31), 1), before(late(31), 2)]).toEqual([true, false, true, false]); // prettier-ignore
});

it.each<[string, unknown, [string, string]]>([
  ["a step of 0", { ...EXAMPLE, step: 0 }, ["out-of-range", "step"]],
  ["a travel of another size", { ...EXAMPLE, days: [{ ...EXAMPLE.days[0], travel: [[0]] }] }, ["not-allowed", "days[0].travel"]],
  ["half a minute", { ...EXAMPLE, visit: { ...EXAMPLE.visit, minutes: 0.5 } }, ["not-whole", "visit.minutes"]],
  ["a day twice", { ...EXAMPLE, days: [EXAMPLE.days[0], EXAMPLE.days[0]] }, ["duplicate-id", "days[1].id"]],
  ["what it does not know", { ...EXAMPLE, more: 1 }, ["unknown-key", "more"]],
])("says of %s what does not fit", (_name, input, expected) => {
  try {
    calcSlots(input);
    throw new Error("fits");
  } catch (error) {
    expect(error instanceof CalcError && [error.code, error.path]).toEqual(expected);
  }
}); // prettier-ignore

/** When each stop and the coming home begin, with the visit put in after so many stops at a start. */
function driven(
  { stops, travel, leaveAt }: PlannedDay,
  put: { after: number; start: number; minutes: number } | null,
): number[] {
  const [end, place] = [stops.length + 1, stops.length + 2];
  const begun: number[] = [];
  let [at, time] = [0, leaveAt];
  for (let node = 1; node <= end; node++) {
    if (put?.after === node - 1) [at, time] = [place, put.start + put.minutes];
    const arrive = time + (travel[at]?.[node] ?? 0);
    const stop = stops[node - 1];
    const start = Math.max(arrive, stop?.from ?? arrive);
    begun.push(start);
    [at, time] = [node, start + (stop?.service ?? 0)];
  }
  return begun;
}

it("finds what trying every minute of the grid finds", () => {
  const minute = fc.integer({ min: 0, max: 120 });
  const limit = fc.option(fc.integer({ min: 0, max: 300 }));
  const day = fc.integer({ min: 0, max: 3 }).chain((count) =>
    fc.record({
      id: fc.constant("d"),
      leaveAt: minute,
      backBy: limit,
      stops: fc.array(fc.record({ id: fc.constant("s"), from: limit, to: limit, service: fc.nat(40) }), {
        minLength: count,
        maxLength: count,
      }),
      travel: fc.array(fc.array(fc.nat(30), { minLength: count + 3, maxLength: count + 3 }), {
        minLength: count + 3,
        maxLength: count + 3,
      }),
    }),
  );
  const visit: fc.Arbitrary<WantedVisit> = fc.record({ minutes: fc.nat(60), from: limit, to: limit });
  fc.assert(
    fc.property(visit, fc.integer({ min: 1, max: 20 }), day, (wanted, step, planned) => {
      const found = findSlots(wanted, step, [planned]);
      const before = driven(planned, null);
      const bys = [...planned.stops.map(({ to }) => to), planned.backBy];
      const after = (index: number): string | null => (index === 0 ? null : "s");
      const tried = Array.from({ length: planned.stops.length + 1 }, (_, index) => {
        const left =
          index === 0 ? planned.leaveAt : (before[index - 1] ?? 0) + (planned.stops[index - 1]?.service ?? 0);
        const arrive = left + (planned.travel[index]?.[planned.stops.length + 2] ?? 0);
        const fits = (start: number): boolean =>
          start >= arrive &&
          (wanted.from === null || start >= wanted.from) &&
          (wanted.to === null || start <= wanted.to) &&
          driven(planned, { after: index, start, minutes: wanted.minutes }).every((begun, node) => {
            const by = bys[node] ?? null;
            return node < index || by === null || begun <= Math.max(by, before[node] ?? by);
          });
        const starts = Array.from({ length: 1000 }, (_unused, tick) => tick * step).filter(fits);
        return { index, starts };
      }).filter(({ starts }) => starts.length > 0);
      expect(found.length).toBe(tried.length);
      expect(found.map(({ earliest }) => earliest).sort((a, b) => a - b)).toEqual(
        tried.map(({ starts }) => starts[0] ?? -1).sort((a, b) => a - b),
      );
      for (const window of found) {
        if (window.latest === null) continue;
        const same = tried.find(({ index, starts }) => after(index) === window.after && starts[0] === window.earliest && starts.includes(window.latest ?? -1)); // prettier-ignore
        expect(same).toBeDefined();
      }
    }),
    { numRuns: 300 },
  );
});
