import { LIBRARY } from "../testing/sampleWorkOrder";
import type { LibraryJob } from "../quoting/libraryJob";
import type { Job } from "../quoting/slice";
import { nothingArranged, type Arranged } from "../visits/arranged";
import { USUAL_VISITS } from "../visits/visitSettings";
import { needsOfVisit, type VisitNeeds } from "./needsOfVisit";

const labor = (hours: number): Job["lines"] => [
  { id: "l", kind: "labor", description: "Do", hours, rateCents: 1, wageCents: null, paidHours: null },
];
const job = (hours: number, over: Partial<Job> = {}): Job => ({
  id: "j",
  title: "J",
  libraryJobId: "cold",
  concernId: null,
  pointIds: [],
  lines: labor(hours),
  addedAt: "",
  answer: null,
  finishedAt: null,
  ...over,
});
const library: LibraryJob[] = LIBRARY.map((each) => ({
  ...each,
  id: "cold",
  lines: labor(0.5),
  answersConcerns: ["warm"],
  needs: { ...each.needs, skill: "Refrigerant", carries: "Gas scale", place: ["dry"] },
}));
const needs = (jobs: Job[], agreed: Partial<Arranged> = {}, phrases: string[] = []): VisitNeeds =>
  needsOfVisit({ jobs, concerns: phrases.map((phraseId) => ({ id: phraseId, phraseId })) }, library, USUAL_VISITS, {
    ...nothingArranged(),
    ...agreed,
  });
const said = (value: "no" | "later" | "yes"): Job["answer"] => ({ value, approvalId: "a", totalCents: 0 });

it.each<[string, Job[], number | null]>([
  ["an hour and the set-up", [job(1)], 75],
  ["whole quarter hours", [job(0.3), job(0.4)], 60],
  ["nothing for what is finished or declined", [job(1, { finishedAt: "x" }), job(1, { answer: said("no") }), job(2, { answer: said("later") })], null],
  ["what was agreed", [job(1.5, { answer: said("yes") })], 105],
  ["nothing known", [], null],
])("takes %s", (_name, jobs, minutes) => {
  expect(needs(jobs).minutes).toBe(minutes);
}); // prettier-ignore

it("asks for each skill once", () => {
  expect(needs([job(1), job(2), job(1, { libraryJobId: null })]).skills).toEqual(["Refrigerant"]);
});

it("takes what the library has for a concern nothing answers yet, and nothing for one that is answered", () => {
  expect(needs([], {}, ["warm"])).toMatchObject({ minutes: 45, skills: ["Refrigerant"], carries: ["Gas scale"] });
  expect(needs([], {}, ["warm"]).conditions).toEqual([{ condition: "dry", jobs: [expect.any(String)] }]);
  expect(needs([job(1, { concernId: "warm" })], {}, ["warm"]).minutes).toBe(75);
  expect(needs([], {}, ["hums"]).minutes).toBeNull();
});

it("takes longer, and is urgent, by what was answered at the call", () => {
  expect(needs([job(1)], { starts: false })).toMatchObject({ minutes: 90, isUrgent: true });
  expect(needs([job(1)], { starts: true, lampOn: true, wheelLockKey: false })).toMatchObject({
    minutes: 120,
    isUrgent: false,
  });
});
