import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import { NO_FACTS, libraryJob, partName, type CarFacts, type LibraryJob } from "@mechanon/core";
import { useSync } from "../sync/state";
import { BUSINESS, fakeServer, givenCommands, problemReply, resetSync, show } from "../testing/harness";
import { LibraryFile } from "../settings/LibraryFile";
import { LibrarySettings } from "../settings/LibrarySettings";
import { GUIDE_SAMPLE, carSheetSample, jobSample, stateSample, viewSample } from "../testing/samples";
import { JobFitting } from "./JobFitting";
import { JobLibrary } from "./JobLibrary";
import { KeepJob } from "./KeepJob";
import { askable, doesNotApplyWords, includedWords, sourceWords } from "./fitWords";
import { jobChoice } from "./jobChoice";
import { LaborForPart } from "./LaborForPart";
import { PartLastTime } from "./PartLastTime";
import { PartsForLabor } from "./PartsForLabor";
import { rateWords } from "./rateWords";
import { shownOffers } from "./shownOffers";
import { wholeOrderTitle } from "./wholeOrderTitle";

jest.mock("react-hotkeys-hook", () => ({ useHotkeys: jest.fn() }));
const labor = { kind: "labor", rateCents: 10_000, wageCents: 3000, paidHours: null } as const;
const part = { kind: "part", markup: "standard", priceCents: null, partNumber: null, brand: null } as const;
const about = { area: "Underneath", curesPoints: [], answersConcerns: [] };
const STRUT = libraryJob.parse({
  ...about,
  id: "strut",
  title: "Front strut",
  per: "corner",
  positions: ["leftFront", "rightFront"],
  lines: [
    { ...labor, id: "s1", description: "Replace strut", hours: 1 },
    { ...part, id: "s2", description: "Strut", quantity: 1, costCents: 9000 },
  ],
  fits: [
    { lineId: "s1", operations: ["frontStrut"] },
    { lineId: "s2", count: { by: "positions" } },
  ],
  variants: [
    {
      id: "sport",
      title: "Sport",
      parts: [{ lineId: "s2", description: "Strut, sport", costCents: 12_000, priceCents: null, partNumber: null, brand: null }],
    },
  ],
}); // prettier-ignore
const OIL = libraryJob.parse({
  ...about,
  id: "oil",
  title: "Oil and filter",
  area: "Service",
  lines: [{ ...part, id: "o1", description: "Oil, quart", quantity: 5, costCents: 400 }],
  fits: [{ lineId: "o1", count: { by: "spec", key: "oilCapacityQuarts", unit: 1, whole: false } }],
});
const LIBRARY: LibraryJob[] = [STRUT, OIL];
const business = { ...BUSINESS, library: LIBRARY };
const CAR: CarFacts = { ...NO_FACTS, vehicleClass: { value: "car", from: "specSheet" } };
const fitter = { quote: viewSample().state, facts: CAR, guide: GUIDE_SAMPLE, isAfterHours: false };

beforeEach(() => {
  resetSync();
  fakeServer({ "GET /api/vehicles/car-1/sheet": { body: carSheetSample() } });
});

