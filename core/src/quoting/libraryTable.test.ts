import { LIBRARY, SETTINGS } from "../testing/sampleWorkOrder";
import { libraryJob, type LibraryJob } from "./libraryJob";
import { LIBRARY_COLUMNS, jobsFromRows, rowsOfJobs } from "./libraryTable";

const OIL = libraryJob.parse({
  id: "oil",
  title: "Oil",
  area: "Service",
  curesPoints: ["oil"],
  answersConcerns: ["c"],
  words: { customer: "Changed, checked", mechanic: "=New washer" },
  needs: { skill: "engine", place: ["dry", "levelHardGround"].sort(), rights: ["refrigerant"] },
  isDiagnosis: true,
  companions: ["brakes"],
  lines: [
    {
      id: "l",
      kind: "labor",
      description: "Do",
      hours: 0.5,
      rateCents: 9_900,
      wageCents: 1,
      paidHours: 0.4,
      priceByHand: true,
    },
    {
      id: "p",
      kind: "part",
      description: "Oil",
      quantity: 5.5,
      costCents: 400,
      markup: "standard",
      priceCents: null,
      partNumber: "N",
      brand: "B",
    },
    { id: "f", kind: "fee", description: "Waste", quantity: 1, priceCents: 350 },
    { id: "c", kind: "core", description: "Core", quantity: 1, priceCents: 900 },
  ],
  fits: [{ lineId: "p", count: { by: "cylinders" } }],
  variants: [
    {
      id: "v",
      title: "Better",
      parts: [{ lineId: "p", description: "O", costCents: 1, priceCents: null, partNumber: null, brand: null }],
    },
  ],
});
const SPRING = libraryJob.parse({
  id: "spring",
  title: "Spring round",
  area: "Whole orders",
  curesPoints: [],
  answersConcerns: [],
  lines: [],
  brings: [
    { libraryJobId: "oil", positions: ["leftFront"], variantId: "v" },
    { libraryJobId: "brakes", positions: [], variantId: null },
  ],
});
const JOBS = [OIL, ...LIBRARY, SPRING];
const RULES = SETTINGS.rules;
const HEADINGS = [...LIBRARY_COLUMNS];
const read = (rows: string[][], headings: string[] = HEADINGS, before: LibraryJob[] = JOBS) =>
  jobsFromRows(headings, rows, before, RULES);
const sorted = (job: LibraryJob | undefined) =>
  job && { ...job, needs: { ...job.needs, place: [...job.needs.place].sort() } };
/** A row by its columns. */
const row = (cells: Partial<Record<(typeof LIBRARY_COLUMNS)[number], string>>): string[] =>
  HEADINGS.map((column) => cells[column] ?? "");
const PLAIN = { Job: "new", Title: "New", Area: "A", Kind: "fee", Line: "Call-out", Amount: "1", Price: "25" } as const;

it("comes back as it went out, with how it fits itself to a car", () => {
  const { jobs, faults } = read(rowsOfJobs(JOBS));
  expect(faults).toEqual([]);
  expect(jobs.map(sorted)).toEqual(JOBS.map(sorted));
});

it("leaves what the van must carry as it is where a table of before does not say", () => {
  const carrying = JOBS.map((job) => ({ ...job, needs: { ...job.needs, carries: "Gas scale" } }));
  const at = HEADINGS.indexOf("Carries");
  const without = (cells: readonly string[]): string[] => cells.filter((_, index) => index !== at);
  const { jobs, faults } = read(rowsOfJobs(carrying).map(without), without(HEADINGS), carrying);
  expect(faults).toEqual([]);
  expect(jobs.map(sorted)).toEqual(carrying.map(sorted));
  const emptied = read(rowsOfJobs(JOBS), HEADINGS, carrying).jobs;
  expect(emptied.map(({ needs }) => needs.carries)).toEqual(JOBS.map(() => null));
});

it("reads columns that were moved by their headings, and tells of one that is not taken", () => {
  const moved = [...HEADINGS].reverse();
  const rows = rowsOfJobs(JOBS).map((each) => [...each].reverse());
  expect(read(rows, moved).jobs.map(sorted)).toEqual(JOBS.map(sorted));
  const other = read(
    rowsOfJobs(JOBS),
    HEADINGS.map((heading) => (heading === "Brand" ? "Maker" : heading)),
  );
  expect(other.faults).toEqual([{ row: 0, title: "", words: "the column “Maker” is not taken" }]);
  expect(other.jobs[0]?.lines[1]).toMatchObject({ brand: null });
});

it("says which column is missing, and brings nothing in then", () => {
  const headings = HEADINGS.map((heading) => (heading === "Amount" ? "Qty" : heading));
  expect(read(rowsOfJobs(JOBS), headings)).toEqual({
    jobs: [],
    faults: [{ row: 0, title: "", words: "a column is missing: Amount" }],
  });
});

it("cells that slid under another heading are told by their row; the job is left out whole", () => {
  const rows = rowsOfJobs(JOBS).map((each) => [each[0] ?? "", ...each]);
  const { jobs, faults } = read(rows);
  expect(jobs).toEqual([]);
  expect(faults.map((fault) => fault.row)).toEqual([2, 6, 8]);
});

it.each([
  ["another kind", { Kind: "gift" }, "“gift” is no kind of line: labor, part, fee, sublet or core"],
  ["no amount", { Amount: "" }, "“” is no amount of “Call-out”"],
  ["an amount below none", { Amount: "-1" }, "“-1” is no amount of “Call-out”"],
  ["five decimals", { Amount: "0.12345" }, '"Call-out" has more than four decimals'],
  ["a price that is none", { Price: "dear" }, "“dear” is no price of “Call-out”"],
  ["a fee without a price", { Price: "" }, "“Call-out” has no price"],
  [
    "a part that cannot be priced",
    { Kind: "part", Price: "", Cost: "3" },
    "“Call-out” has neither a price, nor a cost with a table",
  ],
  ["a place nobody has", { Place: "a lift" }, "“a lift” is none of levelHardGround, roof, power, dry, daylight"],
  ["no area", { Area: "" }, "an area is needed"],
  ["nothing said", { Line: "" }, "the line says nothing"],
])("tells at its row: %s", (_name, over, words) => {
  expect(read([row({ ...PLAIN, ...over })])).toEqual({ jobs: [], faults: [{ row: 2, title: "New", words }] });
});

it("a row of no job is told, an empty one is not", () => {
  expect(read([row({ ...PLAIN, Job: "" }), row({}), row(PLAIN)])).toMatchObject({
    jobs: [{ id: "new", lines: [{ description: "Call-out", priceCents: 2_500 }] }],
    faults: [{ row: 2, words: "the row does not say which job it is of" }],
  });
});

it("reads 5,000 rows, and says of each job that is at fault where", () => {
  const rows = Array.from({ length: 5_000 }, (_, index) =>
    row({ ...PLAIN, Job: `j${Math.floor(index / 4)}`, Amount: index === 4_999 ? "x" : "1" }),
  );
  const { jobs, faults } = read(rows);
  expect([jobs.length, faults.map((fault) => fault.row)]).toEqual([1_249, [5_001]]);
});
