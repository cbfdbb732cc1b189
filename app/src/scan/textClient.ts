import type { Look, SeenLine } from "@mechanon/core/vin";
import type { Page, Worker as TextWorker } from "tesseract.js";

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

/** What is ink: told by one level for the whole picture, or by the light around each place. */
const THRESHOLDS = { whole: "0", local: "2" } as const;

/** How a picture is looked at: as lines of text, as lines of a label in the shadow, or for words that stand alone somewhere. */
export type TextLook = "lines" | "shadow" | "words";

/** The lines of text in a picture, as read in a worker; what was not read by `mostMs` is given up, and the worker with it. */
export function readText(picture: Blob, look: TextLook, mostMs: number): Promise<Look> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<Look>((resolve) => {
    timer = setTimeout(() => {
      void worker?.then((busy) => busy.terminate());
      worker = undefined;
      resolve([]);
    }, mostMs);
  });
  return Promise.race([recognize(picture, look), tooLong]).finally(() => clearTimeout(timer));
}

async function recognize(picture: Blob, look: TextLook): Promise<Look> {
  const [reader, { PSM }] = await Promise.all([open(), import("tesseract.js")]);
  await reader.setParameters({
    tessedit_pageseg_mode: look === "words" ? PSM.SPARSE_TEXT : PSM.SINGLE_BLOCK,
    thresholding_method: look === "shadow" ? THRESHOLDS.local : THRESHOLDS.whole,
  });
  return linesOf((await reader.recognize(picture, {}, { text: false, blocks: true })).data);
}

/** The lines of a page, each character with how sure it was read. */
function linesOf({ blocks }: Page): SeenLine[] {
  const lines = (blocks ?? []).flatMap(({ paragraphs }) => paragraphs.flatMap((paragraph) => paragraph.lines));
  return lines.map(({ words }) => {
    const characters = words.flatMap(({ symbols }, index) => [
      ...(index === 0 ? [] : [{ text: " ", confidence: 100 }]),
      ...symbols.flatMap(({ text, confidence }) => [...text].map((each) => ({ text: each, confidence }))),
    ]);
    return {
      text: characters.map(({ text }) => text).join(""),
      confidence: characters.map(({ confidence }) => confidence),
    };
  });
}
