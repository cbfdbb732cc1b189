import { amountOf } from "./amountOf";
import { dearestCents } from "./dearestCents";
import { z } from "zod";
import { tenThousandths } from "../exact/decimal";
import { libraryJob, type LibraryJob } from "./libraryJob";

const MOST_TITLE = 120;
const MOST_LINES = 100;
const MOST_BROUGHT = 30;
const MOST_CENTS = 1_000_000_000;

/** A job of a file that cannot be kept, and why. */
export interface LibraryFileFault {
  /** Its place in the file, from one; 0: the file itself. */
  row: number;
  title: string;
  words: string;
}

/** A job library as an open file: JSON, `{"version": 1, "jobs": [...]}`. */
export function writeLibraryFile(jobs: readonly LibraryJob[]): string {
  return `${JSON.stringify({ version: 1, jobs }, null, 2)}\n`;
}

/** The jobs of such a file that can be kept, each once, and what is wrong with the others. */
export function readLibraryFile(text: string): { jobs: LibraryJob[]; faults: LibraryFileFault[] } {
  const file = fileSchema.safeParse(parsed(text));
  if (!file.success)
    return { jobs: [], faults: [{ row: 0, title: "", words: "this is no file of jobs: JSON with version 1 and a list of jobs" }] }; // prettier-ignore
  const jobs: LibraryJob[] = [];
  const faults: LibraryFileFault[] = [];
  const ids = new Set<string>();
  for (const [index, written] of file.data.jobs.entries()) {
    const read = libraryJob.safeParse(written);
    const words = read.success
      ? ids.has(read.data.id)
        ? "a job of this id is in the file already"
        : libraryJobFault(read.data)
      : firstWords(read.error);
    if (read.success && words === null) {
      ids.add(read.data.id);
      jobs.push(read.data);
    } else faults.push({ row: index + 1, title: titleOf(written), words: words ?? "" });
  }
  return { jobs, faults };
}

/** What bringing jobs in would do, by their ids. */
export function libraryChanges(
  before: readonly LibraryJob[],
  jobs: readonly LibraryJob[],
): { added: LibraryJob[]; changed: LibraryJob[]; same: LibraryJob[] } {
  const kept = new Map(before.map((job) => [job.id, JSON.stringify(libraryJob.parse(job))]));
  const standing = (job: LibraryJob): "added" | "changed" | "same" => {
    const written = kept.get(job.id);
    if (written === undefined) return "added";
    return written === JSON.stringify(libraryJob.parse(job)) ? "same" : "changed";
  };
  return {
    added: jobs.filter((job) => standing(job) === "added"),
    changed: jobs.filter((job) => standing(job) === "changed"),
    same: jobs.filter((job) => standing(job) === "same"),
  };
}

const fileSchema = z.object({ version: z.literal(1), jobs: z.array(z.unknown()) });

function parsed(text: string): unknown {
  try {
    // Some programs write a mark before the first letter.
    return JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return null;
  }
}

function titleOf(written: unknown): string {
  const read = z.object({ title: z.string() }).safeParse(written);
  return read.success ? read.data.title.slice(0, MOST_TITLE) : "";
}

function firstWords({ issues }: z.ZodError): string {
  const [issue] = issues;
  return issue ? `${issue.path.join(".")}: ${issue.message}` : "does not fit";
}

/** Why a job that reads cannot be kept; null: it can. */
export function libraryJobFault(job: LibraryJob): string | null {
  const lineIds = new Set(job.lines.map(({ id }) => id));
  const named = [
    ...job.fits.map(({ lineId }) => lineId),
    ...job.variants.flatMap(({ parts }) => parts.map(({ lineId }) => lineId)),
  ];
  if (!/^[\w-]{1,60}$/.test(job.id)) return "the id is up to 60 letters, digits and hyphens";
  if (job.title.trim() === "" || job.title.length > MOST_TITLE)
    return `a title of up to ${MOST_TITLE} letters is needed`;
  if (job.area.trim() === "" || job.area.length > MOST_TITLE) return "an area is needed";
  if (job.lines.length > MOST_LINES) return `up to ${MOST_LINES} lines are kept`;
  if (lineIds.size !== job.lines.length) return "two lines have one id";
  const missing = named.find((id) => !lineIds.has(id));
  if (missing !== undefined) return `no line is called "${missing}"`;
  if (job.brings.length > MOST_BROUGHT) return `a whole order brings up to ${MOST_BROUGHT} jobs`;
  if (job.brings.length > 0 && job.lines.length > 0) return "a whole order brings jobs and has no lines of its own";
  const brought = job.brings.map(({ libraryJobId }) => libraryJobId);
  if (brought.includes(job.id)) return "a whole order does not bring itself";
  if (new Set(brought).size !== brought.length) return "a whole order brings each job once";
  if (job.companions.includes(job.id)) return "a job is no companion of itself";
  for (const line of job.lines) {
    const count = amountOf(line);
    if (tenThousandths(count) === null) return `"${line.description}" has more than four decimals`;
    const each = dearestCents(line);
    if (!(count * each <= MOST_CENTS)) return `"${line.description}" comes to more than ten million dollars`;
    if ((line.kind === "part" || line.kind === "sublet") && line.costCents === null && line.priceCents === null)
      return `"${line.description}" has neither cost nor price`;
  }
  return null;
}
