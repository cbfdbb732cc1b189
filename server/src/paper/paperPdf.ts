import type { Language, PaperBlock } from "@mechanon/core";
import { INK, MARGIN, MUTED, letterPaper, type LetterPaper } from "./letterPaper";

/** A paper as it is drawn. */
export interface DrawnPaper {
  title: string;
  author: string;
  language: Language;
  /** PNG in base 64; null: none. */
  logo: string | null;
  blocks: readonly PaperBlock[];
}

const LOGO = { width: 180, height: 54 };
const ROOM_LINE = 22;
const RIGHT_WIDTH = 150;

/** Draws a paper on as many pages as it takes. */
export function paperPdf({ title, author, language, logo, blocks }: DrawnPaper): Promise<Buffer> {
  const paper = letterPaper(title, author, language);
  if (logo !== null) drawLogo(paper, logo);
  for (const block of blocks) draw(paper, block);
  return paper.finish();
}

function drawLogo({ doc }: LetterPaper, logo: string): void {
  doc.image(Buffer.from(logo, "base64"), MARGIN, MARGIN, { fit: [LOGO.width, LOGO.height] });
  doc.y = MARGIN + LOGO.height + 8;
}

function draw(paper: LetterPaper, block: PaperBlock): void {
  const { doc, say, rule, row } = paper;
  switch (block.is) {
    case "title":
      return say(block.text, 17, "bold");
    case "heading":
      doc.moveDown(0.5);
      return say(block.text, 13, "bold");
    case "strong":
      doc.moveDown(0.2);
      return say(block.text, 10.5, "bold");
    case "words":
      return say(block.text);
    case "small":
      return say(block.text, 9, "regular", MUTED);
    case "row":
      return row(
        block.left,
        block.right,
        block.tone === "strong" ? "bold" : "regular",
        block.tone === "muted" ? MUTED : INK,
        RIGHT_WIDTH,
      );
    case "rule":
      return rule();
    case "room":
      return drawRoom(paper, block);
  }
}

/** Lines to write on by hand, kept together with what they are for. */
function drawRoom({ doc, say }: LetterPaper, { label, lines }: Extract<PaperBlock, { is: "room" }>): void {
  if (doc.y > doc.page.height - MARGIN - (lines + 1) * ROOM_LINE) doc.addPage();
  say(label, 9, "regular", MUTED);
  for (let line = 1; line <= lines; line += 1) {
    const y = doc.y + ROOM_LINE;
    doc
      .moveTo(MARGIN, y)
      .lineTo(doc.page.width - MARGIN, y)
      .lineWidth(0.5)
      .strokeColor(MUTED)
      .stroke();
    doc.y = y;
  }
  doc.moveDown(0.6);
}
