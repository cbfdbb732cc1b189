import { NO_FACTS, type CarFacts } from "../laborGuide/carFacts";
import { positionsOfKeys } from "../laborGuide/resolveOperation";
import { readGuide } from "../laborGuide/readGuide";
import { run as apply, start } from "../testing/sampleWorkOrder";
import type { WorkOrderCommand } from "../workOrders/commands";
import type { WorkOrderState } from "../workOrders/state";
import { fitDiffers } from "./fitDiffers";
import { fitJob } from "./fitJob";
import { keptFromQuote } from "./keptFromQuote";
import { libraryJob } from "./libraryJob";
import { partsForLabor } from "./partsForLabor";
import { paperWords } from "./paperWords";
import { priceWorkOrder } from "./priceWorkOrder";
import { savedHours } from "./shareSteps";

const CLASSES = ["small car", "car", "large car", "van", "pickup", "heavy"];
const step = (id: string, per: string, hours: string) => ({
  id,
  title: id,
  per,
  ...Object.fromEntries(CLASSES.map((name) => [name, hours])),
});
const operation = (id: string, per: string, steps: string, only = "") => ({
  id,
  title: id,
  area: "A",
  part: id,
  per,
  steps,
  only,
});
// The example of calculations.md: a strut and a tie rod end share the wheel.
const GUIDE = readGuide(
  { source: "Made up", simulated: true },
  [
    step("wheel", "position", "0.2"),
    step("caliper", "position", "0.4"),
    step("strut", "position", "0.9"),
    step("tieRod", "position", "0.5"),
    step("oil", "once", "0.5"),
    step("plug", "count", "0.1"),
  ],
  [
    operation("strut", "corner", "wheel caliper strut"),
    operation("tieRod", "corner", "wheel tieRod"),
    operation("oil", "job", "oil", "power:combustion"),
  ],
);
const labor = { kind: "labor", rateCents: 10_000, wageCents: 3000, paidHours: null } as const;
const part = { kind: "part", markup: "standard", priceCents: null, partNumber: null, brand: null } as const;
const about = { area: "A", curesPoints: [], answersConcerns: [] };
const STRUT = libraryJob.parse({
  ...about,
  id: "strut",
  title: "Strut",
  per: "corner",
  lines: [
    { ...labor, id: "s1", description: "Replace strut", hours: 1 },
    { ...part, id: "s2", description: "Strut", quantity: 1, costCents: 9000 },
  ],
  fits: [
    { lineId: "s1", operations: ["strut"] },
    { lineId: "s2", count: { by: "positions" } },
  ],
});
const TIE_ROD = libraryJob.parse({
  ...about,
  id: "tie-rod",
  title: "Tie rod end",
  per: "corner",
  lines: [{ ...labor, id: "t1", description: "Replace tie rod end", hours: 1 }],
  fits: [{ lineId: "t1", operations: ["tieRod"] }],
});
const OIL = libraryJob.parse({
  ...about,
  id: "oil",
  title: "Oil and filter",
  lines: [
    { ...labor, id: "o1", description: "Change oil", hours: 0.4 },
    { ...part, id: "o2", description: "Oil, quart", quantity: 5, costCents: 400 },
    { ...part, id: "o3", description: "Filter", quantity: 1, costCents: 600 },
  ],
  fits: [
    { lineId: "o1", operations: ["oil"] },
    {
      lineId: "o2",
      count: { by: "spec", key: "oilCapacityQuarts", unit: 1, whole: false },
      spec: "oilGrade",
      grades: [{ value: "0W-20", costCents: 500, priceCents: null, partNumber: "N-020", brand: "Kelpline" }],
    },
  ],
  variants: [
    {
      id: "long",
      title: "Long-life",
      parts: [{ lineId: "o3", description: "Filter, long-life", costCents: 1000, priceCents: null, partNumber: "L", brand: null }],
    },
  ],
}); // prettier-ignore
const LIBRARY = [STRUT, TIE_ROD, OIL];
const car = (over: Partial<CarFacts> = {}): CarFacts => ({
  ...NO_FACTS,
  vehicleClass: { value: "car", from: "specSheet" },
  power: { value: "gasoline", from: "car" },
  ...over,
});
const specs = (oilCapacityQuarts: string, oilGrade: string): CarFacts =>
  car({
    specs: {
      oilCapacityQuarts: { value: oilCapacityQuarts, from: "specSheet" },
      oilGrade: { value: oilGrade, from: "mechanic" },
    },
  });
