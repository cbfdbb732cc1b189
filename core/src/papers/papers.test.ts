import { agreedByAnswer } from "../approvals/agreedBy";
import { digestOf } from "../approvals/digest";
import { shownQuoteOf } from "../customerPage/shownQuoteOf";
import { nothingArranged } from "../visits/arranged";
import { workOrderWithoutPerson } from "../workOrders/withoutPerson";
import { bookedVisit, POINTS, run, start, yes } from "../testing/sampleWorkOrder";
import { mechanicsSheet, type SheetWith } from "./mechanicsSheet";
import type { PaperBlock } from "./paperBlock";
import { USUAL_PAPERS, paperSettings, saidIn, type PaperSettings } from "./paperSettings";
import { quotePaper } from "./quotePaper";
import { concernsOnPaper, wordsOnPaper } from "./wordsOnPaper";

const PAPERS: PaperSettings = {
  ...USUAL_PAPERS,
  quote: { en: "Thank you.", es: "Gracias." },
  mechanicsSheet: "Torque every wheel.",
  terms: { en: "Twelve months.", es: "" },
};
const WITH = { points: POINTS, before: [], specs: {}, checksums: new Map<string, string>(), papers: PAPERS };
const brakes = () =>
  run(start(), {
    type: "addJob",
    jobId: "j",
    libraryJobId: "brakes",
    concernId: "c1",
    pointIds: [],
    lineIds: ["l1", "l2"],
  });
const around = (over: Partial<SheetWith> = {}): SheetWith => ({
  businessName: "Garage",
  number: 7,
  customer: {
    name: "Maren Oyelaran",
    phones: [{ number: "+13605550177", extension: null, label: "mobile" }],
    serviceAddresses: [],
    billingAddress: null,
  },
  vehicle: {
    year: 2014,
    make: "FENNICK",
    model: "Rover",
    vin: null,
    plate: "LRK1204",
    region: "WA",
    engine: null,
    drive: null,
  },
  visits: [],
  people: new Map([["odile", "Odile Farrow"]]),
  specs: [{ label: "Wheel nuts", value: "80", unit: "lb ft" }],
  points: POINTS,
  papers: PAPERS,
  timeZone: "America/Los_Angeles",
  ...over,
});
const wordsOf = (blocks: readonly PaperBlock[]): string[] =>
  blocks.map((block) =>
    block.is === "row"
      ? `${block.left} | ${block.right}`
      : block.is === "rule"
        ? "---"
        : block.is === "room"
          ? `${block.label} ${"_".repeat(block.lines)}`
          : block.text,
  );

describe("words of a paper", () => {
  const wordPaper = { type: "wordPaper", paper: "quote" } as const;

  it("are the owner's until somebody puts them otherwise, for this paper alone, and can be as usual again", () => {
    const usual = start();
    expect(wordsOnPaper(usual, "quote", PAPERS, "es")).toBe("Gracias.");
    const own = run(usual, { ...wordPaper, concernId: null, text: "Dear Maren" });
    expect(wordsOnPaper(own, "quote", PAPERS, "es")).toBe("Dear Maren");
    expect(wordsOnPaper(own, "mechanicsSheet", PAPERS, "es")).toBe("Torque every wheel.");
    const twice = run(own, { ...wordPaper, concernId: null, text: "Hello" });
    expect(twice.paperWordings).toHaveLength(1);
    expect(wordsOnPaper(run(twice, { ...wordPaper, concernId: null, text: null }), "quote", PAPERS, "en")).toBe(
      "Thank you.",
    );
  });

  it("say a concern otherwise on one paper, or leave it off; the concern itself stays", () => {
    const own = run(start(), { ...wordPaper, concernId: "c1", text: "Noise from the front brakes" });
    expect(concernsOnPaper(own, "quote")).toEqual([{ concernId: "c1", text: "Noise from the front brakes" }]);
    expect(concernsOnPaper(own, "mechanicsSheet")).toEqual([{ concernId: "c1", text: "Brakes grind" }]);
    expect(own.concerns[0]?.text).toBe("Brakes grind");
    expect(concernsOnPaper(run(own, { ...wordPaper, concernId: "c1", text: "" }), "quote")).toEqual([]);
  });

  it("of a concern that is gone are refused", () => {
    expect(() => run(start(), { ...wordPaper, concernId: "none", text: "x" })).toThrow("concern/not-found");
  });

  it("go with the person who is erased", () => {
    const own = run(start(), { ...wordPaper, concernId: null, text: "Dear Maren" });
    expect(JSON.stringify(workOrderWithoutPerson(own))).not.toContain("Dear Maren");
  });
});

