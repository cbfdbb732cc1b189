import { once } from "node:events";
import { parentPort, workerData } from "node:worker_threads";
import { readFile, type FileToRead } from "./readFile";
import type { FromReader } from "./readInThread";

/** Reads the file it was started with, and tells of it batch by batch, each once the last was taken. */
async function main(): Promise<void> {
  const port = parentPort;
  if (!port) throw new Error("this runs in a thread of its own");
  const tell = (message: FromReader): void => port.postMessage(message);
  try {
    await readFile(
      workerData as FileToRead,
      (table) => tell({ kind: "table", table }),
      async (rows) => {
        tell({ kind: "rows", rows });
        await once(port, "message");
      },
    );
    tell({ kind: "done" });
  } catch (error) {
    tell({ kind: "fault", words: error instanceof Error ? error.message : "unknown fault" });
  }
  port.close();
}

void main();
