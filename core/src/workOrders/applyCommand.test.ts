import { balanceOf } from "../payments/balance";
import { receiptOf } from "../payments/receipt";
import { standingAnswer } from "../approvals/standing";
import { Refusal } from "../commands/refusal";
import { priceWorkOrder } from "../quoting/priceWorkOrder";
import { redactLibrary } from "../quoting/redact";
import { redactSettings } from "../settings/redactSettings";
import { quoteTotalCents } from "../quoting/totals";
import { approvedParts, partStatus } from "../sourcing/partStatus";
import { bookedVisit, FULL_ACTOR, LIBRARY, POINTS, run, SETTINGS, start, yes } from "../testing/sampleWorkOrder";
import { openPoints } from "../inspection/sheetsAtHand";
import { nextAct } from "./nextAct";
import { redactWorkOrder } from "./redactWorkOrder";
import type { WorkOrderState } from "./state";
import { waitingOf } from "./waiting";
import type { WorkOrderCommand } from "./commands";
import type { Right } from "../access/rights";
import type { NewLine } from "../quoting/commandSchemas";
import type { QuoteLine } from "../quoting/quoteLine";

const NOW = "2026-11-23T18:00:00.000Z";
const brakes = (state = start()): WorkOrderState =>
  run(state, {
    type: "addJob",
    jobId: "brakes",
    libraryJobId: "brakes",
    lineIds: ["b1", "b2"],
    concernId: "c1",
    pointIds: [],
  });

