import { LIBRARY } from "../testing/sampleWorkOrder";
import { libraryChanges, readLibraryFile, writeLibraryFile } from "./libraryFile";

const [SAMPLE] = LIBRARY;
if (!SAMPLE) throw new Error("no sample");
const fileOf = (...jobs: object[]): string => JSON.stringify({ version: 1, jobs });
const wordsOf = (...jobs: object[]): string[] => readLibraryFile(fileOf(...jobs)).faults.map(({ words }) => words);

it("reads what it wrote, mark and all", () => {
  expect(readLibraryFile(`\uFEFF${writeLibraryFile(LIBRARY)}`)).toEqual({ jobs: LIBRARY, faults: [] });
});
it("fills in what a file of before did not say", () => {
  const { fits: _fits, per: _per, variants: _variants, ...old } = SAMPLE;
  expect(readLibraryFile(fileOf(old)).jobs).toEqual([SAMPLE]);
});
it.each(["", "nothing", "[]", "{}", '{"version":2,"jobs":[]}', '{"version":1,"jobs":{}}'])(
  "says of %j that it is no such file",
  (text) => {
    expect(readLibraryFile(text)).toMatchObject({ jobs: [], faults: [{ row: 0 }] });
  },
);
it("keeps what can be kept, and says of the others what is wrong, by their place", () => {
  const read = readLibraryFile(fileOf(SAMPLE, { title: "Half" }, { ...SAMPLE, id: "other" }, SAMPLE));
  expect(read.jobs.map(({ id }) => id)).toEqual(["brakes", "other"]);
  expect(read.faults).toMatchObject([
    { row: 2, title: "Half", words: expect.stringMatching(/^id: /) as string },
    { row: 4, title: "Brakes", words: "a job of this id is in the file already" },
  ]);
});
it("takes no line that names nothing, costs too much or cannot be priced", () => {
  const [labor, part] = SAMPLE.lines;
  expect(wordsOf({ ...SAMPLE, id: "../x" })).toEqual(["the id is up to 60 letters, digits and hyphens"]);
  expect(wordsOf({ ...SAMPLE, title: " " })).toEqual(["a title of up to 120 letters is needed"]);
  expect(wordsOf({ ...SAMPLE, fits: [{ lineId: "9" }] })).toEqual(['no line is called "9"']);
  expect(wordsOf({ ...SAMPLE, companions: ["brakes"] })).toEqual(["a job is no companion of itself"]);
  expect(wordsOf({ ...SAMPLE, lines: [labor, { ...part, id: "1" }] })).toEqual(["two lines have one id"]);
  expect(wordsOf({ ...SAMPLE, lines: [{ ...labor, hours: 0.12345 }] })).toEqual(['"Pads" has more than four decimals']);
  expect(wordsOf({ ...SAMPLE, lines: [{ ...labor, hours: 1e9 }] })).toEqual([
    '"Pads" comes to more than ten million dollars',
  ]);
  expect(wordsOf({ ...SAMPLE, lines: [{ ...part, costCents: null }] })).toEqual([
    '"Pad set" has neither cost nor price',
  ]);
  expect(wordsOf({ ...SAMPLE, lines: [{ ...labor, hours: -1 }] })[0]).toMatch(/^lines.0.hours: /);
});
it("tells what would be new, other and the same", () => {
  const changes = libraryChanges(LIBRARY, [SAMPLE, { ...SAMPLE, id: "new" }]);
  expect([changes.added.length, changes.changed.length, changes.same.length]).toEqual([1, 0, 1]);
  expect(libraryChanges(LIBRARY, [{ ...SAMPLE, title: "Otherwise" }]).changed).toHaveLength(1);
});