const uuid = (last: string): string => `0190f9c8-aaaa-7000-8000-${last.padStart(12, "0")}`;
const run = (state: WorkOrderState, command: WorkOrderCommand): WorkOrderState =>
  apply(state, command, { library: LIBRARY, guide: GUIDE });
const add = (
  job: string,
  id: string,
  fit: { facts?: CarFacts; positions?: ("leftFront" | "rightFront")[]; variantId?: string },
): WorkOrderCommand => ({
  type: "addJob",
  jobId: uuid(id),
  libraryJobId: job,
  lineIds: (LIBRARY.find((each) => each.id === job)?.lines ?? []).map((_, index) => uuid(`${id}${index}`)),
  concernId: null,
  pointIds: [],
  fit: { facts: fit.facts ?? car(), positions: fit.positions ?? [], variantId: fit.variantId ?? null },
});
const hoursOf = ({ jobs }: WorkOrderState): number[] =>
  jobs.flatMap(({ lines }) => lines.flatMap((line) => (line.kind === "labor" ? [line.hours] : [])));

it("fills in amount, grade and its part from the car, each with where it is from", () => {
  const { lines, unknown } = fitJob(OIL, { facts: specs("5.4", "0W-20"), positions: [], variantId: null }, GUIDE);
  expect(lines).toMatchObject([
    { hours: 0.5, sources: [{ of: "hours", from: "guide" }] },
    {
      description: "Oil, quart, 0W-20",
      quantity: 5.4,
      costCents: 500,
      partNumber: "N-020",
      sources: [
        { of: "quantity", from: "specSheet" },
        { of: "grade", from: "mechanic" },
      ],
    },
    { description: "Filter", quantity: 1 },
  ]);
  expect(unknown).toEqual([]);
});
it("stays as the library has it where the car is not known, and says what is missing", () => {
  const { lines, unknown } = fitJob(OIL, { facts: car(), positions: [], variantId: null }, GUIDE);
  expect(lines[1]).toMatchObject({ description: "Oil, quart", quantity: 5, costCents: 400 });
  expect(unknown).toEqual(["oilCapacityQuarts", "oilGrade"]);
});
it.each(["1e308", "-4", "0", "NaN", "a lot"])("takes no amount from a spec that says %s", (said) => {
  const { lines, unknown } = fitJob(OIL, { facts: specs(said, "0W-20"), positions: [], variantId: null }, GUIDE);
  expect(lines[1]).toMatchObject({ quantity: 5 });
  expect(unknown).toEqual(["oilCapacityQuarts"]);
});
it("gives from-to for operations together, a step they share counted once in both", () => {
  const both = libraryJob.parse({ ...STRUT, fits: [{ lineId: "s1", operations: ["strut", "tieRod"] }] });
  const rusty = { ...GUIDE, steps: GUIDE.steps.map((step) => (step.id === "strut" ? { ...step, more: [{ when: { fact: "drive" as const, is: "all" as const }, hours: 0.3 }] } : step)) }; // prettier-ignore
  const { lines } = fitJob(both, { facts: car(), positions: ["leftFront"], variantId: null }, rusty);
  expect(lines[0]).toMatchObject({ hours: 2.3, hoursFrom: 2 });
});
it("says where there is nothing to do, and is refused there", () => {
  const electric = car({ power: { value: "electric", from: "car" } });
  expect(fitJob(OIL, { facts: electric, positions: [], variantId: null }, GUIDE).doesNotApply).toEqual({
    fact: "power",
    is: "combustion",
  });
  expect(() => run(start(), add("oil", "1", { facts: electric }))).toThrow("job/does-not-apply");
});
it("goes on a quote for its positions, one part each", () => {
  const state = run(start(), add("strut", "1", { positions: ["leftFront", "rightFront"] }));
  expect(state.jobs[0]).toMatchObject({
    title: "Strut, both fronts",
    lines: [{ hours: 3 }, { description: "Strut", quantity: 2 }],
  });
});

