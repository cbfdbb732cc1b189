import { nextActLabel } from "./nextActLabel";
import { REFUSAL_CODES, conflictWords, refusalWords } from "./refusals";

it("has words for every refusal, mark and act", () => {
  for (const code of REFUSAL_CODES) expect(refusalWords(code).length).toBeGreaterThan(20);
  expect(conflictWords({ code: "payment/more-than-owed", detail: "1250" })).toContain("12.50");
  expect(nextActLabel({ act: "takePayment", dueCents: 18000 })).toBe("Take $180.00");
  expect(nextActLabel({ act: "finishJobs", jobs: 1 })).toBe("Finish 1 job");
  expect(nextActLabel({ act: "nothing" })).toBeNull();
});