describe("intentions", () => {
  it.each<[string, Parameters<typeof run>[1], string]>([
    [
      "a job that is there",
      {
        type: "addJob",
        jobId: "brakes",
        libraryJobId: "brakes",
        lineIds: ["x1", "x2"],
        concernId: null,
        pointIds: [],
      },
      "job/exists",
    ],
    [
      "a job the library has not",
      { type: "addJob", jobId: "n", libraryJobId: "none", lineIds: [], concernId: null, pointIds: [] },
      "job/not-in-library",
    ],
    [
      "lines that do not match",
      { type: "addJob", jobId: "n", libraryJobId: "brakes", lineIds: ["x1"], concernId: null, pointIds: [] },
      "job/lines-do-not-match",
    ],
    [
      "one id for two lines",
      { type: "addJob", jobId: "n", libraryJobId: "brakes", lineIds: ["x1", "x1"], concernId: null, pointIds: [] },
      "job/lines-do-not-match",
    ],
    [
      "a line id in use",
      { type: "addJob", jobId: "n", libraryJobId: "brakes", lineIds: ["b1", "x2"], concernId: null, pointIds: [] },
      "line/exists",
    ],
    [
      "a line that is not there",
      { type: "changeLine", lineId: "none", hours: 1, quantity: null, priceCents: null },
      "line/not-found",
    ],
    [
      "a quantity of labor",
      { type: "changeLine", lineId: "b1", hours: null, quantity: 2, priceCents: null },
      "line/figure-does-not-fit",
    ],
    [
      "hours of a part",
      { type: "changeLine", lineId: "b2", hours: 2, quantity: null, priceCents: null },
      "line/figure-does-not-fit",
    ],
    [
      "a part without price or table",
      {
        type: "addLine",
        jobId: "brakes",
        line: {
          id: "n",
          kind: "part",
          description: "",
          quantity: 1,
          costCents: 1,
          markup: null,
          priceCents: null,
          partNumber: null,
          brand: null,
        },
      },
      "line/figure-does-not-fit",
    ],
    [
      "a point that is not on the list",
      { type: "gradePoint", pointId: "none", grade: "act", measures: {}, note: "" },
      "point/not-found",
    ],
    ["a concern that a job answers", { type: "removeConcern", concernId: "c1" }, "concern/answered"],
    ["a photo that is not there", { type: "removePhoto", photoId: "none" }, "photo/not-found"],
    ["a mark that is not there", { type: "settleConflict", conflictId: "none" }, "conflict/not-found"],
    ["opening it again", { type: "openWorkOrder", customerId: "c", vehicleId: "v", concerns: [] }, "work-order/exists"],
  ])("are refused: %s", (_name, command, code) => {
    expect(() => run(brakes(), command)).toThrow(new Refusal(code));
  });

  it("leave the work order they were given as it was", () => {
    const before = brakes();
    const copy = structuredClone(before);
    run(before, { type: "changeLine", lineId: "b2", hours: null, quantity: 4, priceCents: 100 });
    expect(before).toEqual(copy);
  });

  it("keep a price to those who may change it", () => {
    const command = { type: "changeLine" as const, lineId: "b2", hours: null, quantity: null, priceCents: 1 };
    expect(() => run(brakes(), command, { actor: { ...FULL_ACTOR, rights: [] } })).toThrow(
      new Refusal("rights/change-prices"),
    );
    expect(
      run(brakes(), { ...command, priceCents: null, quantity: 3 }, { actor: { ...FULL_ACTOR, rights: [] } }).jobs[0]
        ?.lines[1],
    ).toMatchObject({ quantity: 3 });
  });

  const rates = {
    id: "new",
    kind: "labor",
    description: "Look",
    hours: 2,
    rateCents: 10000,
    wageCents: null,
    paidHours: null,
  } as const;
  const part = {
    id: "new",
    kind: "part",
    description: "Seal",
    quantity: 1,
    costCents: null,
    markup: null,
    priceCents: 900,
    partNumber: null,
    brand: null,
  } as const;
  it.each<[string, NewLine, readonly Right[], string | null]>([
    ["labor at the house's rate", rates, [], null],
    ["labor at the house's rate and wage", { ...rates, wageCents: 3000 }, [], null],
    ["labor at a cent an hour", { ...rates, rateCents: 1 }, ["seeCost"], "rights/change-prices"],
    ["labor at a wage of one's own", { ...rates, wageCents: 1 }, ["seeCost"], "rights/change-prices"],
    ["labor paid for other hours", { ...rates, paidHours: 9 }, ["seeCost"], "rights/change-prices"],
    ["labor at a rate of one's own, by right", { ...rates, rateCents: 1 }, ["changePrices"], null],
    ["a part at a price", part, ["changePrices"], null],
    ["a part at a price, without the right", part, ["seeCost"], "rights/change-prices"],
    [
      "a part at a cost, of which the price would tell the markup",
      { ...part, costCents: 500, markup: "standard", priceCents: null },
      ["changePrices"],
      "rights/see-cost",
    ],
    [
      "a part of a markup, of which the price would tell the cost",
      { ...part, markup: "standard" },
      ["changePrices"],
      "rights/see-cost",
    ],
    [
      "a part at a cost, by both rights",
      { ...part, costCents: 500, markup: "standard", priceCents: null },
      ["changePrices", "seeCost"],
      null,
    ],
    ["a fee", { id: "new", kind: "fee", description: "Fee", quantity: 1, priceCents: 1 }, [], "rights/change-prices"],
  ])("take of lines only what the house does not decide: %s", (_name, line, rights, refusal) => {
    const add = (): WorkOrderState =>
      run(brakes(), { type: "addLine", jobId: "brakes", line }, { actor: { ...FULL_ACTOR, rights } });
    if (refusal !== null) expect(add).toThrow(new Refusal(refusal as "rights/see-cost"));
    else expect(add().jobs[0]?.lines.at(-1)).toMatchObject({ id: "new", byHand: true });
  });

  it("keep the house's wage where whoever adds labor may not see it", () => {
    const after = run(
      brakes(),
      { type: "addLine", jobId: "brakes", line: rates },
      { actor: { ...FULL_ACTOR, rights: [] } },
    );
    expect(after.jobs[0]?.lines.at(-1)).toMatchObject({ wageCents: 3000 });
  });

  it("mark hours and quantities typed by hand, and nothing else", () => {
    const change = (over: object): QuoteLine | undefined =>
      run(brakes(), { type: "changeLine", lineId: "b2", hours: null, quantity: null, priceCents: null, ...over })
        .jobs[0]?.lines[1];
    expect(change({ quantity: 3 })?.byHand).toBe(true);
    expect(change({ priceCents: 3, quantity: 1 })?.byHand).toBeUndefined();
  });

  it.each([
    [
      "a markup that is none",
      { ...part, costCents: 1, markup: "constructor", priceCents: null },
      "line/figure-does-not-fit",
    ],
    ["more than any line comes to", { ...part, quantity: 100_000, priceCents: 100_000_000 }, "line/too-much"],
  ] as const)("refuse %s", (_name, line, code) => {
    expect(() => run(brakes(), { type: "addLine", jobId: "brakes", line })).toThrow(new Refusal(code));
  });

  it("hold so many jobs, lines and concerns, and no more", () => {
    let state = brakes();
    const fill = (count: number, command: (index: number) => WorkOrderCommand): void => {
      for (let index = 0; index < count; index++) state = run(state, command(index));
    };
    const addFee = (index: number): WorkOrderCommand => ({
      type: "addLine",
      jobId: "brakes",
      line: { ...rates, id: `l${index}` },
    });
    const addOwn = (index: number): WorkOrderCommand => ({
      type: "addOwnJob",
      jobId: `j${index}`,
      title: "x",
      concernId: null,
    });
    const addWish = (index: number): WorkOrderCommand => ({
      type: "addConcern",
      concernId: `w${index}`,
      text: "x",
      kind: "wish",
      phraseId: null,
    });
    expect(() => fill(200, addFee)).toThrow(new Refusal("line/too-many"));
    expect(() => fill(200, addOwn)).toThrow(new Refusal("job/too-many"));
    expect(() => fill(200, addWish)).toThrow(new Refusal("concern/too-many"));
    expect([state.jobs.length, state.jobs[0]?.lines.length, state.concerns.length]).toEqual([100, 100, 100]);
  });

  it("mark cash taken while a charge is not clear, where both together are too much", () => {
    const agreed = yes(brakes());
    const due = balanceOf(agreed).dueCents;
    const cash = (amountCents: number, unclearChargeCents: number): string[] =>
      run(
        agreed,
        { type: "takeCash", paymentId: "p", amountCents, tenderedCents: amountCents },
        { unclearChargeCents },
      ).conflicts.map(({ code }) => code);
    expect(cash(due, due)).toEqual(["payment/charge-unclear"]);
    expect(cash(due - 500, 500)).toEqual([]);
    expect(cash(due, 0)).toEqual([]);
    expect(cash(due + 1, 1)).toEqual(["payment/more-than-owed", "payment/charge-unclear"]);
  });

  it("do not take off what is finished or on order", () => {
    const agreed = yes(brakes());
    const ordered = run(agreed, {
      type: "recordPartsOrder",
      orderId: "o",
      supplierId: "s",
      supplier: "S",
      orderNumber: "1",
      readyAt: null,
      items: [{ lineId: "b2", partNumber: "P", quantity: 1, costCents: 1 }],
    });
    expect(() => run(ordered, { type: "removeLine", lineId: "b2" })).toThrow(new Refusal("line/ordered"));
    expect(() => run(ordered, { type: "removeJob", jobId: "brakes" })).toThrow(new Refusal("line/ordered"));
    const other = { type: "usePart", lineId: "b2", description: "Pads", partNumber: "OTHER", brand: null } as const;
    expect(() => run(ordered, other)).toThrow(new Refusal("line/number-ordered"));
    expect(run(agreed, other).jobs[0]?.lines).toContainEqual(expect.objectContaining({ partNumber: "OTHER" }));
    expect(() =>
      run(run(agreed, { type: "finishJobs", jobIds: ["brakes"] }), { type: "removeJob", jobId: "brakes" }),
    ).toThrow(new Refusal("job/finished"));
  });
});

