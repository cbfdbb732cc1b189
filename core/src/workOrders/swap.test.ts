import { run, start, yes } from "../testing/sampleWorkOrder";
import { swapWords } from "./swapWords";
import type { WorkOrderState } from "./state";
import { swapStakes } from "./swap";

/** A work order with a finding, an odometer, an approved job and a part on order. */
function running(): WorkOrderState {
  let state = run(start(), { type: "recordOdometer", miles: 61_000 });
  state = run(state, { type: "recordPressures", frontPsi: 34, rearPsi: 32 });
  state = run(state, { type: "gradePoint", pointId: "pads", grade: "act", measures: { value: 2 }, note: "" });
  state = run(state, {
    type: "addJob",
    jobId: "brakes",
    libraryJobId: "brakes",
    lineIds: ["b1", "b2"],
    concernId: "c1",
    pointIds: [],
  });
  return yes(state);
}

describe("another car", () => {
  const change = { type: "changeVehicle", vehicleId: "other" } as const;
  it("takes what was found and answered about the wrong one along, or not", () => {
    const wrongCar = run(running(), { ...change, keepFindings: false, keepAnswers: false });
    expect(wrongCar).toMatchObject({ vehicleId: "other", findings: [], odometerMiles: null, pressures: null });
    expect(wrongCar.jobs.map(({ answer }) => answer)).toEqual([null]);
    expect(wrongCar.approvals).toHaveLength(1);
    const wrongRecord = run(running(), { ...change, keepFindings: true, keepAnswers: true });
    expect(wrongRecord).toMatchObject({ odometerMiles: { value: 61_000 }, pressures: { frontPsi: 34 } });
    expect(wrongRecord.jobs[0]?.answer?.value).toBe("yes");
  });
  it("keeps a finished job's answer: it was done on the strength of it", () => {
    const done = run(running(), { type: "finishJobs", jobIds: ["brakes"] });
    const swapped = run(done, { ...change, keepFindings: false, keepAnswers: false });
    expect(swapped.jobs[0]?.answer?.value).toBe("yes");
    expect(swapStakes(swapped)).toMatchObject({ finishedJobs: 1, answers: 0, pricedJobs: 0 });
  });
  it("may be none for now; the same one again changes nothing", () => {
    const state = running();
    expect(run(state, { ...change, vehicleId: null, keepFindings: true, keepAnswers: true }).vehicleId).toBeNull();
    expect(run(state, { ...change, vehicleId: state.vehicleId, keepFindings: false, keepAnswers: false })).toEqual(
      state,
    );
  });
});

it("another customer takes over, with the exemption of that one", () => {
  const change = { type: "changeCustomer", customerId: "else", keepAnswers: false } as const;
  const state = run(running(), change, { taxExempt: true });
  expect(state).toMatchObject({ customerId: "else", taxExempt: true, findings: [{ pointId: "pads" }] });
  expect(state.jobs[0]?.answer).toBeNull();
});

describe("what a swap means", () => {
  const stakes = {
    findings: 3,
    odometerMiles: 61_000,
    pricedJobs: 2,
    answers: 1,
    finishedJobs: 1,
    partsOnTheWay: 2,
    paidCents: 5000,
  };
  it("is said of each thing that hangs on it, before it is done", () => {
    const words = swapWords(stakes, { kind: "vehicle", keepFindings: false, keepAnswers: false }).join("\n");
    expect(words).toMatch(/3 findings and the odometer: taken off/);
    expect(words).toMatch(/2 jobs: the prices stay as they are/);
    expect(words).toMatch(/1 answer: asked anew/);
    expect(words).toMatch(/1 finished job: stays on the bill/);
    expect(words).toMatch(/2 parts ordered or in hand: check that they fit/);
    expect(words).toMatch(/\$50\.00 paid: stays/);
  });
  it("differs for a customer, for a car taken off, and where things are kept", () => {
    const customer = swapWords(stakes, { kind: "customer", keepFindings: false, keepAnswers: true }).join("\n");
    expect(customer).not.toMatch(/finding/);
    expect(customer).toMatch(/still holds/);
    expect(customer).toMatch(/receipt goes to the new customer/);
    expect(swapWords(stakes, { kind: "detach", keepFindings: true, keepAnswers: true })[1]).toMatch(
      /may not fit the next car/,
    );
  });
  it("is nothing where nothing hangs on it", () => {
    expect(swapWords(swapStakes(start()), { kind: "vehicle", keepFindings: false, keepAnswers: false })).toEqual([
      "Nothing hangs on it yet.",
    ]);
  });
});
