import { openJobs } from "../approvals/standing";
import { Refusal } from "../commands/refusal";
import { redactWorkOrder } from "../workOrders/redactWorkOrder";
import { FULL_ACTOR, SETTINGS, run, start, yes } from "../testing/sampleWorkOrder";
import type { WorkOrderCommand } from "../workOrders/commands";
import type { WorkOrderState } from "../workOrders/state";
import type { MoneyRules } from "./moneyRules";
import { priceWorkOrder } from "./priceWorkOrder";
import type { QuoteLine } from "./quoteLine";
import { jobTotals, quoteTotalCents } from "./totals";

const NOBODY = { ...FULL_ACTOR, rights: [] };
const brakes = (state = start(), id = "brakes"): WorkOrderState =>
  run(state, {
    ...{ type: "addJob", jobId: id, libraryJobId: "brakes", lineIds: [`${id}1`, `${id}2`] },
    ...{ concernId: "c1", pointIds: [] },
  });
const line = (state: WorkOrderState, id: string): QuoteLine | undefined =>
  state.jobs.flatMap(({ lines }) => lines).find((each) => each.id === id);
const order = (state: WorkOrderState): string[] => state.jobs.flatMap(({ lines }) => lines.map(({ id }) => id));
const withRules = (over: Partial<MoneyRules>): { settings: typeof SETTINGS } => ({
  settings: { ...SETTINGS, rules: { ...SETTINGS.rules, ...over } },
});

describe("a line where it stands", () => {
  const edit = (change: object, over = {}, lineId = "brakes2"): WorkOrderState =>
    run(brakes(), { type: "editLine", lineId, change }, over);

  it("takes words, notes, what is taken off, and gives them back", () => {
    const after = edit({
      description: "Pads, ceramic",
      noteForCustomer: "quieter",
      noteForUs: "shim",
      off: { percent: 10 },
    });
    expect(line(after, "brakes2")).toMatchObject({
      ...{ description: "Pads, ceramic", noteForCustomer: "quieter", noteForUs: "shim", off: { percent: 10 } },
    });
    expect(priceWorkOrder(after, "all").lines[1]).toMatchObject({ gross: 6000, discount: 600, net: 5400 });
    const back = run(after, {
      type: "editLine",
      lineId: "brakes2",
      change: { noteForCustomer: "", noteForUs: "", off: null },
    });
    expect(line(back, "brakes2")).not.toHaveProperty("off");
    expect(line(back, "brakes2")).not.toHaveProperty("noteForCustomer");
  });
  it("bears a discount above its price as free, and no more", () => {
    const after = edit({ off: { amountCents: 99_999 } });
    expect(priceWorkOrder(after, "all").lines[1]).toMatchObject({ discount: 6000, net: 0 });
  });
  it("costs another cost, and is priced by the table for its kind", () => {
    const tables: Partial<MoneyRules> = {
      pricing: {
        ...SETTINGS.rules.pricing,
        markup: { ...SETTINGS.rules.pricing.markup, tires: { bands: [{ times: 1.5 }] } },
      },
      markupTables: [
        { id: "tires", title: "Tires", kinds: ["tire"], supplierIds: [] },
        { id: "standard", title: "Standard", kinds: [], supplierIds: [] },
      ],
    };
    const begun = brakes(
      run(null, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] }, withRules(tables)),
    );
    const after = run(begun, { type: "editLine", lineId: "brakes2", change: { costCents: 1000, partKind: "tire" } });
    expect(line(after, "brakes2")).toMatchObject({ costCents: 1000, markup: "tires" });
    expect(priceWorkOrder(after, "all").lines[1]?.unitPrice).toBe(1500);
    const typed = run(after, { type: "changeLine", lineId: "brakes2", hours: null, quantity: null, priceCents: 7777 });
    const again = run(typed, { type: "editLine", lineId: "brakes2", change: { markup: "standard" } });
    expect(line(again, "brakes2")).toMatchObject({ markup: "standard", priceCents: null });
    expect(line(again, "brakes2")).not.toHaveProperty("priceByHand");
  });
  it.each<[string, object, string]>([
    ["a table there is not", { markup: "none" }, "brakes2"],
    ["a cost of labor", { costCents: 1 }, "brakes1"],
    ["a percent of a part", { percent: 10 }, "brakes2"],
    ["a condition of labor", { condition: "used" }, "brakes1"],
  ])("refuses %s", (_name, change, lineId) => {
    expect(() => edit(change, {}, lineId)).toThrow(new Refusal("line/figure-does-not-fit"));
  });
  it.each<[string, object, string]>([
    ["what is taken off", { off: { percent: 1 } }, "rights/change-prices"],
    ["a cost", { costCents: 1 }, "rights/change-prices"],
    ["its taxes", { taxIds: [] }, "rights/change-prices"],
  ])("of %s is for who may change prices", (_name, change, code) => {
    expect(() => edit(change, { actor: NOBODY })).toThrow(new Refusal(code));
  });
  it("of a cost is for who may see it, too", () => {
    expect(() => edit({ costCents: 1 }, { actor: { ...NOBODY, rights: ["changePrices"] } })).toThrow(
      new Refusal("rights/see-cost"),
    );
    expect(line(edit({ noteForUs: "look" }, { actor: NOBODY }), "brakes2")).toMatchObject({ noteForUs: "look" });
  });
  it("with a tax that holds no more is priced without it", () => {
    const after = edit({ taxIds: ["state", "gone"] });
    expect(priceWorkOrder(after, "all").payers[0]?.taxes).toEqual({ state: 480 });
    expect(priceWorkOrder(edit({ taxIds: [] }), "all").payers[0]?.taxes).toEqual({ state: 0 });
  });
});