describe("jobs done together", () => {
  const both = (): WorkOrderState =>
    run(
      run(start(), add("strut", "1", { positions: ["leftFront"] })),
      add("tie-rod", "2", { positions: ["leftFront"] }),
    );
  it("pay a shared step once, and show what was saved", () => {
    expect(hoursOf(both())).toEqual([1.5, 0.5]);
    const line = both().jobs[1]?.lines[0];
    expect(line?.kind === "labor" && savedHours(line)).toBe(0.2);
  });
  it("share nothing at another wheel", () => {
    const state = run(run(start(), add("strut", "1", { positions: ["leftFront"] })), add("tie-rod", "2", { positions: ["rightFront"] })); // prettier-ignore
    expect(hoursOf(state)).toEqual([1.5, 0.7]);
  });
  it("pay it where it is left when the other goes", () => {
    expect(hoursOf(run(both(), { type: "removeJob", jobId: uuid("1") }))).toEqual([0.7]);
  });
  it("leave what was answered, and what was typed, as it is", () => {
    const before = run(start(), add("tie-rod", "2", { positions: ["leftFront"] }));
    const answer = { value: "yes" as const, approvalId: "a", totalCents: 7000 };
    const agreed = { ...before, jobs: before.jobs.map((job) => ({ ...job, answer })) };
    const after = run(agreed, add("strut", "1", { positions: ["leftFront"] }));
    expect(hoursOf(after)).toEqual([0.7, 1.3]);
    const declined = {
      ...before,
      jobs: before.jobs.map((job) => ({ ...job, answer: { ...answer, value: "no" as const } })),
    };
    expect(hoursOf(run(declined, add("strut", "1", { positions: ["leftFront"] })))).toEqual([0.7, 1.5]);
    const typed = run(both(), { type: "changeLine", lineId: uuid("20"), hours: 0.6, quantity: null, priceCents: null });
    expect(hoursOf(run(typed, { type: "removeJob", jobId: uuid("1") }))).toEqual([0.6]);
  });
});

describe("labor straight from the guide", () => {
  const operation = (
    job: string,
    line: string,
    positions: ("leftFront" | "rightFront")[] = ["leftFront"],
  ): WorkOrderCommand => ({
    type: "addOperation",
    jobId: uuid(job),
    lineId: uuid(line),
    operationId: "strut",
    positions,
    facts: car(),
    concernId: null,
  });
  it("is a job of its own, or a line of one, and shares steps with all others", () => {
    let state = run(start(), operation("1", "10"));
    expect(state.jobs[0]).toMatchObject({ title: "strut, left front", lines: [{ hours: 1.5, rateCents: 10_000 }] });
    expect(state.jobs[0]?.lines[0]?.byHand).toBeUndefined();
    state = run(state, add("tie-rod", "2", { positions: ["leftFront"] }));
    state = run(state, operation("2", "30", ["rightFront"]));
    expect(hoursOf(state)).toEqual([1.5, 0.5, 1.5]);
  });
  it("says on the customer's paper what is included, where the mechanic wants that", () => {
    const state = run(start(), operation("1", "10"));
    const onPaper = (after: WorkOrderState): string[] =>
      after.jobs.flatMap(({ lines }) => lines.map((line) => paperWords(line)));
    expect(onPaper(state)).toEqual(["strut, left front"]);
    const shown = run(state, { type: "showIncluded", lineId: uuid("10"), isShown: true });
    expect(onPaper(shown)).toEqual(["strut, left front (included: wheel; caliper; strut)"]);
    expect(run(shown, { type: "showIncluded", lineId: uuid("10"), isShown: false }).jobs).toEqual(state.jobs);
    const own = run(state, add("oil", "2", { facts: car() }));
    const part = own.jobs[1]?.lines.find(({ kind }) => kind === "part")?.id ?? "";
    expect(() => run(own, { type: "showIncluded", lineId: part, isShown: true })).toThrow("line/figure-does-not-fit");
  });
  it("is refused where the guide has no hours", () => {
    expect(() => run(start(), { ...operation("1", "10"), operationId: "gone" } as WorkOrderCommand)).toThrow(
      "operation/no-hours",
    );
    expect(() => run(start(), operation("1", "10", []))).toThrow("operation/no-hours");
    const electric = car({ power: { value: "electric", from: "car" } });
    expect(() =>
      run(start(), { ...operation("1", "10"), operationId: "oil", facts: electric } as WorkOrderCommand),
    ).toThrow("job/does-not-apply");
  });
});

