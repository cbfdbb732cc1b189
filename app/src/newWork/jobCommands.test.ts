import { NO_FACTS, type Job } from "@mechanon/core";
import { GUIDE_SAMPLE, LIBRARY_SAMPLE, SETTINGS_SAMPLE, jobSample } from "../testing/samples";
import { derivedId } from "./derivedId";
import { jobCommands, type WorkBegun } from "./jobCommands";
import { tryWanted } from "./tryWanted";
import { wantedCommand, wantedOf, type WantedAround, type WantedJob } from "./wantedJob";

const AT = "2026-11-23T17:00:00.000Z";
const DRAFT = "0198f0aa-0000-7000-8000-000000000fff";
const JOB = "0198f0aa-0000-7000-8000-000000000abc";
const idAt = (place: number): string => derivedId(DRAFT, place);
const lines = LIBRARY_SAMPLE[0]?.lines ?? [];
const job = (over: Partial<Job>): Job => jobSample({ concernId: "c", pointIds: ["p"], ...over });
const AROUND: WantedAround = {
  library: LIBRARY_SAMPLE,
  guide: GUIDE_SAMPLE,
  facts: NO_FACTS,
  isAfterHours: false,
  concerns: [{ id: "c", text: "Brakes grind" }],
};
const WIPERS: WantedJob = {
  id: JOB,
  kind: "library",
  libraryJobId: "wipers",
  positions: [],
  variantId: null,
  answers: null,
};
const commandsOf = (work: Partial<WorkBegun>, around = AROUND) =>
  jobCommands({ wanted: [], copied: [], libraryJobIds: [], ...work }, around, idAt);

it("adds a library job as it is kept today, fitted to the car, without the answers of then", () => {
  const lineIds = ["w1", "w2"].map((id) => ({ id, libraryLineId: id }));
  const fit = { facts: {}, positions: ["leftFront" as const], variantId: "best", lineIds };
  const [command, ...more] = commandsOf({ copied: [job({ fit })] });
  expect(more).toEqual([]);
  expect(command).toMatchObject({
    type: "addJob",
    libraryJobId: "wipers",
    concernId: null,
    pointIds: [],
    fit: { facts: NO_FACTS, positions: ["leftFront"], variantId: "best", isAfterHours: false },
  });
  expect(command?.type === "addJob" && command.lineIds).toHaveLength(lines.length);
});

it("a line that was put on a job of the library comes along, a fee that hangs on it by itself", () => {
  const extra = { id: "x", kind: "fee" as const, description: "Parking", quantity: 1, priceCents: 600 };
  const lines = [...job({}).lines, extra, { ...extra, id: "h", feeId: "tire" }];
  const [, ...more] = commandsOf({ copied: [job({ lines })] });
  expect(more).toMatchObject([{ type: "addLine", line: { description: "Parking" } }]);
});

it("takes over a job of one's own, and one that left the library, line by line", () => {
  const gone = job({ id: "k", title: "Old job", libraryJobId: "gone", lines: lines.slice(0, 1) });
  const commands = commandsOf({ copied: [job({ libraryJobId: null }), gone] });
  expect(commands.map(({ type }) => type)).toEqual(["addOwnJob", "addLine", "addLine", "addOwnJob", "addLine"]);
  const ids = commands.map((command) =>
    command.type === "addLine" ? command.line.id : (command as { jobId: string }).jobId,
  );
  expect(new Set(ids).size).toBe(ids.length);
});

it("leaves what is finished where it is, and adds nothing twice", () => {
  const copied = [job({}), job({ id: "k", finishedAt: AT, libraryJobId: null })];
  expect(commandsOf({ copied, libraryJobIds: ["wipers", "gone"] })).toHaveLength(1);
  expect(commandsOf({ wanted: [WIPERS], copied, libraryJobIds: ["wipers"] })).toHaveLength(1);
});

it("gives the same commands the same ids however often it is asked", () => {
  const work = { wanted: [WIPERS], copied: [job({ libraryJobId: null })], libraryJobIds: ["wipers"] };
  expect(commandsOf(work)).toEqual(commandsOf(work));
});

it("puts what is wanted on the work order as it was picked", () => {
  const wanted: WantedJob[] = [
    { ...WIPERS, answers: "Brakes grind" },
    { id: JOB, kind: "operation", operationId: "frontStrut", positions: ["leftFront"] },
    { id: JOB, kind: "own", title: "Fix the squeak" },
    { ...WIPERS, libraryJobId: "gone" },
  ];
  expect(commandsOf({ wanted })).toMatchObject([
    { type: "addJob", jobId: JOB, concernId: "c", fit: { positions: [] } },
    { type: "addOperation", operationId: "frontStrut", positions: ["leftFront"] },
    { type: "addOwnJob", title: "Fix the squeak", on: { facts: NO_FACTS } },
  ]);
  const [offer] = LIBRARY_SAMPLE;
  const fit = { facts: NO_FACTS, positions: [], variantId: null };
  expect(offer && wantedOf(JOB, { libraryJob: offer, concernId: "c" }, fit, AROUND.concerns)).toEqual({
    ...WIPERS,
    answers: "Brakes grind",
  });
});

it("tries it before it is kept, and says what does not fit", () => {
  const tried = (wanted: WantedJob[]) =>
    tryWanted(
      DRAFT,
      wanted.flatMap((each) => wantedCommand(each, AROUND) ?? []),
      {
        actor: { id: "me", name: "Me", rights: [] },
        settings: SETTINGS_SAMPLE,
        library: LIBRARY_SAMPLE,
        guide: GUIDE_SAMPLE,
      },
    );
  const twice = tried([WIPERS, WIPERS, { ...WIPERS, id: "other", kind: "own", title: "Squeak" }]);
  expect(twice.state.jobs.map(({ title }) => title)).toEqual(["Wiper blades", "Squeak"]);
  expect(twice.refused.get(JOB)).toMatch(/on the quote already/);
});

it("stays within the places that a derived id has, none of which is the id itself", () => {
  const many = Array.from({ length: 90 }, (_, index) =>
    job({ id: `${index}`, libraryJobId: null, lines: Array.from({ length: 90 }, () => lines[0]!) }),
  );
  const places: number[] = [];
  jobCommands({ wanted: [], copied: many, libraryJobIds: [] }, { ...AROUND, library: [] }, (place) => {
    places.push(place);
    return String(place);
  });
  expect(new Set(places).size).toBe(places.length);
  expect(Math.max(...places)).toBeLessThanOrEqual(0xfff);
  const ids = Array.from({ length: 0xfff }, (_, index) => derivedId(DRAFT, index + 1));
  expect(new Set([DRAFT, ...ids]).size).toBe(0x1000);
  expect(derivedId(DRAFT, 1)).toBe(`${DRAFT.slice(0, -3)}ffe`);
});