it("prices a job as it would be on this car, with what other positions and qualities cost", () => {
  const { price, positions, variants } = jobChoice(STRUT, fitter);
  expect(positions.map(({ label }) => label)).toEqual(["both fronts", "left front", "right front"]);
  expect(price).toMatch(/^\$\d/);
  expect(variants.map(({ label }) => label)[0]).toMatch(/^Sport \+\$/);
});
it("gives a price from-to while the class of the car is not known", () => {
  const dear = { ...GUIDE_SAMPLE, steps: GUIDE_SAMPLE.steps.map((step) => ({ ...step, hours: { ...step.hours, heavy: 9 } })) }; // prettier-ignore
  expect(jobChoice(STRUT, { ...fitter, facts: NO_FACTS, guide: dear, isAfterHours: false }).price).toMatch(
    /^\$.* to \$/,
  );
});
it.each([
  ["Strut, sport", "Strut"],
  ["Front pad set", "Front pad"],
  ["Tire 215/55R17 94V", "Tire"],
  ["Oil filter (long)", "Oil filter"],
  ["5W-30", "5W-30"],
])("looks in the guide for %j as %j", (description, name) => {
  expect(partName(description)).toBe(name);
});
it("from a part on the quote to its labor, as a line of the same job", () => {
  const line = {
    ...part,
    id: "p1",
    kind: "part" as const,
    description: "Front strut, sport",
    quantity: 1,
    costCents: 1,
  };
  show(<LaborForPart line={line} jobId="job-1" view={viewSample()} business={business} />);
  fireEvent.press(screen.getByRole("button", { name: "Labor for front strut" }));
  const [offered] = screen.getAllByRole("button", { name: /^Add labor/ });
  if (offered) fireEvent.press(offered);
  expect(givenCommands()).toMatchObject([{ type: "addOperation", jobId: "job-1" }]);
});
it("from labor of the guide on the quote to its parts, as lines of the same job", () => {
  const steps = [{ key: "strut@leftFront", title: "strut", hours: 1 }];
  const line = { ...labor, id: "l1", description: "Front strut", hours: 1, operations: ["frontStrut"], steps };
  const job = jobSample({ id: "job-1", lines: [line] });
  show(<PartsForLabor line={line} job={job} view={viewSample()} business={business} />);
  fireEvent.press(screen.getByRole("button", { name: "Parts for it" }));
  fireEvent.press(screen.getByRole("button", { name: "Add part for front strut, 1 × Strut" }));
  expect(givenCommands()).toMatchObject([
    { type: "addPart", jobId: "job-1", libraryJobId: "strut", libraryLineId: "s2", fit: { positions: ["leftFront"] } },
  ]);
  screen.unmount();
  show(<PartsForLabor line={{ ...line, operations: [] }} job={job} view={viewSample()} business={business} />);
  expect(screen.queryByRole("button", { name: "Parts for it" })).toBeNull();
});
it("offers the part that was used the last time where the line has another", async () => {
  const used = {
    description: "Strut, sport",
    brand: "B",
    partNumber: "S-1",
    quantity: 1,
    at: "2026-01-05T18:00:00.000Z",
  };
  const lastService = { oil: null, oilFilter: null, parts: [used], pressures: null };
  fakeServer({ "GET /api/vehicles/car-1/sheet": { body: carSheetSample({ lastService }) } });
  const line = { ...part, kind: "part" as const, id: "p1", description: "Strut", quantity: 1, costCents: 1 };
  show(<PartLastTime workOrderId="order-1" line={line} vehicleId="car-1" business={business} />);
  await screen.findByText(/^Last time, Jan 5.*Strut, sport, B S-1$/);
  fireEvent.press(screen.getByRole("button", { name: "Take the same as last time" }));
  expect(givenCommands()).toMatchObject([
    { type: "usePart", lineId: "p1", description: "Strut, sport", partNumber: "S-1", brand: "B" },
  ]);
});
it("says which rate stands and why, reasons joined; nothing of the general one or a typed one", () => {
  const line = { ...labor, id: "r", description: "Work", hours: 1 };
  const rated = (because: string[]) => rateWords({ ...line, rate: { id: "n", because } }, { rates: [] });
  expect(rated(["afterHours", "age"])).toBe("A former rate, since it is after hours and the car is of that age");
  expect([rated([]), rateWords(line, {})]).toEqual([null, null]);
});
it("favorites stand first, then what was used last, then the rest in its own order", () => {
  const jobs = ["a", "b", "c", "d"].map((id) => ({ ...OIL, id, isFavorite: id === "d" }));
  const shown = shownOffers([], jobs, "", "", ["c", "b"]);
  expect(shown.map(({ libraryJob }) => libraryJob.id)).toEqual(["d", "c", "b", "a"]);
});
it("the commonest job is one tap away, at the positions that are usual", async () => {
  fakeServer({ "GET /api/library/usage": { body: { common: ["strut", "gone"], last: [] } } });
  show(<JobLibrary view={viewSample()} business={business} onDone={jest.fn()} />);
  fireEvent.press(await screen.findByRole("button", { name: /Add often done, Front strut, both fronts/ }));
  expect(givenCommands()).toMatchObject([
    { type: "addJob", libraryJobId: "strut", fit: { positions: ["leftFront", "rightFront"] } },
  ]);
});
it("finds jobs by the beginnings of words in title, area and parts", () => {
  const ids = (typed: string, area = ""): string[] =>
    shownOffers([], LIBRARY, typed, area).map(({ libraryJob: { id } }) => id);
  expect(ids("fil oi")).toEqual(["oil"]);
  expect(ids("quart")).toEqual(["oil"]);
  expect(ids("trut")).toEqual([]);
  expect(ids("", "Underneath")).toEqual(["strut"]);
  expect(ids("")).toEqual(["strut", "oil"]);
});
it("says where figures come from, what is shared, and why a job is none for a car", () => {
  const steps = [{ key: "a", title: "Wheel", hours: 0.2 }, { key: "b", title: "Rod", hours: 0.5 }]; // prettier-ignore
  const line = { ...labor, id: "1", description: "", hours: 0.5, steps, sources: [{ of: "hours" as const, from: "guide" as const }] }; // prettier-ignore
  expect(sourceWords(line)).toEqual(["Hours from the guide", "0.2 h less: a step another line has, too, is paid once"]);
  expect(includedWords([...steps, ...steps])).toBe("Included: wheel 0.4 h; rod 1 h");
  expect(sourceWords({ ...line, byHand: true })).toEqual([]);
  expect(doesNotApplyWords({ fact: "power", is: "spark" })).toBe("Only for a car with an engine with spark plugs");
  expect(askable(["layout", "power", "oilGrade"])).toEqual(["engineLayout", "oilGrade"]);
});
it("puts a job on the quote with one tap on where it is done, or on its quality", async () => {
  const added = jest.fn();
  show(<JobLibrary view={viewSample()} business={business} onDone={added} />);
  fireEvent.press(await screen.findByRole("button", { name: "Add Front strut, left front" }));
  expect(added).toHaveBeenCalledTimes(1);
  const [command] = givenCommands();
  expect(command).toMatchObject({
    type: "addJob",
    libraryJobId: "strut",
    fit: { positions: ["leftFront"], variantId: null },
  });
  fireEvent.press(screen.getByRole("button", { name: /^Add Front strut, Sport/ }));
  expect(givenCommands()[1]).toMatchObject({ fit: { variantId: "sport" } });
});
it("changes place and quality of a job later, and asks once what is not known of the car", async () => {
  const fit = { facts: CAR, positions: [], variantId: null, lineIds: [] };
  const job = jobSample({ id: "job-1", libraryJobId: "oil", fit });
  const strut = jobSample({ id: "job-2", libraryJobId: "strut", fit: { ...fit, positions: ["leftFront" as const] } });
  const view = viewSample();
  const shown = { ...view, state: { ...view.state, jobs: [job, strut] } };
  show(
    <>
      <JobFitting job={job} view={shown} business={business} />
      <JobFitting job={strut} view={shown} business={business} />
    </>,
  );
  expect(screen.queryByText(/The guide has no hours/)).toBeNull();
  fireEvent.press(await screen.findByRole("radio", { name: "right front" }));
  expect(givenCommands()[0]).toMatchObject({ type: "refitJob", jobId: "job-2", fit: { positions: ["rightFront"] } });
  fireEvent.press(screen.getByRole("button", { name: "Not known of this car: engine oil with filter" }));
  fireEvent.changeText(screen.getByLabelText(/Engine oil with filter as found/), "5.4");
  fireEvent.press(screen.getByTestId("save-correction"));
  await act(async () => undefined);
  expect(useSync.getState().pending.some(({ kind }) => kind === "specCorrection")).toBe(true);
});