it("two people on one line each change their own figure of it", () => {
  const amount = { type: "changeLine", lineId: "brakes2", hours: null, quantity: 3, priceCents: null } as const;
  const note = { type: "editLine", lineId: "brakes2", change: { noteForUs: "both axles" } } as const;
  const one = run(run(brakes(), amount), note);
  const other = run(run(brakes(), note), amount);
  expect([line(one, "brakes2"), line(other, "brakes2")]).toEqual([
    expect.objectContaining({ quantity: 3, noteForUs: "both axles" }),
    expect.objectContaining({ quantity: 3, noteForUs: "both axles" }),
  ]);
  // Whoever comes to a line that is gone is told, and nothing else is touched.
  const gone = run(brakes(), { type: "removeLine", lineId: "brakes2" });
  expect(() => run(gone, amount)).toThrow(new Refusal("line/not-found"));
});

it("a rate of nothing and a quantity of nothing cost nothing", () => {
  const free = run(brakes(), { type: "changeLine", lineId: "brakes1", hours: null, quantity: null, priceCents: 0 });
  const none = run(free, { type: "changeLine", lineId: "brakes2", hours: null, quantity: 0, priceCents: null });
  expect(quoteTotalCents(none)).toBe(0);
  expect(priceWorkOrder(none, "all").profit.marginPercent).toBeNull();
});

describe("the order of lines and jobs", () => {
  const two = (): WorkOrderState => brakes(brakes(), "again");
  it("is changed within a job and over to another", () => {
    const within = run(brakes(), { type: "moveLine", lineId: "brakes2", jobId: "brakes", beforeLineId: "brakes1" });
    expect(order(within)).toEqual(["brakes2", "brakes1"]);
    const over = run(two(), { type: "moveLine", lineId: "brakes1", jobId: "again", beforeLineId: null });
    expect(order(over)).toEqual(["brakes2", "again1", "again2", "brakes1"]);
    const jobs = run(two(), { type: "moveJob", jobId: "again", beforeJobId: "brakes" });
    expect(jobs.jobs.map(({ id }) => id)).toEqual(["again", "brakes"]);
    expect(quoteTotalCents(jobs)).toBe(quoteTotalCents(two()));
  });
  it("refuses what is not there", () => {
    expect(() => run(two(), { type: "moveLine", lineId: "no", jobId: "again", beforeLineId: null })).toThrow(
      new Refusal("line/not-found"),
    );
    expect(() => run(two(), { type: "moveJob", jobId: "no", beforeJobId: null })).toThrow(new Refusal("job/not-found"));
  });
});

