import type { Worker as TextWorker } from "tesseract.js";

const FILES = "/scan/text";
/** Letters and digits of VINs and plates; what no VIN has is put right afterwards. */
const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789 -";

let worker: Promise<TextWorker> | undefined;

function open(): Promise<TextWorker> {
  worker ??= import("tesseract.js")
    .then(async ({ createWorker, OEM }) => {
      const made = await createWorker("eng", OEM.LSTM_ONLY, {
        workerPath: `${FILES}/worker.min.js`,
        corePath: FILES,
        langPath: FILES,
        // A worker from a blob would have to be allowed everywhere.
        workerBlobURL: false,
      });
      await made.setParameters({ tessedit_char_whitelist: LETTERS });
      return made;
    })
    .catch((error: unknown) => {
      worker = undefined;
      throw error;
    });
  return worker;
}

/** What is ink: told by one level for the whole picture, or by the light around each place, for a label in the shadow. */
const THRESHOLDS = { whole: "0", local: "2" } as const;

/** How hard a picture is looked at: also for words that stand alone somewhere, or with its light as it falls. */
export type TextEffort = "thorough" | "shadow" | "quick";

/** The text in a picture, as read in a worker. */
export async function readText(picture: Blob, effort: TextEffort): Promise<string> {
  const [reader, { PSM }] = await Promise.all([open(), import("tesseract.js")]);
  const texts: string[] = [];
  for (const mode of effort === "thorough" ? [PSM.SINGLE_BLOCK, PSM.SPARSE_TEXT] : [PSM.SINGLE_BLOCK]) {
    await reader.setParameters({
      tessedit_pageseg_mode: mode,
      thresholding_method: effort === "shadow" ? THRESHOLDS.local : THRESHOLDS.whole,
    });
    texts.push((await reader.recognize(picture)).data.text);
  }
  return texts.join("\n");
}
