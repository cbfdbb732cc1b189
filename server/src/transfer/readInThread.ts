import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { Table } from "./readCsv";
import type { FileToRead } from "./readFile";

/** What the reading thread tells. */
export type FromReader =
  | { kind: "table"; table: Table }
  | { kind: "rows"; rows: string[][] }
  | { kind: "done" }
  | { kind: "fault"; words: string };

const MOST_MEGABYTES = 1024;
/** Between two batches; the largest file takes a few seconds in all. */
const SILENT_MS = 120_000;

/**
 * Reads a file of customers in a thread of its own, so that nobody else's answer waits for it.
 *
 * @param onRows - takes a batch; the next one is read meanwhile and waits.
 * @throws {Error} with what was wrong, in words for who sent it.
 */
export async function readInThread(
  file: FileToRead,
  onTable: (table: Table) => void,
  onRows: (rows: string[][]) => Promise<void>,
  silentMs = SILENT_MS,
): Promise<void> {
  // Its source is TypeScript, as the server's own; a thread does not inherit what reads that.
  const code = [require.resolve("tsx/cjs"), join(__dirname, "readFile.worker.ts")].map(
    (path) => `require(${JSON.stringify(path)});`,
  );
  const worker = new Worker(code.join(" "), {
    eval: true,
    workerData: file,
    execArgv: [],
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  });
  try {
    await new Promise<void>((resolve, reject) => {
      const giveUp = (): void => reject(new Error("reading it took too long"));
      let deadline = setTimeout(giveUp, silentMs);
      let isOver = false;
      const take = async (message: FromReader): Promise<void> => {
        clearTimeout(deadline);
        if (message.kind === "done") return resolve();
        if (message.kind === "fault") throw new Error(message.words);
        if (message.kind === "table") onTable(message.table);
        else await onRows(message.rows);
        if (isOver) return;
        deadline = setTimeout(giveUp, silentMs);
        if (message.kind === "rows") worker.postMessage("next");
      };
      // One after the other, whatever a batch takes.
      let taken = Promise.resolve();
      worker.on("message", (message: FromReader) => {
        taken = taken.then(() => take(message));
        taken.catch(reject);
      });
      worker.once("error", (error) => reject(new Error(`it cannot be read (${error.message})`)));
      worker.once("exit", () => {
        isOver = true;
        clearTimeout(deadline);
        taken.then(() => reject(new Error("reading it broke off")), reject);
      });
    });
  } finally {
    await worker.terminate();
  }
}
