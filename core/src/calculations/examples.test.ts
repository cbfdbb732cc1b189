import { calculations, CALC_ERROR_CODES, CalcError } from "../calculations/index";
import { answerText } from "../calculations/answer";
import { sampleVinTable } from "../testing/sampleVinTable";

const all = calculations(() => ({ table: sampleVinTable(), currentYear: 2026 }));
const run = (name: string, input: unknown): unknown => all[name]?.(input);
const faultOf = (name: string, input: unknown): [string, string] => {
  try {
    run(name, input);
  } catch (error) {
    if (error instanceof CalcError) return [error.code, error.path];
    throw error;
  }
  return ["", ""];
};

const quote = {
  rules: {
    markup: { standard: { bands: [{ upTo: 500, times: 3 }, { upTo: 2000, times: 2.4 }, { upTo: 6000, times: 2 }, { upTo: null, times: 1.6 }], neverCheaper: true, ending: null } },
    taxes: [{ id: "state", percent: 6.25, on: ["part", "fee"] }, { id: "county", percent: 1.125, on: ["part"] }],
    supplies: { percentOfLabor: 5, cap: 2500 },
  },
  payers: [{ id: "customer" }, { id: "fleet", taxExempt: true }],
  jobs: [
    { id: "brakes", payer: "customer", answer: "approved", lines: [
      { id: "b1", kind: "labor", hours: 1.3, rate: 13500, wage: 3800, paidHours: 1.2 },
      { id: "b2", kind: "part", quantity: 1, cost: 3875, markup: "standard" },
      { id: "b3", kind: "part", quantity: 2, cost: 2010, markup: "standard", discount: { percent: 10 } }] },
    { id: "oil", payer: "customer", answer: "approved", setPrice: { price: 7995, included: [{ line: "o2", quantity: 7, extraEach: 650 }] }, lines: [
      { id: "o1", kind: "labor", hours: 0.5, rate: 13500 },
      { id: "o2", kind: "part", quantity: 7.6, cost: 410, markup: "standard" },
      { id: "o3", kind: "part", quantity: 1, cost: 620, markup: "standard" },
      { id: "o4", kind: "fee", quantity: 1, price: 300 }] },
    { id: "battery", payer: "fleet", answer: "approved", lines: [
      { id: "t1", kind: "part", quantity: 1, cost: 9800, markup: "standard" },
      { id: "t2", kind: "core", quantity: 1, price: 2200 }] },
  ],
  discounts: [{ id: "neighbor", on: "labor", percent: 5 }],
  count: "approved",
}; // prettier-ignore

/** The quote with one value put elsewhere: `at("jobs.0.payer", "x")`. */
function at(path: string, value: unknown): unknown {
  const copy = structuredClone(quote) as unknown as Record<string, unknown>;
  const keys = path.split(".");
  const last = keys.pop() ?? "";
  const parent = keys.reduce<Record<string, unknown>>((node, key) => node[key] as Record<string, unknown>, copy);
  if (value === undefined) delete parent[last];
  else parent[last] = value;
  return copy;
}