it("adds labor straight from the guide, found by the part it is for", async () => {
  const added = jest.fn();
  show(<JobLibrary view={viewSample()} business={business} onDone={added} />);
  fireEvent.changeText(await screen.findByLabelText("Find a job"), "blades");
  fireEvent.press(await screen.findByRole("button", { name: "Add labor, wiperBlades" }));
  expect(givenCommands()[0]).toMatchObject({ type: "addOperation", operationId: "wiperBlades", positions: [] });
  expect(added).toHaveBeenCalled();
});
it("keeps a job in the library under a title and an area, and says what the server says", async () => {
  const server = fakeServer({
    "POST /api/library/jobs": (asked) =>
      server.asked.length === 1
        ? problemReply(409, "list/too-long", "The library is full.")
        : { body: { ...OIL, ...(asked.body as object) } },
    "GET /api/business": { body: BUSINESS },
  });
  show(<KeepJob workOrderId="order-1" jobId="job-1" initial={{ title: "Oil and filter", area: "Service" }} />);
  fireEvent.press(screen.getByRole("button", { name: "Keep in the library" }));
  fireEvent.changeText(screen.getByLabelText("Title in the library"), "");
  fireEvent.press(screen.getByTestId("keep-job"));
  await screen.findByText(/a title is needed/);
  fireEvent.changeText(screen.getByLabelText("Title in the library"), "Ours");
  fireEvent.press(screen.getByTestId("keep-job"));
  await screen.findByText("The library is full.");
  fireEvent.press(screen.getByTestId("keep-job"));
  await screen.findByText("“Ours” is in the library now, under Service.");
  const ids = server.asked.filter(({ method }) => method === "POST").map(({ body }) => (body as { id: string }).id);
  expect(new Set(ids).size).toBe(1);
});
describe("a whole order kept ready", () => {
  const SPRING = libraryJob.parse({
    ...about,
    id: "spring",
    title: "Spring round",
    area: "Whole orders",
    lines: [],
    brings: ["oil", "strut", "gone"].map((libraryJobId) => ({ libraryJobId, positions: [], variantId: null })),
  });
  const withOrder = { ...business, library: [...LIBRARY, SPRING] };
  it("puts all its jobs on the quote with one tap, and says before what it brings", () => {
    const added = jest.fn();
    show(<JobLibrary view={viewSample()} business={withOrder} onDone={added} />);
    expect(screen.getByText("Brings Oil and filter, Front strut")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Add all of Spring round" }));
    expect(givenCommands()).toMatchObject([
      { type: "addJob", libraryJobId: "oil" },
      { type: "addJob", libraryJobId: "strut", fit: { positions: ["leftFront", "rightFront"] } },
    ]);
    expect(added).toHaveBeenCalled();
  });
  it("says what is on the quote already, and cannot be added where nothing is left", () => {
    const there = (...ids: string[]) =>
      ids.map((libraryJobId) => jobSample({ id: libraryJobId, libraryJobId, lines: [] }));
    const part = viewSample({ state: stateSample({ jobs: there("oil") }) });
    show(<JobLibrary view={part} business={withOrder} onDone={jest.fn()} />);
    expect(screen.getByText("Brings Front strut; on it already: Oil and filter")).toBeTruthy();
    screen.unmount();
    const all = viewSample({ state: stateSample({ jobs: there("oil", "strut") }) });
    show(<JobLibrary view={all} business={withOrder} onDone={jest.fn()} />);
    expect(screen.getByText(/^Brings nothing to this car/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Add all of Spring round" })).toBeNull();
  });
  it("is kept from a work order", async () => {
    const server = fakeServer({ "POST /api/library/jobs": { body: SPRING }, "GET /api/business": { body: BUSINESS } });
    const initial = { title: wholeOrderTitle([{ title: "Oil" }, { title: "Wipers" }]), area: "Whole orders" };
    show(<KeepJob workOrderId="order-1" jobId={null} initial={initial} />);
    fireEvent.press(screen.getByRole("button", { name: "Keep all of it as one order" }));
    fireEvent.press(screen.getByTestId("keep-job"));
    await screen.findByText("“Oil, and 1 more” is in the library now, under Whole orders.");
    expect(server.asked.find(({ method }) => method === "POST")?.body).toMatchObject({
      workOrderId: "order-1",
      jobId: null,
    });
  });
});
it("lists the jobs kept ready, and takes one out after it was asked", async () => {
  const server = fakeServer({
    "DELETE /api/library/jobs/wipers": { status: 204, body: null },
    "GET /api/business": { body: BUSINESS },
  });
  show(<LibrarySettings />);
  fireEvent.press(await screen.findByRole("button", { name: "Wiper blades, Outside" }));
  await screen.findByText("2 × Wiper blade");
  fireEvent.press(screen.getByRole("button", { name: "Take wiper blades out of the library" }));
  fireEvent.press(screen.getByTestId("remove-job"));
  await waitFor(() => expect(server.asked.some(({ method }) => method === "DELETE")).toBe(true));
  fireEvent.changeText(screen.getByLabelText("Find a job"), "zeppelin");
  await screen.findByText("No job has “zeppelin” in title, area or parts.");
});

it("shows what a file of jobs would change before it does", async () => {
  const answer = { added: 1, changed: 0, same: 2, faults: [{ row: 3, title: "Half", words: "lines: missing" }] };
  const server = fakeServer({ "POST /api/library/file": { body: answer }, "GET /api/business": { body: BUSINESS } });
  show(<LibraryFile />);
  const file = { name: "jobs.json", text: () => Promise.resolve("{}") };
  fireEvent.press(screen.getByRole("button", { name: "In and out as a file" }));
  const picked = { target: { files: [file], value: "" } };
  // The browser's own field for files, which React Native does not know.
  const input = screen.UNSAFE_root.findAll(({ type }) => type === ("input" as string))[0];
  await act(async () => (input?.props.onChange as (event: typeof picked) => void)(picked));
  await screen.findByText("Only tried so far: 1 new job, 2 as they are, 1 left out.");
  await screen.findByText("No. 3, Half: lines: missing");
  fireEvent.press(screen.getByTestId("bring-in-library"));
  await screen.findByText("Brought in: 1 new job, 2 as they are, 1 left out.");
  const sent = server.asked
    .filter(({ method }) => method === "POST")
    .map(({ body }) => (body as { isDry: boolean }).isDry);
  expect(sent).toEqual([true, false]);
});

it("says that the guide has no hours for a class of vehicle", async () => {
  const heavy = { key: "vehicleClass", value: "Heavy pickup or van", at: "2026-11-20T17:00:00.000Z", by: "Odile" };
  fakeServer({ "GET /api/vehicles/car-1/sheet": { body: { ...carSheetSample(), corrections: [heavy] } } });
  const steps = GUIDE_SAMPLE.steps.map((step) => ({ ...step, hours: { ...step.hours, heavy: null } }));
  const fit = { facts: CAR, positions: ["leftFront" as const], variantId: null, lineIds: [] };
  const strut = jobSample({ id: "job-2", libraryJobId: "strut", fit });
  const view = viewSample();
  const shown = { ...view, state: { ...view.state, jobs: [strut] } };
  show(<JobFitting job={strut} view={shown} business={{ ...business, guide: { ...GUIDE_SAMPLE, steps } }} />);
  await screen.findByText(/The guide has no hours for this class of vehicle/);
});