describe("a line once more", () => {
  it("stands below it, and counts by itself", () => {
    const after = run(brakes(), { type: "copyLine", lineId: "brakes2", newLineId: "copy" });
    expect(order(after)).toEqual(["brakes1", "brakes2", "copy"]);
    expect(quoteTotalCents(after)).toBeGreaterThan(quoteTotalCents(brakes()));
    expect(() => run(brakes(), { type: "copyLine", lineId: "brakes2", newLineId: "x" }, { actor: NOBODY })).toThrow(
      new Refusal("rights/change-prices"),
    );
    expect(
      run(brakes(), { type: "copyLine", lineId: "brakes1", newLineId: "x" }, { actor: NOBODY }).jobs[0]?.lines,
    ).toHaveLength(3);
  });
  it("is split so that both together are what it was", () => {
    const after = run(brakes(), { type: "splitLine", lineId: "brakes1", newLineId: "rest", amount: 0.4 });
    expect([line(after, "brakes1"), line(after, "rest")]).toMatchObject([{ hours: 0.6 }, { hours: 0.4 }]);
    expect(quoteTotalCents(after)).toBe(quoteTotalCents(brakes()));
  });
  it.each([0, 1, 7])("cannot be split by %p", (amount) => {
    expect(() => run(brakes(), { type: "splitLine", lineId: "brakes2", newLineId: "rest", amount })).toThrow(
      new Refusal("line/figure-does-not-fit"),
    );
  });
});

describe("what was taken off", () => {
  it("is put back where it stood, a line and a job", () => {
    const without = run(brakes(), { type: "removeLine", lineId: "brakes1" });
    const back = run(without, { type: "putBack", id: "brakes1" });
    expect(back.jobs).toEqual(brakes().jobs.map((job) => ({ ...job, addedAt: back.jobs[0]?.addedAt })));
    expect(back.takenOff).toEqual([]);
    const noJob = run(brakes(brakes(), "again"), { type: "removeJob", jobId: "brakes" });
    expect(run(noJob, { type: "putBack", id: "brakes" }).jobs.map(({ id }) => id)).toEqual(["brakes", "again"]);
    expect(() => run(brakes(), { type: "putBack", id: "brakes1" })).toThrow(new Refusal("line/not-kept"));
  });
  it("asks anew when a job that was agreed to comes back", () => {
    const agreed = yes(brakes());
    const back = run(run(agreed, { type: "removeJob", jobId: "brakes" }), { type: "putBack", id: "brakes" });
    expect(back.jobs[0]?.answer).toBeNull();
  });
  it("tells no cost to who may not see it", () => {
    const without = run(run(brakes(), { type: "removeLine", lineId: "brakes2" }), {
      type: "removeJob",
      jobId: "brakes",
    });
    expect(JSON.stringify(redactWorkOrder(without, NOBODY).takenOff)).not.toMatch(/"(costCents|wageCents)":\d/);
  });
});

describe("a job as a whole", () => {
  it("has one price with what is included, and charges beyond", () => {
    const setPrice = { priceCents: 9000, included: [{ lineId: "brakes2", quantity: 1, extraEachCents: 500 }] };
    const priced = run(brakes(), { type: "editJob", jobId: "brakes", change: { setPrice } });
    expect(jobTotals(priced).get("brakes")).toBe(9000);
    const more = run(priced, { type: "changeLine", lineId: "brakes2", hours: null, quantity: 3, priceCents: null });
    expect(jobTotals(more).get("brakes")).toBe(10_000);
    // A discount of a line does not count while the job has one price, and counts again without.
    const off = run(more, { type: "editLine", lineId: "brakes2", change: { off: { amountCents: 100 } } });
    expect(jobTotals(off).get("brakes")).toBe(10_000);
    expect(jobTotals(run(off, { type: "editJob", jobId: "brakes", change: { setPrice: null } })).get("brakes")).toBe(
      27_900,
    );
    expect(run(priced, { type: "removeLine", lineId: "brakes2" }).jobs[0]?.setPrice?.included).toEqual([]);
  });
  it("refuses to include labor, or a line of another job", () => {
    for (const lineId of ["brakes1", "elsewhere"])
      expect(() =>
        run(brakes(), {
          type: "editJob",
          jobId: "brakes",
          change: { setPrice: { priceCents: 1, included: [{ lineId, quantity: 1, extraEachCents: 1 }] } },
        }),
      ).toThrow(new Refusal("line/figure-does-not-fit"));
  });
  it("is paid by somebody else, exempt from tax, and by the customer again", () => {
    const payer = { id: "fleet", name: "Harbor Bread", isExempt: true };
    const theirs = run(brakes(), { type: "editJob", jobId: "brakes", change: { payer } });
    const [customer, fleet] = priceWorkOrder(theirs, "all").payers;
    expect([customer?.total, fleet?.total, fleet?.taxes]).toEqual([0, 16_500, { state: 0 }]);
    const back = run(theirs, {
      type: "editJob",
      jobId: "brakes",
      change: { payer: null, off: { percent: 50 }, title: "Pads" },
    });
    expect(back.jobs[0]).toMatchObject({ title: "Pads", off: { percent: 50 } });
    expect(priceWorkOrder(back, "all").payers[0]?.part).toBe(3000);
  });
  it("without lines costs nothing, and nobody is asked about it", () => {
    const own = run(start(), { type: "addOwnJob", jobId: "own", title: "Look", concernId: null });
    expect([quoteTotalCents(own), openJobs(own)]).toEqual([0, []]);
    expect(openJobs(brakes(own)).map(({ id }) => id)).toEqual(["brakes"]);
  });
});