describe("from labor to its parts", () => {
  const fit = { facts: specs("5.4", "0W-20"), positions: ["leftFront", "rightFront"] as const, variantId: null };
  const of = (state: WorkOrderState, operations: string[], jobIndex = 0) =>
    partsForLabor({ operations }, state.jobs[jobIndex] ?? { lines: [] }, LIBRARY, fit, GUIDE).map(
      ({ libraryJobId, line }) => [libraryJobId, line.id, line.quantity],
    );
  it("are the parts the library needs with the same operation, fitted to the car, without what is there", () => {
    expect(of(start(), ["strut"])).toEqual([["strut", "s2", 2]]);
    expect(of(start(), ["oil"])).toEqual([
      ["oil", "o2", 5.4],
      ["oil", "o3", 1],
    ]);
    expect(of(run(start(), add("oil", "1", {})), ["oil"])).toEqual([]);
    expect([of(start(), ["tieRod"]), of(start(), [])]).toEqual([[], []]);
    expect(positionsOfKeys(["wheel@leftFront", "strut@leftFront", "oil", "pads@front"])).toEqual(["leftFront"]);
  });
  it("go onto the job as they are on this car, without any right", () => {
    const state = run(start(), add("tie-rod", "1", { positions: ["leftFront"] }));
    const command = {
      type: "addPart" as const,
      jobId: uuid("1"),
      lineId: uuid("77"),
      libraryJobId: "oil",
      libraryLineId: "o2",
      fit: { ...fit, positions: [] },
    };
    const actor = { id: "a", name: "A", rights: [] };
    const after = apply(state, command, { library: LIBRARY, guide: GUIDE, actor });
    expect(after.jobs[0]?.lines.at(-1)).toMatchObject({ id: uuid("77"), quantity: 5.4, partNumber: "N-020" });
    expect(() => run(state, { ...command, libraryLineId: "o1" })).toThrow("job/not-in-library");
    expect(() => run(after, command)).toThrow("line/exists");
  });
});

it("another part is taken at the library's price, or the one it has, and stays when the job is fitted anew", () => {
  const state = run(start(), add("oil", "1", {}));
  const used = { description: "Filter, long", partNumber: "LAST-1", brand: "Kelpline" };
  const taken = run(state, { type: "usePart", lineId: uuid("12"), ...used });
  expect(taken.jobs[0]?.lines[2]).toMatchObject({ ...used, costCents: 600, partByHand: true });
  const fit = { facts: specs("5.4", "0W-20"), positions: [], variantId: "long" };
  const refitted = run(taken, { type: "refitJob", jobId: uuid("1"), fit });
  expect(refitted.jobs[0]?.lines[2]).toMatchObject({ ...used, costCents: 600 });
  const known = { type: "usePart", lineId: uuid("12"), description: "F", partNumber: "L", brand: null } as const;
  expect(run(state, known).jobs[0]?.lines[2]).toMatchObject({ partNumber: "L", costCents: 1000 });
  const set = run(state, { type: "changeLine", lineId: uuid("12"), hours: null, quantity: null, priceCents: 777 });
  expect(run(set, known).jobs[0]?.lines[2]).toMatchObject({ partNumber: "L", costCents: 600, priceCents: 777 });
  expect(() => run(state, { type: "usePart", lineId: uuid("10"), ...used })).toThrow("line/figure-does-not-fit");
  const kept = keptFromQuote(taken.jobs[0] ?? taken.jobs[9]!, { id: "k", title: "K", area: "A" }, OIL, GUIDE);
  expect(kept.lines[2]).not.toHaveProperty("partByHand");
});

