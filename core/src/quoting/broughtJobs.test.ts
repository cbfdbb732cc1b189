import { NO_FACTS } from "../laborGuide/carFacts";
import { LIBRARY, run, start } from "../testing/sampleWorkOrder";
import { broughtJobs } from "./broughtJobs";
import { libraryJob } from "./libraryJob";
import { libraryJobFault } from "./libraryFile";
import { wholeOrderFromQuote } from "./wholeOrderFromQuote";

const [BRAKES] = LIBRARY;
if (!BRAKES) throw new Error("no sample");
const bring = (libraryJobId: string, variantId: string | null = null) => ({ libraryJobId, positions: [], variantId });
const order = (id: string, ...brings: ReturnType<typeof bring>[]) =>
  libraryJob.parse({ id, title: "Spring round", area: "A", curesPoints: [], answersConcerns: [], lines: [], brings });
const STRUT = libraryJob.parse({ ...BRAKES, id: "strut", per: "corner", positions: ["leftFront", "rightFront"] });
const PLUGS = libraryJob.parse({
  ...BRAKES,
  id: "plugs",
  fits: [{ lineId: BRAKES.lines[0]?.id, operations: ["plugs"] }],
});
const SPRING = order("spring", bring("brakes", "best"), bring("strut"), bring("gone"), bring("other"), bring("plugs"));
const OTHER = order("other", bring("spring"));
const ALL = [BRAKES, STRUT, PLUGS, SPRING, OTHER];
const ELECTRIC = { ...NO_FACTS, power: { value: "electric", from: "car" } } as const;
const GUIDE = {
  version: 1,
  source: "Made up",
  simulated: true,
  steps: [],
  operations: [
    {
      id: "plugs",
      title: "Plugs",
      area: "A",
      part: "plugs",
      per: "job",
      inTheWay: null,
      steps: ["x"],
      only: [{ fact: "power", is: "spark" }],
    },
  ],
} as unknown as NonNullable<Parameters<typeof broughtJobs>[2]["guide"]>;
const to = { facts: ELECTRIC, guide: GUIDE, isAfterHours: false };
const jobId = "00000000-0000-4000-8000-000000000001";
const lineIds = BRAKES.lines.map((_, index) => `00000000-0000-4000-8000-00000000001${index}`);
const add = (libraryJobId: string) =>
  run(start(), { type: "addJob", jobId, libraryJobId, lineIds, concernId: null, pointIds: [] }, { library: ALL });

it("brings each job fitted where it is usually done; what is gone and orders in orders are passed over", () => {
  const { jobs, doNotApply, there } = broughtJobs(SPRING, ALL, { ...to, quote: start() });
  expect(jobs.map(({ job, fit }) => [job.id, fit.positions, fit.variantId])).toEqual([
    ["brakes", [], "best"],
    ["strut", ["leftFront", "rightFront"], null],
  ]);
  expect(doNotApply.map(({ id }) => id)).toEqual(["plugs"]);
  expect(there).toEqual([]);
  expect(broughtJobs(OTHER, ALL, { ...to, quote: start() }).jobs).toEqual([]);
});

it("does not bring what is on the quote already, and is no job by itself", () => {
  expect(broughtJobs(SPRING, ALL, { ...to, quote: add("brakes") }).there).toEqual([BRAKES]);
  expect(() => add("spring")).toThrow("job/whole-order");
});

it.each([
  [order("spring", bring("spring")), /does not bring itself/],
  [order("spring", bring("brakes"), bring("brakes")), /each job once/],
  [{ ...SPRING, lines: BRAKES.lines }, /has no lines of its own/],
  [order("spring", ...Array.from({ length: 31 }, (_, index) => bring(`job-${index}`))), /up to 30 jobs/],
])("is not kept as it is %#", (wrong, words) => {
  expect(libraryJobFault(wrong)).toMatch(words);
});

it("is made of a work order: library jobs as they were picked, jobs of its own kept with it", () => {
  const [brakes] = add("brakes").jobs;
  if (!brakes) throw new Error("no job");
  const fit = { facts: {}, positions: ["leftFront" as const], variantId: "best", lineIds: [] };
  const jobs = [
    { ...brakes, fit },
    { ...brakes, fit },
    { ...brakes, id: "own", title: "Squeak", libraryJobId: null },
  ];
  const kept = wholeOrderFromQuote(jobs, { id: "o", title: "All of it", area: "W" }, ALL, undefined, () => "new");
  expect(kept).toMatchObject([
    { id: "new", title: "Squeak", area: "W", brings: [] },
    {
      id: "o",
      title: "All of it",
      lines: [],
      brings: [
        { libraryJobId: "brakes", positions: ["leftFront"], variantId: "best" },
        { libraryJobId: "new", positions: [], variantId: null },
      ],
    },
  ]);
  expect(wholeOrderFromQuote([], { id: "o", title: "T", area: "A" }, ALL, undefined, () => "new")).toEqual([]);
});