describe("discounts of the whole", () => {
  const offers: MoneyRules["offers"] = [
    {
      id: "low",
      title: "Low tide",
      on: "all",
      off: { amountCents: 1000 },
      code: "LOW TIDE",
      foundUsBy: null,
      until: "2026-11-30",
    },
  ];
  const use = (offer: { id: string } | { code: string }, day = "2026-11-23"): WorkOrderCommand => ({
    ...{ type: "useOffer", discountId: "d1", offer, day },
  });
  it("are taken of labor, parts or all, in their order, and taken back", () => {
    const off = run(brakes(), {
      type: "addDiscount",
      discountId: "d",
      title: "Neighbor",
      on: "labor",
      off: { percent: 10 },
    });
    expect(jobTotals(off).get("brakes")).toBe(15_000);
    const back = run(off, { type: "removeDiscount", discountId: "d" });
    expect(jobTotals(back).get("brakes")).toBe(16_000);
    expect(() => run(back, { type: "removeDiscount", discountId: "d" })).toThrow(new Refusal("discount/not-found"));
  });
  it("go by a code however it is typed, once, until they end", () => {
    const granted = run(brakes(), use({ code: "lowtide" }), withRules({ offers }));
    expect(granted.discounts).toMatchObject([{ title: "Low tide", offerId: "low" }]);
    expect(() =>
      run(granted, { ...use({ id: "low" }), discountId: "d2" } as WorkOrderCommand, withRules({ offers })),
    ).toThrow(new Refusal("offer/granted"));
    expect(() => run(brakes(), use({ code: "guess" }), withRules({ offers }))).toThrow(new Refusal("offer/unknown"));
    expect(() => run(brakes(), use({ id: "low" }, "2026-12-01"), withRules({ offers }))).toThrow(
      new Refusal("offer/ended"),
    );
    // A day long gone is not the day it is used.
    expect(() => run(brakes(), use({ id: "low" }, "2026-01-01"), withRules({ offers }))).toThrow(
      new Refusal("offer/ended"),
    );
  });
  it("that were typed are taken back by who may type them, an offer by anybody", () => {
    const typed = run(brakes(), { type: "addDiscount", discountId: "d", title: "x", on: "all", off: { percent: 1 } });
    const back = { type: "removeDiscount", discountId: "d" } as const;
    expect(() => run(typed, back, { actor: NOBODY })).toThrow(new Refusal("rights/change-prices"));
    const granted = run(
      brakes(),
      { ...use({ id: "low" }), discountId: "d" } as WorkOrderCommand,
      withRules({ offers }),
    );
    expect(run(granted, back, { actor: NOBODY }).discounts).toEqual([]);
  });
  it("are at most ten, typed by who may", () => {
    const off = (id: number): WorkOrderCommand => ({
      type: "addDiscount",
      discountId: `d${id}`,
      title: "x",
      on: "all",
      off: { percent: 1 },
    });
    const ten = Array.from({ length: 10 }, (_, id) => off(id)).reduce(
      (state, command) => run(state, command),
      brakes(),
    );
    expect(() => run(ten, off(10))).toThrow(new Refusal("discount/too-many"));
    expect(() => run(brakes(), off(0), { actor: NOBODY })).toThrow(new Refusal("rights/change-prices"));
  });
});

