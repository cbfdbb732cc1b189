import { pointsOfSheet, showMeasure, type BusinessSettings, type InspectionSheet } from "@mechanon/core";
import { INK, MARGIN, MUTED, letterPaper } from "./letterPaper";

const BOX = 11;
const GRADES = ["Sound", "Watch", "Act now", "Unsafe", "Not seen"];
const COLUMN = 46;
const LINE = 22;

/** A sheet to be filled in by hand: a line for each point, a box for each grade, a blank for each measure. */
export function blankSheetPdf(
  businessName: string,
  sheet: InspectionSheet,
  { inspection }: Pick<BusinessSettings, "inspection">,
): Promise<Buffer> {
  const { doc, say, rule, finish } = letterPaper(sheet.title, businessName);
  const left = doc.page.width - MARGIN - GRADES.length * COLUMN;
  const points = pointsOfSheet(sheet, inspection);
  const head = (): void => {
    const top = doc.y;
    GRADES.forEach((name, place) =>
      doc
        .font("bold")
        .fontSize(8)
        .fillColor(MUTED)
        .text(name, left + place * COLUMN, top, { width: COLUMN, align: "center" }),
    );
    doc.y = top + 12;
  };
  say(businessName, 10, "regular", MUTED);
  say(sheet.title, 17, "bold");
  say("Car ______________________________  Plate ______________  Miles ______________  Date ______________", 10);
  rule();
  head();
  let area = "";
  for (const point of points) {
    if (doc.y > doc.page.height - MARGIN - 2 * LINE) {
      doc.addPage();
      head();
    }
    if (point.area !== area) {
      area = point.area;
      doc
        .font("bold")
        .fontSize(11)
        .fillColor(INK)
        .text(area, MARGIN, doc.y + 4);
    }
    const top = doc.y + 3;
    const blanks = point.measures
      .map(
        ({ name, unit, kind }) =>
          `${name} ____${kind === "dotDate" ? "" : ` ${showMeasure(0, unit).replace("0", "").trim()}`}`,
      )
      .join("  ");
    doc
      .font("regular")
      .fontSize(10)
      .fillColor(INK)
      .text(point.title, MARGIN, top, { width: left - MARGIN - 8 });
    if (blanks !== "")
      doc
        .fontSize(8)
        .fillColor(MUTED)
        .text(blanks, MARGIN + 10, doc.y, { width: left - MARGIN - 18 });
    const bottom = Math.max(doc.y, top + LINE - 6);
    GRADES.forEach((_, place) =>
      doc
        .rect(left + place * COLUMN + (COLUMN - BOX) / 2, top, BOX, BOX)
        .lineWidth(0.8)
        .strokeColor(INK)
        .stroke(),
    );
    doc.y = bottom;
  }
  say("");
  say("Found: ______________________________________________________________________________________", 10);
  return finish();
}
