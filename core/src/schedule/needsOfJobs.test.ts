import { LIBRARY } from "../testing/sampleWorkOrder";
import type { LibraryJob } from "../quoting/libraryJob";
import type { Job } from "../quoting/slice";
import { needsOfJobs } from "./needsOfJobs";

const labor = (hours: number): Job["lines"] => [
  { id: "l", kind: "labor", description: "Do", hours, rateCents: 1, wageCents: null, paidHours: null },
];
const job = (hours: number, over: Partial<Job> = {}): Job => ({
  id: "j",
  title: "J",
  libraryJobId: "cold",
  concernId: null,
  pointId: null,
  lines: labor(hours),
  addedAt: "",
  answer: null,
  finishedAt: null,
  ...over,
});
const library: LibraryJob[] = LIBRARY.map((each) => ({
  ...each,
  id: "cold",
  needs: { ...each.needs, skill: "Refrigerant" },
}));
const said = (value: "no" | "later" | "yes"): Job["answer"] => ({ value, approvalId: "a", totalCents: 0 });

it.each<[string, Job[], number | null]>([
  ["an hour and the set-up", [job(1)], 75],
  ["whole quarter hours", [job(0.3), job(0.4)], 60],
  ["nothing for what is finished or declined", [job(1, { finishedAt: "x" }), job(1, { answer: said("no") }), job(2, { answer: said("later") })], null],
  ["what was agreed", [job(1.5, { answer: said("yes") })], 105],
  ["nothing known", [], null],
])("takes %s", (_name, jobs, minutes) => {
  expect(needsOfJobs(jobs, library).minutes).toBe(minutes);
}); // prettier-ignore

it("asks for each skill once", () => {
  expect(needsOfJobs([job(1), job(2), job(1, { libraryJobId: null })], library).skills).toEqual(["Refrigerant"]);
});
