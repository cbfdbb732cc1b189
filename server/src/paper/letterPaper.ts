import { LOCALES, type Language } from "@mechanon/core";
import PDFDocument from "pdfkit";

const REGULAR =
  require.resolve("@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf");
const BOLD =
  require.resolve("@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf");

export const MARGIN = 54;
export const INK = "#16150f";
export const MUTED = "#4a4739";
const RIGHT_WIDTH = 90;
/** Room a row needs at the foot of a page. */
const ROW_HEIGHT = 24;

/** A sheet of Letter paper that is written from the top down. */
export interface LetterPaper {
  doc: PDFKit.PDFDocument;
  say: (text: string, size?: number, font?: "regular" | "bold", color?: string) => void;
  rule: () => void;
  /** A line with something at its right end; it is kept whole. */
  row: (left: string, right: string, font?: "regular" | "bold", color?: string, rightWidth?: number) => void;
  /** Ends the paper. */
  finish: () => Promise<Buffer>;
}

/** Letter paper with the app's own font, its text selectable. */
export function letterPaper(title: string, author: string, language: Language = "en"): LetterPaper {
  const doc = new PDFDocument({
    size: "LETTER",
    margin: MARGIN,
    info: { Title: title, Author: author },
    lang: LOCALES[language],
  });
  const done = collect(doc);
  doc.registerFont("regular", REGULAR).registerFont("bold", BOLD);
  const width = doc.page.width - 2 * MARGIN;
  return {
    doc,
    say: (text, size = 10.5, font = "regular", color = INK) =>
      void doc.font(font).fontSize(size).fillColor(color).text(text, MARGIN, doc.y, { width }),
    rule: () =>
      void doc
        .moveDown(0.4)
        .moveTo(MARGIN, doc.y)
        .lineTo(MARGIN + width, doc.y)
        .lineWidth(0.7)
        .strokeColor(INK)
        .stroke()
        .moveDown(0.4),
    row(left, right, font = "regular", color = INK, rightWidth = RIGHT_WIDTH) {
      if (doc.y > doc.page.height - MARGIN - ROW_HEIGHT) doc.addPage();
      const top = doc.y;
      doc
        .font(font)
        .fontSize(10.5)
        .fillColor(color)
        .text(left, MARGIN, top, { width: width - rightWidth - 8 });
      const bottom = doc.y;
      doc.text(right, MARGIN + width - rightWidth, top, { width: rightWidth, align: "right" });
      doc.y = Math.max(bottom, doc.y);
    },
    finish() {
      doc.end();
      return done;
    },
  };
}

function collect(doc: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on("data", (chunk: Buffer) => chunks.push(chunk));
    doc.on("end", () => resolve(Buffer.concat(chunks)));
    doc.on("error", reject);
  });
}
