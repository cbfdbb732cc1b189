import fc from "fast-check";
import { planLoan } from "./loan";

const loan = fc.record({
  amount: fc.integer({ min: 0, max: 5_000_000 }),
  aprPercent: fc.nat(400_000).map((value) => value / 10_000),
  months: fc.integer({ min: 1, max: 120 }),
});

it("pays back exactly what was lent and its interest, and ends at nothing", () => {
  fc.assert(
    fc.property(loan, (input) => {
      const plan = planLoan(input);
      expect(plan.schedule).toHaveLength(input.months);
      expect(plan.totalPaid).toBe(input.amount + plan.totalInterest);
      expect(plan.schedule.at(-1)?.balance).toBe(0);
      expect(plan.lastPayment).toBe(plan.schedule.at(-1)?.payment);
      let balance = input.amount;
      for (const month of plan.schedule) {
        expect(month.payment).toBeLessThanOrEqual(balance + month.interest);
        expect(month.balance).toBe(balance + month.interest - month.payment);
        balance = month.balance;
      }
    }),
  );
});

it("costs more at a higher rate, and nothing at none", () => {
  fc.assert(
    fc.property(loan, (input) => {
      expect(planLoan({ ...input, aprPercent: 0 }).totalInterest).toBe(0);
      const dearer = planLoan({ ...input, aprPercent: Math.round(input.aprPercent * 10_000 + 50_000) / 10_000 });
      expect(dearer.payment).toBeGreaterThanOrEqual(planLoan(input).payment);
    }),
  );
});

it("is exact over the longest run, where floating point would drift", () => {
  const plan = planLoan({ amount: 123_456_789, aprPercent: 7.3125, months: 600 });
  expect(plan.schedule.at(-1)).toMatchObject({ number: 600, balance: 0 });
  // From exact fractions outside of this program.
  expect(plan.payment).toBe(772_490);
});