describe("price", () => {
  it("prices the published example to the cent", () => {
    expect(run("price", quote)).toEqual({
      lines: [
        { id: "b1", unitPrice: 13500, gross: 17550, setPrice: 0, discount: 878, net: 16672 },
        { id: "b2", unitPrice: 7750, gross: 7750, setPrice: 0, discount: 0, net: 7750 },
        { id: "b3", unitPrice: 4800, gross: 9600, setPrice: 0, discount: 960, net: 8640 },
        { id: "o1", unitPrice: 13500, gross: 6750, setPrice: -3588, discount: 158, net: 3004 },
        { id: "o2", unitPrice: 1230, gross: 9348, setPrice: -4969, discount: 0, net: 4379 },
        { id: "o3", unitPrice: 1500, gross: 1500, setPrice: -797, discount: 0, net: 703 },
        { id: "o4", unitPrice: 300, gross: 300, setPrice: -159, discount: 0, net: 141 },
        { id: "t1", unitPrice: 15680, gross: 15680, setPrice: 0, discount: 0, net: 15680 },
        { id: "t2", unitPrice: 2200, gross: 2200, setPrice: 0, discount: 0, net: 2200 },
      ],
      jobs: [
        { id: "brakes", total: 33062 },
        { id: "oil", total: 8227 },
        { id: "battery", total: 17880 },
      ],
      payers: [
        {
          id: "customer",
          labor: 19676,
          part: 21472,
          fee: 141,
          sublet: 0,
          core: 0,
          supplies: 984,
          discount: 1996,
          taxes: { state: 1412, county: 242 },
          total: 43927,
        },
        {
          id: "fleet",
          labor: 0,
          part: 15680,
          fee: 0,
          sublet: 0,
          core: 2200,
          supplies: 0,
          discount: 0,
          taxes: { state: 0, county: 0 },
          total: 17880,
        },
      ],
      total: 61807,
      profit: { revenue: 57953, cost: 25991, gross: 31962, marginPercent: 55.2 },
    });
  });

  it.each([
    ["an unknown key", at("jobs.0.lines.0.color", "red"), "unknown-key", "jobs[0].lines[0].color"],
    ["a missing required key", at("jobs.0.lines.1.cost", undefined), "missing", "jobs[0].lines[1].cost"],
    ["null where something is required", at("count", null), "missing", "count"],
    ["a wrong type", at("jobs.0.lines.0.hours", "1.3"), "wrong-type", "jobs[0].lines[0].hours"],
    ["a negative number", at("jobs.0.lines.0.rate", -1), "negative", "jobs[0].lines[0].rate"],
    ["five decimals", at("jobs.0.lines.0.hours", 1.00001), "too-many-decimals", "jobs[0].lines[0].hours"],
    ["half a cent", at("jobs.0.lines.1.cost", 1.5), "not-whole", "jobs[0].lines[1].cost"],
    ["a line id twice across jobs", at("jobs.1.lines.0.id", "b1"), "duplicate-id", "jobs[1].lines[0].id"],
    ["a job id twice", at("jobs.1.id", "brakes"), "duplicate-id", "jobs[1].id"],
    ["a payer that is not there", at("jobs.0.payer", "nobody"), "unknown-reference", "jobs[0].payer"],
    ["a markup that is not there", at("jobs.0.lines.1.markup", "gold"), "unknown-reference", "jobs[0].lines[1].markup"],
    ["a tax that is not there", at("jobs.0.lines.1.taxes", ["city"]), "unknown-reference", "jobs[0].lines[1].taxes[0]"],
    ["an unknown kind", at("jobs.0.lines.1.kind", "gift"), "not-allowed", "jobs[0].lines[1].kind"],
    ["a kind left out", at("jobs.0.lines.1.kind", undefined), "missing", "jobs[0].lines[1].kind"],
    [
      "bands that do not rise",
      at("rules.markup.standard.bands.1.upTo", 500),
      "not-allowed",
      "rules.markup.standard.bands[1].upTo",
    ],
    [
      "a last band with a limit",
      at("rules.markup.standard.bands.3.upTo", 9000),
      "not-allowed",
      "rules.markup.standard.bands[3].upTo",
    ],
    [
      "percent and amount at once",
      at("jobs.0.lines.2.discount", { percent: 1, amount: 1 }),
      "not-allowed",
      "jobs[0].lines[2].discount",
    ],
    [
      "more than all off",
      at("jobs.0.lines.2.discount", { percent: 100.01 }),
      "out-of-range",
      "jobs[0].lines[2].discount.percent",
    ],
    ["a discount on a core", at("jobs.2.lines.1.discount", { percent: 1 }), "unknown-key", "jobs[2].lines[1].discount"],
    [
      "a line discount below a set price",
      at("jobs.1.lines.0.discount", { percent: 1 }),
      "not-allowed",
      "jobs[1].lines[0].discount",
    ],
    [
      "labor as an included line",
      at("jobs.1.setPrice.included.0.line", "o1"),
      "not-allowed",
      "jobs[1].setPrice.included[0].line",
    ],
    [
      "an included line of another job",
      at("jobs.1.setPrice.included.0.line", "b2"),
      "unknown-reference",
      "jobs[1].setPrice.included[0].line",
    ],
    ["part without price or markup", at("jobs.0.lines.1.markup", null), "missing", "jobs[0].lines[1].markup"],
    ["an ending of 100", at("rules.markup.standard.ending", 100), "out-of-range", "rules.markup.standard.ending"],
    ["no object at all", [], "wrong-type", ""],
  ])("refuses %s", (_name, input, code, path) => {
    expect(faultOf("price", input)).toEqual([code, path]);
    expect(CALC_ERROR_CODES).toContain(code);
  });

  it("takes null for absent, and counts zeros as zero", () => {
    const bare = {
      rules: {},
      payers: [{ id: "p", taxExempt: null }],
      jobs: [{ id: "j", payer: "p", answer: null, setPrice: null, discount: null, lines: [] }],
      discounts: null,
      count: "all",
    };
    expect(run("price", bare)).toMatchObject({
      total: 0,
      jobs: [{ id: "j", total: 0 }],
      profit: { revenue: 0, marginPercent: null },
    });
  });

  it("lists every payer, and no job that does not count", () => {
    expect(run("price", at("jobs.2.answer", "no"))).toMatchObject({
      jobs: [{ id: "brakes" }, { id: "oil" }],
      payers: [
        { id: "customer", total: 43927 },
        { id: "fleet", total: 0 },
      ],
    });
  });

  it.each([
    ["rises to the ending", 1999, 99, 4799],
    ["keeps a price that ends so", 2000, 0, 4800],
    ["goes on to the next hundred", 1251, 0, 3100],
  ])("%s", (_name, cost, ending, unitPrice) => {
    const input = at("rules.markup.standard.ending", ending) as typeof quote;
    input.jobs = [
      {
        id: "j",
        payer: "customer",
        answer: "approved",
        lines: [{ id: "l", kind: "part", quantity: 1, cost, markup: "standard" }],
      },
    ] as typeof quote.jobs;
    expect(run("price", input)).toMatchObject({ lines: [{ unitPrice }] });
  });
});

