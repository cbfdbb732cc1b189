import { fireEvent, screen } from "@testing-library/react-native";
import type { Job } from "@mechanon/core";
import { fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { jobSample, stateSample, viewSample } from "../testing/samples";
import { JobWays } from "./JobWays";
import { WaysBeside } from "./WaysBeside";

const JOB = jobSample({ id: "j", title: "Caliper", answer: null });
const two: Partial<Job> = {
  way: { id: "w", title: "Rebuilt" },
  others: [{ id: null, title: "Standard", lines: JOB.lines }],
};
const draw = (over: Partial<Job>): void => {
  fakeServer({});
  const job = { ...JOB, ...over };
  const state = stateSample({ jobs: [job] });
  resetSync({ "order-1": viewSample({ state }) });
  show(
    <>
      <WaysBeside job={job} state={state} />
      <JobWays workOrderId={state.id} job={job} />
    </>,
  );
};

it("offers a job in one more way, called as it is typed", () => {
  draw({});
  fireEvent.changeText(screen.getByLabelText("One more way, called"), " Rebuilt ");
  fireEvent.press(screen.getByRole("button", { name: "Offer one more way" }));
  expect(givenCommands()).toMatchObject([{ type: "addWay", jobId: "j", title: "Rebuilt", standingTitle: "Standard" }]);
});

it("shows each other way at its price, to be changed, called otherwise or taken off", () => {
  draw(two);
  expect(screen.getByText("This way: Rebuilt")).toBeTruthy();
  expect(screen.getByText(/^Beside it: Standard, \$/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Change Standard" }));
  fireEvent.press(screen.getByRole("button", { name: "Offer Standard no more" }));
  const field = screen.getByLabelText("What rebuilt is called");
  fireEvent.changeText(field, "Rebuilt part");
  fireEvent(field, "blur");
  expect(givenCommands()).toEqual([
    { type: "standInWay", jobId: "j", otherId: null },
    { type: "removeOtherWay", jobId: "j", otherId: null },
    { type: "nameWay", jobId: "j", otherId: "w", title: "Rebuilt part" },
  ]);
});

it.each<[string, Partial<Job>, RegExp]>([
  [
    "three ways are offered",
    { ...two, others: [...(two.others ?? []), { id: "x", title: "Used", lines: [] }] },
    /^Three ways/,
  ],
  ["one price is set", { setPrice: { priceCents: 1, included: [] } }, /^One price/],
  ["they said yes", { answer: { value: "yes", approvalId: "a", totalCents: 1 } }, /^They said yes/],
])("offers no more where %s", (_name, over, words) => {
  draw(over);
  expect(screen.getByText(words)).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Offer one more way" })).toBeNull();
});
