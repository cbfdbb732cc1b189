import fc from "fast-check";
import { run, start, yes } from "../testing/sampleWorkOrder";
import { FULL_ACTOR } from "../testing/sampleWorkOrder";
import { clientWorkOrderCommand, ruleOf, workOrderCommand, workOrderRules, type WorkOrderCommand } from "./commands";
import { workOrderState } from "./state";
import { REFUSAL_CODES, conflictWords, isRefusalCode, refusalWords } from "./refusals";

const UUID = "01900000-0000-7000-8000-000000000001";

it("takes from devices what devices may give, and from the server what it records itself", () => {
  const decline = { type: "recordCardDecline", paymentId: UUID, amountCents: 1, reason: "No" };
  expect(workOrderCommand.safeParse(decline).success).toBe(true);
  expect(clientWorkOrderCommand.safeParse(decline).success).toBe(false);
  expect(clientWorkOrderCommand.safeParse({ type: "settleConflict", conflictId: UUID }).success).toBe(true);
  expect(ruleOf("addJob")).toMatchObject({ kind: "intention", source: "device", needs: ["library", "guide"] });
});

describe("a fact", () => {
  const state = yes(
    run(start(), {
      type: "addJob",
      jobId: "brakes",
      libraryJobId: "brakes",
      lineIds: ["b1", "b2"],
      concernId: null,
      pointIds: [],
    }),
  );
  const id = fc.constantFrom("brakes", "b1", "b2", "c1", "gone");
  const cents = fc.integer({ min: 1, max: 90_000 });
  const facts: fc.Arbitrary<WorkOrderCommand> = fc.oneof(
    fc.record({
      type: fc.constant("addConcern" as const),
      concernId: id,
      text: fc.string(),
      kind: fc.constant("wish" as const),
      phraseId: fc.constant(null),
    }),
    fc.record({ type: fc.constant("recordOdometer" as const), miles: fc.nat() }),
    fc.record({ type: fc.constant("recordPressures" as const), frontPsi: fc.nat(), rearPsi: fc.nat() }),
    fc.record({
      type: fc.constant("receiveParts" as const),
      items: fc.array(fc.record({ lineId: id, quantity: fc.option(fc.nat(9)) }), { minLength: 1 }),
    }),
    fc.record({ type: fc.constant("finishJobs" as const), jobIds: fc.array(id, { minLength: 1 }) }),
    fc.record({
      type: fc.constant("takeCash" as const),
      paymentId: id,
      amountCents: cents,
      tenderedCents: fc.constant(90_000),
    }),
    fc.record({
      type: fc.constant("recordCardPayment" as const),
      paymentId: id,
      amountCents: cents,
      lastFour: fc.constant("1234"),
      authorization: fc.constant("A"),
    }),
    fc.record({
      type: fc.constant("recordPartsOrder" as const),
      orderId: id,
      supplierId: fc.constant("s"),
      supplier: fc.constant("S"),
      orderNumber: fc.constant("1"),
      readyAt: fc.constant(null),
      items: fc.array(fc.record({ lineId: id, partNumber: fc.constant("P"), quantity: fc.nat(9), costCents: cents }), {
        minLength: 1,
      }),
    }),
    fc.record({
      type: fc.constant("recordAnswers" as const),
      approvalId: id,
      way: fc.constant("spoken" as const),
      name: fc.string(),
      signature: fc.constant<number[][]>([]),
      totalCents: cents,
      answers: fc.array(
        fc.record({
          jobId: id,
          title: fc.string(),
          answer: fc.constantFrom("yes" as const, "later" as const, "no" as const),
          totalCents: cents,
        }),
        { minLength: 1 },
      ),
    }),
  );

  it("is never refused, whatever came before it, and what no longer fits has a mark with words", () => {
    fc.assert(
      fc.property(fc.array(facts, { maxLength: 8 }), (commands) => {
        const after = commands.reduce((before, command) => {
          expect(ruleOf(command.type).kind).toBe("fact");
          return run(before, command, { actor: { ...FULL_ACTOR, rights: [] } });
        }, state);
        for (const mark of after.conflicts) expect(conflictWords(mark)).not.toContain("no longer fit when it arrived");
      }),
      { numRuns: 200 },
    );
  });
});

it("leaves every slice that a command did not change the same object", () => {
  const before = start();
  const after = run(before, { type: "recordOdometer", miles: 5 });
  const changed = Object.keys(after).filter(
    (key) => after[key as keyof typeof after] !== before[key as keyof typeof before],
  );
  expect(changed).toEqual(["odometerMiles"]);
});

it("takes a wrong odometer reading back with why, and no other than the one that was meant", () => {
  const wrong = run(start(), { type: "recordOdometer", miles: 610_000 });
  const takenBack = run(wrong, { type: "takeBackOdometer", miles: 610_000, reason: "Misread" });
  expect(takenBack).toMatchObject({ odometerMiles: null, odometerTakenBack: [{ value: 610_000, reason: "Misread" }] });
  expect(workOrderState.parse(takenBack)).toEqual(takenBack);
  const again = run(takenBack, { type: "recordOdometer", miles: 61_000 });
  expect(() => run(again, { type: "takeBackOdometer", miles: 610_000, reason: "Misread" })).toThrow(
    "odometer/not-found",
  );
});

it("has words for every refusal, and knows which codes are refusals", () => {
  for (const code of REFUSAL_CODES) expect(refusalWords(code)).toMatch(/\. |\.$/);
  expect(isRefusalCode("job/exists")).toBe(true);
  expect(isRefusalCode("constructor")).toBe(false);
  expect(Object.keys(workOrderRules)).not.toContain("openWorkOrder");
});