describe("labor", () => {
  const input = {
    steps: { wheel: 0.2, caliper: 0.4, strut: 0.9, "tie rod": 0.5 },
    operations: [
      { id: "strut", steps: ["wheel", "caliper", "strut", "strut"] },
      { id: "tie rod", steps: ["wheel", "tie rod"] },
    ],
  };
  it("pays a shared step once, to the first that has it", () => {
    expect(run("labor", input)).toEqual({
      operations: [
        { id: "strut", hours: 1.5, alone: 1.5 },
        { id: "tie rod", hours: 0.5, alone: 0.7 },
      ],
      hours: 2,
      saved: 0.2,
    });
  });
  it("refuses a step that is not there and an operation given twice", () => {
    expect(faultOf("labor", { ...input, operations: [{ id: "a", steps: ["wheel", "axle"] }] })).toEqual([
      "unknown-reference",
      "operations[0].steps[1]",
    ]);
    expect(
      faultOf("labor", {
        ...input,
        operations: [
          { id: "a", steps: [] },
          { id: "a", steps: [] },
        ],
      }),
    ).toEqual(["duplicate-id", "operations[1].id"]);
  });
});

describe("loan", () => {
  it("plans the published example", () => {
    expect(run("loan", { amount: 84000, aprPercent: 14.9, months: 6 })).toMatchObject({
      payment: 14615,
      lastPayment: 14612,
      totalPaid: 87687,
      totalInterest: 3687,
    });
  });
  it("divides evenly without interest, and the last payment clears it", () => {
    expect(run("loan", { amount: 1000, aprPercent: 0, months: 3 })).toEqual({
      payment: 333, lastPayment: 334, totalPaid: 1000, totalInterest: 0,
      schedule: [{ number: 1, payment: 333, interest: 0, balance: 667 }, { number: 2, payment: 333, interest: 0, balance: 334 }, { number: 3, payment: 334, interest: 0, balance: 0 }],
    }); // prettier-ignore
  });
  it("never takes more than is owed: later payments are 0", () => {
    expect(run("loan", { amount: 10, aprPercent: 0, months: 18 })).toMatchObject({
      payment: 1,
      lastPayment: 0,
      totalPaid: 10,
    });
  });
  it.each([[0], [601], [1.5]])("refuses %p months", (months) => {
    expect(faultOf("loan", { amount: 1, aprPercent: 1, months })[1]).toBe("months");
  });
});

describe("tire", () => {
  it.each([
    [
      "215/55R17 94V",
      {
        widthMm: 215,
        aspect: 55,
        rimInch: 17,
        diameterMm: 668.3,
        sidewallMm: 118.3,
        revsPerKm: 476.3,
        loadKg: 670,
        speedKmh: 240,
      },
    ],
    ["p215 / 55 zr 17", { widthMm: 215, loadKg: null, speedKmh: null, diameterMm: 668.3 }],
    ["LT245/75R16 120/116S", { loadKg: 1400, speedKmh: 180, diameterMm: 773.9 }],
    [
      "31x10.50R15LT 109Q",
      { widthMm: 267, aspect: null, rimInch: 15, diameterMm: 787.4, sidewallMm: 203.2, loadKg: 1030, speedKmh: 160 },
    ],
    ["275/70R22.5 148/145M", { rimInch: 22.5, diameterMm: 956.5, loadKg: 3150, speedKmh: 130 }],
    ["LT285/70R17 121/118S", { loadKg: 1450, speedKmh: 180 }],
  ])("reads %s", (size, expected) => {
    expect(run("tire", { size })).toMatchObject(expected);
  });
  it.each([[""], ["round"], ["215/55"], ["15x10.50R15"], ["215/00R17"]])("refuses %p", (size) => {
    expect(faultOf("tire", { size })).toEqual(["unreadable", "size"]);
  });
});

describe("plate", () => {
  it.each([
    ["abo-1i2", "or", { plate: "ABO1I2", region: "OR", key: "AB0112" }],
    ["  a–b.c 1 ", " wa ", { plate: "ABC1", region: "WA", key: "ABC1" }],
    ["ÄÖ·7", "BC", { plate: "ÄÖ·7", region: "BC", key: "ÄÖ·7" }],
  ])("cleans %p", (plate, region, expected) => {
    expect(run("plate", { plate, region })).toEqual(expected);
  });
  it("refuses a plate of which nothing is left", () => {
    expect(faultOf("plate", { plate: " - . ", region: "WA" })).toEqual(["unreadable", "plate"]);
  });
});

it("answers text that is no JSON as data", () => {
  expect(answerText((value) => value, "{")).toEqual({
    ok: false,
    error: { code: "not-json", message: "the input is not JSON", path: "" },
  });
});
