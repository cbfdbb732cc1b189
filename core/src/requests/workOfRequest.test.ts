import { LIBRARY } from "../testing/sampleWorkOrder";
import { workOfRequest } from "./workOfRequest";

const wish = (id: string, phraseId: string | null, jobId: string | null) => ({
  id,
  en: `EN ${id}`,
  es: `ES ${id}`,
  phraseId,
  jobId,
});
const jobId = LIBRARY[0]?.id ?? "";
const WISHES = [wish("a", "p", jobId), wish("b", null, jobId), wish("c", "gap", null)];
const PHRASES = [
  { id: "p", text: "Squeals", kind: "fault" as const, area: "Brakes", causes: [], corrections: [] },
  { id: "gap", text: "Leaks {where}", kind: "fault" as const, area: "Engine", causes: [], corrections: [] },
];
const work = (wishIds: string[], words = "") => workOfRequest({ wishIds, words }, WISHES, PHRASES, LIBRARY);

it("says each wish once, by its phrase, and brings its job once", () => {
  const { concerns, jobs } = work(["a", "b", "a"]);
  expect(concerns).toEqual([
    { text: "Squeals", kind: "fault", phraseId: "p" },
    { text: "EN b", kind: "wish", phraseId: null },
  ]);
  expect(jobs.map(({ id }) => id)).toEqual([jobId]);
});

it("says a phrase with gaps by the wish's name, and still stands for the phrase", () => {
  expect(work(["c"]).concerns).toEqual([{ text: "EN c", kind: "fault", phraseId: "gap" }]);
});

it.each([
  ["own words come after", "it\nhums  at dusk", ["Squeals", "it hums at dusk"]],
  ["what a wish says already is not said again", "es A", ["Squeals"]],
  ["nor what its phrase says", " squeals ", ["Squeals"]],
])("%s", (_name, words, texts) => {
  expect(work(["a"], words).concerns.map(({ text }) => text)).toEqual(texts);
});

it("passes over a wish that is published no more", () => expect(work(["gone"], "x").concerns).toHaveLength(1));
