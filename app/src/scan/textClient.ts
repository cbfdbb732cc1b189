import type { Worker as TextWorker } from "tesseract.js";

const FILES = "/scan/text";
/** Letters and digits of VINs and plates; what no VIN has is put right afterwards. */
const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789 -";
/** One block of text: labels have a few lines. */
const BLOCK = "6";
/** Words wherever they stand, for a plate in the middle of a photo. */
const SPARSE = "11";

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

/** The text in a picture, as read in a worker; each picture by both ways of looking. */
export async function readText(pictures: readonly Blob[]): Promise<string> {
  const reader = await open();
  const texts: string[] = [];
  for (const picture of pictures)
    for (const mode of [BLOCK, SPARSE]) {
      await reader.setParameters({ tessedit_pageseg_mode: mode as never });
      texts.push((await reader.recognize(picture)).data.text);
    }
  return texts.join("\n");
}