it("says the torques of the car on the labor, as far as they are known; kept, the next car's are looked up", () => {
  const template = libraryJob.parse({
    ...about,
    id: "wheels",
    title: "Wheels",
    lines: [{ ...labor, id: "w1", description: "Wheels on", hours: 0.4 }],
    fits: [{ lineId: "w1", torques: ["wheelTorqueLbFt", "caliperTorqueLbFt"] }],
  });
  const facts: CarFacts = { ...NO_FACTS, specs: { wheelTorqueLbFt: { value: "89", from: "specSheet" } } };
  const [line] = fitJob(template, { facts, positions: [], variantId: null }, GUIDE).lines;
  const torques = [{ key: "wheelTorqueLbFt", value: "89", from: "specSheet" }];
  expect(line).toMatchObject({ hours: 0.4, torques });
  expect(fitJob(template, { facts: NO_FACTS, positions: [], variantId: null }, GUIDE).lines[0]).toEqual(
    template.lines[0],
  );
  const state = apply(
    start(),
    {
      type: "addJob",
      jobId: uuid("9"),
      libraryJobId: "wheels",
      lineIds: [uuid("90")],
      concernId: null,
      pointIds: [],
      fit: { facts, positions: [], variantId: null },
    },
    { library: [template], guide: GUIDE },
  );
  const [job] = state.jobs;
  const kept = job && keptFromQuote(job, { id: "k", title: "K", area: "A" }, template, GUIDE);
  expect(kept?.fits).toMatchObject([{ torques: ["wheelTorqueLbFt", "caliperTorqueLbFt"] }]);
  expect(kept?.lines[0]).not.toHaveProperty("torques");
});

describe("fitted anew", () => {
  it("takes another quality, and keeps what was set", () => {
    let state = run(start(), add("oil", "1", { facts: car() }));
    state = run(state, { type: "changeLine", lineId: uuid("11"), hours: null, quantity: 6, priceCents: null });
    state = run(state, { type: "changeLine", lineId: uuid("12"), hours: null, quantity: null, priceCents: 2500 });
    const cheap = priceWorkOrder(state, "all").total;
    state = run(state, {
      type: "refitJob",
      jobId: uuid("1"),
      fit: { facts: specs("5.4", "0W-20"), positions: [], variantId: "long" },
    });
    expect(state.jobs[0]?.lines).toMatchObject([
      { id: uuid("10"), hours: 0.5 },
      { description: "Oil, quart, 0W-20", quantity: 6, byHand: true },
      { description: "Filter, long-life", costCents: 1000, priceCents: 2500 },
    ]);
    expect(priceWorkOrder(state, "all").total).toBeGreaterThan(cheap);
  });
  it("differs only once the library or what is known of the car does", () => {
    const state = run(start(), add("oil", "1", { facts: car(), variantId: "long" }));
    const differs = (facts: CarFacts, library = LIBRARY): boolean =>
      fitDiffers(state, uuid("1"), { facts, positions: [], variantId: "long" }, library, GUIDE);
    expect(differs(car())).toBe(false);
    expect(differs(specs("5.4", "0W-20"))).toBe(true);
    const dearer = LIBRARY.map((job) => ({
      ...job,
      lines: job.lines.map((line) => (line.kind === "part" ? { ...line, costCents: 450 } : line)),
    }));
    expect(differs(car(), dearer)).toBe(true);
  });
  it("leaves added lines, and ones that were taken off", () => {
    let state = run(start(), add("oil", "1", { facts: car() }));
    state = run(state, { type: "removeLine", lineId: uuid("12") });
    const fee = { id: uuid("99"), kind: "fee" as const, description: "Disposal", quantity: 1, priceCents: 100 };
    state = run(state, { type: "addLine", jobId: uuid("1"), line: fee });
    state = run(state, { type: "refitJob", jobId: uuid("1"), fit: { facts: car(), positions: [], variantId: "long" } });
    expect(state.jobs[0]?.lines.map(({ description }) => description)).toEqual([
      "Change oil",
      "Oil, quart",
      "Disposal",
    ]);
  });
});

