import type { Job } from "@mechanon/core";
import { LIBRARY_SAMPLE, jobSample } from "../testing/samples";
import { derivedId } from "./derivedId";
import { jobCommands } from "./jobCommands";

const AT = "2026-11-23T17:00:00.000Z";
const DRAFT = "0198f0aa-0000-7000-8000-000000000fff";
const idAt = (place: number): string => derivedId(DRAFT, place);
const lines = LIBRARY_SAMPLE[0]?.lines ?? [];
const job = (over: Partial<Job>): Job => jobSample({ concernId: "c", pointId: "p", ...over });

it("adds a library job as it is kept today, without the answers of then", () => {
  const [command, ...more] = jobCommands([job({})], [], LIBRARY_SAMPLE, idAt);
  expect(more).toEqual([]);
  expect(command).toMatchObject({ type: "addJob", libraryJobId: "wipers", concernId: null, pointId: null });
  expect(command?.type === "addJob" && command.lineIds).toHaveLength(lines.length);
});

it("takes over a job of one's own, and one that left the library, line by line", () => {
  const gone = job({ id: "k", title: "Old job", libraryJobId: "gone", lines: lines.slice(0, 1) });
  const commands = jobCommands([job({ libraryJobId: null }), gone], [], LIBRARY_SAMPLE, idAt);
  expect(commands.map(({ type }) => type)).toEqual(["addOwnJob", "addLine", "addLine", "addOwnJob", "addLine"]);
  const ids = commands.map((command) =>
    command.type === "addLine" ? command.line.id : (command as { jobId: string }).jobId,
  );
  expect(new Set(ids).size).toBe(ids.length);
});

it("leaves what is finished where it is, and adds nothing twice", () => {
  const commands = jobCommands(
    [job({}), job({ id: "k", finishedAt: AT, libraryJobId: null })],
    ["wipers", "gone"],
    LIBRARY_SAMPLE,
    idAt,
  );
  expect(commands).toHaveLength(1);
});

it("gives the same commands the same ids however often it is asked", () => {
  const once = jobCommands([job({ libraryJobId: null })], ["wipers"], LIBRARY_SAMPLE, idAt);
  expect(jobCommands([job({ libraryJobId: null })], ["wipers"], LIBRARY_SAMPLE, idAt)).toEqual(once);
});

it("stays within the places that a derived id has", () => {
  const many = Array.from({ length: 90 }, (_, index) =>
    job({ id: `${index}`, libraryJobId: null, lines: Array.from({ length: 90 }, () => lines[0]!) }),
  );
  const places: number[] = [];
  jobCommands(many, [], [], (place) => {
    places.push(place);
    return String(place);
  });
  expect(new Set(places).size).toBe(places.length);
  expect(Math.max(...places)).toBeLessThanOrEqual(0xfff);
  expect(derivedId(DRAFT, 0xfff)).toBe(DRAFT);
  expect(derivedId(DRAFT, 1)).toBe(`${DRAFT.slice(0, -3)}001`);
});