describe("the rules a quote keeps", () => {
  it("stand until somebody takes those of today, which keep what was typed", () => {
    const typed = run(brakes(), { type: "changeLine", lineId: "brakes1", hours: 2, quantity: null, priceCents: null });
    const dearer = withRules({
      laborRateCents: 20_000,
      pricing: { ...SETTINGS.rules.pricing, markup: { other: { bands: [{ times: 3 }] } } },
    });
    const now = run(typed, { type: "useTodaysRules" }, dearer);
    expect(priceWorkOrder(typed, "all").lines.map(({ net }) => net)).toEqual([20_000, 6000]);
    // The table it went by is gone: it goes by the one there is.
    expect(priceWorkOrder(now, "all").lines[1]?.net).toBe(9000);
    expect(now.rules.pricing.taxes).toEqual(typed.rules.pricing.taxes);
  });
  it("of today have no fee that is no more, unless its price was typed", () => {
    const fee = { id: "f", title: "Counter", priceCents: 100, on: { what: "labor" as const }, isUntaxed: false };
    const before = withRules({ fees: [fee] });
    const begun = brakes(run(null, { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] }, before));
    const feeId = begun.jobs[0]?.lines.at(-1)?.id ?? "";
    expect(line(begun, feeId)).toMatchObject({ feeId: "f" });
    expect(line(run(begun, { type: "useTodaysRules" }), feeId)).toBeUndefined();
    const typed = run(begun, { type: "changeLine", lineId: feeId, hours: null, quantity: null, priceCents: 250 });
    expect(line(run(typed, { type: "useTodaysRules" }), feeId)).toMatchObject({ priceCents: 250 });
  });
  it("stay once somebody said yes to a price", () => {
    expect(() => run(yes(brakes()), { type: "useTodaysRules" })).toThrow(new Refusal("quote/agreed"));
  });
  it("end on a day of the owner's or a person's choice", () => {
    const opened = run(
      null,
      { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] },
      withRules({ quoteDays: 30 }),
    );
    expect(opened.validUntil).toBe("2026-12-23");
    expect(run(opened, { type: "setValidUntil", day: null }).validUntil).toBeNull();
  });
});

describe("a tax the law changed", () => {
  const places: MoneyRules["taxPlaces"] = [
    {
      ...{ id: "point", title: "Gull Point", postcodes: ["981"], towns: [] },
      taxes: [
        { id: "state", percent: 8, on: ["part"], from: null },
        { id: "state", percent: 9, on: ["part"], from: "2026-12-01" },
      ],
    },
  ];
  const follow = (state: WorkOrderState, day: string): WorkOrderState =>
    run(
      state,
      { type: "followTaxes", placeId: "point", day },
      { ...withRules({ taxPlaces: places }), at: `${day}T17:00:00.000Z` },
    );
  it("is followed, said, and asks no new yes", () => {
    const there = yes(follow(brakes(), "2026-11-30"));
    expect(there.taxesBefore).toBeUndefined();
    const after = follow(there, "2026-12-01");
    expect(after).toMatchObject({ taxPlaceId: "point", taxesBefore: { day: "2026-12-01", taxes: [{ percent: 8 }] } });
    expect(priceWorkOrder(after, "approved").payers[0]?.taxes).toEqual({ state: 540 });
    expect(jobTotals(after)).toEqual(jobTotals(there));
    expect(after.jobs[0]?.answer?.totalCents).toBe(jobTotals(after).get("brakes"));
  });
  it("of another day than the one it is given on is nobody's to choose", () => {
    const over = { ...withRules({ taxPlaces: places }), at: "2026-12-05T17:00:00.000Z" };
    expect(() => run(brakes(), { type: "followTaxes", placeId: "point", day: "2026-11-20" }, over)).toThrow(
      new Refusal("taxes/other-day"),
    );
  });
  it("does not reach what was sold, and changes nothing where nothing changed", () => {
    const done = run(yes(follow(brakes(), "2026-11-30")), { type: "finishJobs", jobIds: ["brakes"] });
    expect(follow(done, "2026-12-01")).toBe(done);
    const there = follow(brakes(), "2026-11-30");
    expect(follow(there, "2026-11-30")).toBe(there);
  });
});

it("work bought in goes on a quote with what is put on top, and is told at its price alone", () => {
  const sublet = {
    id: "s",
    kind: "sublet" as const,
    description: "Alignment",
    costCents: 8000,
    percent: 12.5,
    priceCents: null,
  };
  const after = run(brakes(), { type: "addLine", jobId: "brakes", line: sublet });
  expect(priceWorkOrder(after, "all").lines[2]).toMatchObject({ unitPrice: null, net: 9000 });
  const told = redactWorkOrder(after, NOBODY);
  expect(told.jobs[0]?.lines[2]).toMatchObject({ costCents: null, percent: 0, priceCents: 9000 });
  expect(quoteTotalCents(told)).toBe(quoteTotalCents(after));
  expect(() =>
    run(
      brakes(),
      { type: "addLine", jobId: "brakes", line: sublet },
      { actor: { ...NOBODY, rights: ["changePrices"] } },
    ),
  ).toThrow(new Refusal("rights/see-cost"));
});
