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

/** The text in a picture, as read in a worker. @param effort - `thorough`: also words that stand alone somewhere. */
export async function readText(picture: Blob, effort: "quick" | "thorough"): Promise<string> {
  const [reader, { PSM }] = await Promise.all([open(), import("tesseract.js")]);
  const texts: string[] = [];
  for (const mode of effort === "thorough" ? [PSM.SINGLE_BLOCK, PSM.SPARSE_TEXT] : [PSM.SINGLE_BLOCK]) {
    await reader.setParameters({ tessedit_pageseg_mode: mode });
    texts.push((await reader.recognize(picture)).data.text);
  }
  return texts.join("\n");
}