describe("facts", () => {
  it("are never refused: a yes for a job that is gone is kept and marked", () => {
    const agreed = yes(brakes());
    const gone = run(start(), {
      type: "recordAnswers",
      approvalId: "a",
      way: "signed",
      name: "N",
      signature: [],
      answers: agreed.approvals[0]?.answers ?? [],
      totalCents: 1,
    });
    expect(gone.approvals).toHaveLength(1);
    expect(gone.conflicts).toMatchObject([{ code: "approval/job-gone", detail: "Brakes" }]);
  });
  it("mark parts for a line that is gone, and work nobody agreed to", () => {
    expect(run(start(), { type: "receiveParts", items: [{ lineId: "gone", quantity: null }] }).conflicts).toMatchObject(
      [{ code: "part/line-gone" }],
    );
    expect(run(brakes(), { type: "finishJobs", jobIds: ["brakes"] }).conflicts).toMatchObject([
      { code: "job/not-approved", detail: "Brakes" },
    ]);
  });
  it("mark work whose yes was for another price", () => {
    const dearer = run(yes(brakes()), { type: "changeLine", lineId: "b1", hours: 9, quantity: null, priceCents: null });
    const finished = run(dearer, { type: "finishJobs", jobIds: ["brakes"] });
    expect(finished.conflicts).toMatchObject([{ code: "job/not-approved", detail: "Brakes" }]);
  });
  it("count money once, whatever its id is sent for", () => {
    const agreed = yes(brakes());
    const paid = run(run(agreed, { type: "takeCash", paymentId: "p", amountCents: 100, tenderedCents: 100 }), {
      type: "takeCash",
      paymentId: "p",
      amountCents: 100,
      tenderedCents: 100,
    });
    expect(balanceOf(paid).paidCents).toBe(100);
  });
});

