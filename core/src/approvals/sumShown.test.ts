import fc from "fast-check";
import { USUAL_PAPERS } from "../papers/paperSettings";
import { shownQuoteOf } from "../customerPage/shownQuoteOf";
import { balanceOf } from "../payments/balance";
import { someAnswers } from "../testing/someAnswers";
import { POINTS, start } from "../testing/sampleWorkOrder";
import { recordAnswers } from "./recordAnswers";
import { openJobs } from "./standing";
import { chosenWay, sumShown } from "./sumShown";

const WITH = {
  points: POINTS,
  before: [],
  specs: {},
  language: "en" as const,
  checksums: new Map(),
  papers: USUAL_PAPERS,
};
const CONTEXT = {
  ...{ aggregateId: "order", commandId: "c", at: "2026-11-23T17:00:00.000Z" },
  actor: { id: "me", name: "Me", rights: [] },
};

it("whatever is answered to whatever quote, what is shown to be agreed is what is owed, and every yes stands", () => {
  fc.assert(
    fc.property(someAnswers, ({ quote, chosen }) => {
      const state = { ...start(), ...quote };
      const shown = shownQuoteOf(state, WITH);
      const { totalCents, discountCents, creditCents } = sumShown(shown, chosen);
      const answers = shown.jobs.flatMap((job) => {
        const answer = chosen.get(job.id);
        if (!answer) return [];
        const way = chosenWay(job, answer);
        return [{ jobId: job.id, title: job.title, answer: answer.value, otherId: way.otherId, totalCents: way.cents }];
      });
      const given = { approvalId: "a", way: "page" as const, name: "Maren", signature: [], answers, totalCents, shown };
      const after = { ...state, ...recordAnswers(state, given, CONTEXT) };
      expect(after.conflicts).toEqual([]);
      expect(openJobs(after)).toEqual([]);
      expect(balanceOf(after).totalCents).toBe(totalCents);
      expect(Math.min(discountCents, creditCents)).toBeGreaterThanOrEqual(0);
    }),
    { numRuns: 500 },
  );
});

it("tells nothing of what it costs us", () => {
  fc.assert(
    fc.property(someAnswers, ({ quote }) => {
      const text = JSON.stringify(shownQuoteOf({ ...start(), ...quote }, WITH));
      expect(text).not.toMatch(/cost|wage|markup|margin|paidHours|bands/i);
    }),
    { numRuns: 50 },
  );
});