describe("kept in the library", () => {
  const kept = (state: WorkOrderState, template = LIBRARY.find(({ id }) => id === state.jobs[0]?.libraryJobId)) => {
    const [job] = state.jobs;
    if (!job) throw new Error("no job");
    return keptFromQuote(job, { id: "kept", title: "Kept", area: "Mine" }, template, GUIDE);
  };
  it("fits itself to the next car again, with what was set by hand", () => {
    let state = run(start(), add("oil", "1", { facts: specs("5.4", "0W-20") }));
    state = run(state, { type: "changeLine", lineId: uuid("12"), hours: null, quantity: null, priceCents: 2500 });
    const job = kept(state);
    expect(job.lines).toMatchObject([
      { id: "kept-1", hours: 0.5 },
      { id: "kept-2", description: "Oil, quart", quantity: 5, costCents: 400 },
      { id: "kept-3", description: "Filter" },
    ]);
    expect(job.lines[0]).not.toHaveProperty("steps");
    const next = fitJob(job, { facts: specs("7.1", "5W-30"), positions: [], variantId: null }, GUIDE);
    expect(next.lines[1]).toMatchObject({ description: "Oil, quart, 5W-30", quantity: 7.1 });
  });
  it("keeps a typed job as it was typed, and the guide's labor by its operation", () => {
    let state = run(start(), { type: "addOwnJob", jobId: uuid("1"), title: "Squeak", concernId: null });
    const line = { ...labor, id: uuid("10"), description: "Find it", hours: 0.7 };
    state = run(state, { type: "addLine", jobId: uuid("1"), line });
    state = run(state, {
      type: "addOperation",
      jobId: uuid("1"),
      lineId: uuid("11"),
      operationId: "tieRod",
      positions: ["leftFront"],
      facts: car(),
      concernId: null,
    });
    const job = kept(state, undefined);
    expect(job).toMatchObject({ per: "corner", fits: [{ lineId: "kept-2", operations: ["tieRod"] }] });
    expect(job.lines).toMatchObject([{ hours: 0.7 }, { hours: 0.7 }]);
  });
});

it("has a line only on cars of which the spec says so, and asks where nobody knows", () => {
  const tire = libraryJob.parse({
    ...about,
    id: "tire",
    title: "Tire",
    lines: [
      { ...part, id: "t1", description: "Tire", quantity: 1, costCents: 9000 },
      { ...part, id: "t2", description: "Service kit", quantity: 1, costCents: 300 },
    ],
    fits: [{ lineId: "t2", onlyWhere: { spec: "pressureMonitor", value: "Sensors in the wheels" } }],
  });
  const fitted = (value?: string): { quantity: number; unknown: string[] } => {
    const specs = value === undefined ? {} : { pressureMonitor: { value, from: "specSheet" as const } };
    const { lines, unknown } = fitJob(tire, { facts: { ...NO_FACTS, specs }, positions: [], variantId: null }, GUIDE);
    const kit = lines.find(({ id }) => id === "t2");
    return { quantity: kit?.kind === "part" ? kit.quantity : -1, unknown };
  };
  expect(fitted("Sensors in the wheels")).toEqual({ quantity: 1, unknown: [] });
  expect(fitted("None")).toEqual({ quantity: 0, unknown: [] });
  expect(fitted()).toEqual({ quantity: 0, unknown: ["pressureMonitor"] });
});