it("falls back to the language of the house, and keeps a logo small", () => {
  expect(saidIn(PAPERS.terms, "es")).toBe("Twelve months.");
  expect(paperSettings.safeParse({ ...PAPERS, logo: "A".repeat(80_000) }).success).toBe(false);
  expect(paperSettings.safeParse({ ...PAPERS, logo: "not base 64" }).success).toBe(false);
});

describe("a quote", () => {
  it("opens with the words, says why they called, and ends with the terms", () => {
    const shown = shownQuoteOf(brakes(), { ...WITH, language: "en" });
    const words = wordsOf(
      quotePaper(shown, { businessName: "Garage", businessPhone: "+13605550100", car: "Car", number: 7 }, "en"),
    );
    expect(words[0]).toBe("Garage, (360) 555-0100");
    expect(words).toEqual(
      expect.arrayContaining(["Thank you.", "You told us: “Brakes grind”", "Brakes | $160.00", "Pad set | $60.00"]),
    );
    expect(words.at(-1)).toBe("Twelve months.");
  });

  it("is another quote with other words, and what was agreed to keeps them with the person, not with the prices", () => {
    const shown = shownQuoteOf(brakes(), { ...WITH, language: "en" });
    expect(digestOf({ ...shown, words: "Other" })).not.toBe(digestOf(shown));
    const given = {
      ...{ approvalId: "a", way: "signed" as const, name: "Maren Oyelaran", signature: [], totalCents: 16000 },
      answers: [{ jobId: "j", title: "Brakes", answer: "yes" as const, totalCents: 16000 }],
    };
    const { facts, person } = agreedByAnswer(given, shown, {
      workOrderId: "order",
      at: "2026-11-23T15:00:00.000Z",
      language: "en",
    });
    expect(person).toMatchObject({ words: "Thank you.", concerns: ["Brakes grind"] });
    expect(JSON.stringify(facts)).not.toContain("Brakes grind");
    expect(facts.shown).toMatchObject({ terms: "Twelve months." });
  });

  it("shown before there were words has none", () => {
    const { words: _words, concerns: _concerns, ...before } = shownQuoteOf(brakes(), { ...WITH, language: "en" });
    const words = wordsOf(quotePaper(before, { businessName: "Garage", businessPhone: "", car: "", number: 7 }, "es"));
    expect(words.slice(0, 2)).toEqual(["Garage", "Su presupuesto"]);
  });
});

describe("a mechanic's sheet", () => {
  it("has room for cause and correction, says what is agreed and what is not, and no price", () => {
    const words = wordsOf(mechanicsSheet(brakes(), around()));
    expect(words).toEqual(
      expect.arrayContaining([
        ...["Torque every wheel.", "Maren Oyelaran", "(360) 555-0177", "2014 Fennick Rover", "Plate LRK1204 WA"],
        ...["“Brakes grind”", "Cause __", "Correction __", "Not agreed yet: do not begin"],
        ...["Pad set, Halyard P | 1 ×", "Pads | 1 h", "Wheel nuts | 80 lb ft"],
      ]),
    );
    expect(words.join("\n")).not.toContain("$");
    expect(wordsOf(mechanicsSheet(yes(brakes()), around()))).toContain("Agreed");
  });

  it("says cause and correction where they are known, when and where it is, and what was arranged", () => {
    const answered = run(brakes(), {
      ...{ type: "answerConcern", concernId: "c1", outcome: "found" },
      ...{ cause: "Pads worn", correction: "Replaced", reason: "" },
    });
    const visit = {
      ...bookedVisit("2026-12-05T18:30:00.000Z"),
      arranged: { ...nothingArranged(), keyLies: "under the pot" },
    };
    const words = wordsOf(mechanicsSheet(answered, around({ visits: [visit] })));
    expect(words).toEqual(
      expect.arrayContaining([
        "Cause: Pads worn",
        "Correction: Replaced",
        "Sat Dec 5, 10:30 am · Odile Farrow",
        "18 Heron Landing, Larkhaven, WA 98099",
        "key: under the pot",
      ]),
    );
    expect(words.some((each) => each.startsWith("Cause _"))).toBe(false);
  });

  it("is there for a work order of nobody yet, without a car, without a job", () => {
    const words = wordsOf(mechanicsSheet(start(), around({ customer: null, vehicle: null, number: 0, specs: [] })));
    expect(words).toEqual(
      expect.arrayContaining(["No customer yet", "No car yet", "Mechanic’s sheet, not numbered yet"]),
    );
  });
});