describe("a yes", () => {
  it("holds for its price, and no longer when the price moves", () => {
    const agreed = yes(brakes());
    const standing = (state: WorkOrderState) => (state.jobs[0] ? standingAnswer(state, state.jobs[0]) : null);
    expect(standing(agreed)).toBe("yes");
    const dearer = run(agreed, { type: "changeLine", lineId: "b1", hours: 9, quantity: null, priceCents: null });
    expect(standing(dearer)).toBeNull();
    expect(balanceOf(dearer).totalCents).toBe(0);
    expect(
      standing(run(dearer, { type: "changeLine", lineId: "b1", hours: 1, quantity: null, priceCents: null })),
    ).toBe("yes");
  });
});

describe("where it stands", () => {
  const visits = [bookedVisit("2026-11-23T17:00:00.000Z")];
  const onSite = [{ ...visits[0]!, arrivedAt: NOW }];
  const over = [{ ...onSite[0]!, leftAt: NOW }];
  const agreed = yes(brakes());
  const received = run(
    run(agreed, {
      type: "recordPartsOrder",
      orderId: "o",
      supplierId: "s",
      supplier: "S",
      orderNumber: "1",
      readyAt: null,
      items: [{ lineId: "b2", partNumber: "P", quantity: 1, costCents: 1 }],
    }),
    { type: "receiveParts", items: [{ lineId: "b2", quantity: null }] },
  );
  const finished = run(received, { type: "finishJobs", jobIds: ["brakes"] });
  const due = balanceOf(finished).dueCents;
  const paid = run(finished, { type: "takeCash", paymentId: "p", amountCents: due, tenderedCents: due });
  const graded = POINTS.reduce(
    (state, { id }) => run(state, { type: "gradePoint", pointId: id, grade: "sound", measures: {}, note: "" }),
    brakes(),
  );

  it.each([
    ["nothing yet", start(), [], "time", "bookVisit"],
    ["booked", start(), visits, "work", "setOff"],
    ["on the way", start(), [{ ...visits[0]!, setOffAt: NOW }], "work", "arrive"],
    ["on site", start(), onSite, "work", "inspect"],
    ["a price given on the phone", brakes(), [], "answer", "showQuote"],
    ["checked on site", graded, onSite, "answer", "showQuote"],
    ["agreed", agreed, onSite, "parts", "orderParts"],
    ["parts in hand", received, onSite, "work", "finishJobs"],
    ["parts in hand, nobody there", received, over, "time", "bookVisit"],
    ["finished", finished, onSite, "money", "takePayment"],
    ["paid", paid, onSite, null, "sendReceipt"],
  ] as const)("%s: waits for, next act", (_name, state, all, waitsFor, act) => {
    expect(waitingOf(state, all).waitsFor).toBe(waitsFor);
    const pointsLeft = openPoints(POINTS, state.findings, () => 0).length;
    expect(nextAct(state, all, pointsLeft, NOW).act).toBe(act);
  });

  it("waits for the supplier's word instead of ordering again", () => {
    expect(nextAct(agreed, onSite, 2, NOW, new Set(["b2"])).act).toBe("nothing");
    expect(nextAct(agreed, onSite, 2, NOW, new Set(["other"])).act).toBe("orderParts");
  });

  it("tells the way of a part", () => {
    const status = (state: WorkOrderState) =>
      state.jobs[0] ? partStatus(state, state.jobs[0], { id: "b2", quantity: 1 }) : null;
    expect([agreed, received, finished].map(status)).toEqual(["needed", "inHand", "fitted"]);
    expect(approvedParts(brakes(), "needed")).toEqual([]);
  });

  it("gives a receipt that adds up and hides what things cost", () => {
    const receipt = receiptOf(paid);
    expect(receipt.totalCents).toBe(
      receipt.jobs.reduce((sum, job) => sum + job.totalCents, 0) +
        receipt.suppliesCents +
        receipt.taxes.reduce((sum, { cents }) => sum + cents, 0),
    );
    expect(receipt.dueCents).toBe(0);
    expect(JSON.stringify(receipt)).not.toMatch(/cost|wage|markup/i);
  });
});

describe("what a person may not see", () => {
  const viewer = { rights: [] };
  it("is not there, and the totals stay", () => {
    const full = brakes();
    const redacted = redactWorkOrder(full, viewer);
    expect(
      JSON.stringify([redacted, redactLibrary(LIBRARY, SETTINGS.rules, viewer), redactSettings(SETTINGS, viewer)]),
    ).not.toMatch(/"costCents":\d|"wageCents":\d|"bands"/);
    expect(priceWorkOrder(redacted, "all").total).toBe(priceWorkOrder(full, "all").total);
    expect(quoteTotalCents(redacted)).toBe(quoteTotalCents(full));
  });
  it("is there for those who may", () => {
    const full = brakes();
    expect(redactWorkOrder(full, FULL_ACTOR)).toEqual(full);
  });
});
