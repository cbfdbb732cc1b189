import { approvedJobs, openJobs } from "../approvals/standing";
import { balanceOf } from "../payments/balance";
import { receiptOf } from "../payments/receipt";
import { approvedParts } from "../sourcing/partStatus";
import { run, start } from "../testing/sampleWorkOrder";
import { waitingOf } from "../workOrders/waiting";
import * as pricing from "./price/priceQuote";
import { oncePerQuote } from "./oncePerQuote";
import { quoteTotalCents } from "./totals";

it("works a question out once for the same jobs, and anew for other rules", () => {
  const workOut = jest.fn(({ jobs }: { jobs: unknown[] }) => jobs.length);
  const count = oncePerQuote(workOut);
  const state = start();
  expect([count(state), count({ ...state }), count(run(state, { type: "recordOdometer", miles: 1 }))]).toEqual([
    0, 0, 0,
  ]);
  expect(workOut).toHaveBeenCalledTimes(1);
  count({ ...state, taxExempt: true });
  count({ ...state, rules: { ...state.rules } });
  count({ ...state, jobs: [] });
  expect(workOut).toHaveBeenCalledTimes(4);
});

it("prices a state once for all jobs and once for the agreed ones, however much is asked of it", () => {
  const price = jest.spyOn(pricing, "priceQuote");
  const state = run(start(), {
    type: "addJob",
    jobId: "brakes",
    libraryJobId: "brakes",
    lineIds: ["b1", "b2"],
    concernId: null,
    pointIds: [],
  });
  price.mockClear();
  const ask = (): unknown[] => [
    balanceOf(state),
    approvedJobs(state),
    openJobs(state),
    approvedParts(state, "needed"),
    quoteTotalCents(state),
    waitingOf(state, []),
    receiptOf(state),
  ];
  ask();
  ask();
  expect(price).toHaveBeenCalledTimes(2);
});
