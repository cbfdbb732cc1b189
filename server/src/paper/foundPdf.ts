import sharp from "sharp";
import {
  measureName,
  say as words,
  showDateIn,
  showMeasure,
  showWhole,
  type Language,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import type { PageOrder } from "@mechanon/contract";
import { INK, MARGIN, MUTED, letterPaper } from "./letterPaper";

const PHOTO = { width: 240, height: 180 };
/** As many of a finding are on paper; the others are on the page. */
const MOST_PHOTOS = 2;
const CHART = { width: 240, height: 70 };

type Found = PageOrder["found"][number];

/** What a report is written from. */
export interface Report {
  businessName: string;
  order: Pick<PageOrder, "car" | "number" | "found" | "fine">;
  /** By id, where the bytes are at hand. */
  photos: ReadonlyMap<string, Buffer>;
  language: Language;
  timeZone: string;
}

/** What was found on a car, for its customer to keep: unsafe first, with photos, limits and how it wears. */
export async function foundPdf({ businessName, order, photos, language, timeZone }: Report): Promise<Buffer> {
  const t = (key: WordKey, values?: WordValues): string => words(language, key, values);
  const { doc, say, rule, finish } = letterPaper(t("found.reportTitle"), businessName);
  say(businessName, 10, "regular", MUTED);
  say(t("found.reportTitle"), 17, "bold");
  say(t("mine.order", { car: order.car || t("mine.noCar"), number: order.number }));
  rule();
  for (const found of order.found) {
    if (doc.y > doc.page.height - MARGIN - 120) doc.addPage();
    say(found.title[language], 13, "bold");
    say(t(`found.${found.grade}`), 11, "bold");
    if (found.note !== "") say(found.note);
    if (found.topic !== null) say(t(`means.${found.topic}`), 10, "regular", MUTED);
    for (const measure of found.measures) {
      say(measureLine(measure, language, timeZone));
      if (measure.limit !== null && measure.readings.length > 1) drawWear(doc, measure, measure.limit);
    }
    await drawPhotos(doc, found, photos);
    doc.moveDown(0.6);
  }
  if (order.fine.length > 0) {
    rule();
    say(t("found.fine"), 13, "bold");
    say(order.fine.map((title) => title[language]).join(" · "), 10);
  }
  return finish();
}

/** A measurement with its limit and how long it lasts, in one line. */
function measureLine(measure: Found["measures"][number], language: Language, timeZone: string): string {
  const { value, unit, limit, milesLeft, dueOn } = measure;
  const parts = [`${measureName(language, measure)} ${showMeasure(value, unit)}`];
  if (limit !== null) parts.push(words(language, "found.limit", { limit: showMeasure(limit, unit) }));
  if (milesLeft === 0) parts.push(words(language, "found.atLimit"));
  else if (milesLeft !== null)
    parts.push(
      dueOn === null
        ? words(language, "found.lasts", { miles: showWhole(milesLeft) })
        : words(language, "found.lastsUntil", {
            miles: showWhole(milesLeft),
            day: showDateIn(language, `${dueOn}T12:00:00Z`, timeZone),
          }),
    );
  return parts.join(" · ");
}

function drawWear(doc: PDFKit.PDFDocument, { readings, milesLeft }: Found["measures"][number], limit: number): void {
  const [first] = readings;
  const last = readings.at(-1);
  if (!first || !last || first.odometer === last.odometer) return;
  if (doc.y > doc.page.height - MARGIN - CHART.height) doc.addPage();
  const top = doc.y + 4;
  const end = last.odometer + (milesLeft ?? 0);
  const most = Math.max(limit, ...readings.map(({ value }) => value));
  const least = Math.min(limit, ...readings.map(({ value }) => value));
  const x = (miles: number): number => MARGIN + ((miles - first.odometer) / (end - first.odometer || 1)) * CHART.width;
  const y = (value: number): number => top + ((most - value) / (most - least || 1)) * CHART.height;
  doc
    .moveTo(MARGIN, y(limit))
    .lineTo(MARGIN + CHART.width, y(limit))
    .lineWidth(0.7)
    .dash(2, { space: 2 })
    .strokeColor(MUTED)
    .stroke()
    .undash();
  doc.moveTo(x(first.odometer), y(first.value));
  for (const { odometer, value } of readings) doc.lineTo(x(odometer), y(value));
  doc.lineWidth(1.6).strokeColor(INK).stroke();
  if (milesLeft !== null && milesLeft > 0)
    doc
      .moveTo(x(last.odometer), y(last.value))
      .lineTo(x(end), y(limit))
      .lineWidth(1)
      .dash(4, { space: 3 })
      .stroke()
      .undash();
  doc.y = top + CHART.height + 8;
}

async function drawPhotos(doc: PDFKit.PDFDocument, found: Found, photos: ReadonlyMap<string, Buffer>): Promise<void> {
  const bytes = found.pictures.flatMap(({ photoId }) => photos.get(photoId) ?? []).slice(0, MOST_PHOTOS);
  if (bytes.length === 0) return;
  if (doc.y > doc.page.height - MARGIN - PHOTO.height) doc.addPage();
  const top = doc.y + 4;
  for (const [place, photo] of bytes.entries()) {
    // The paper knows JPEG; a phone's WebP is turned into one.
    const jpeg = await sharp(photo).resize({ width: 720, height: 540, fit: "inside" }).jpeg({ quality: 80 }).toBuffer();
    doc.image(jpeg, MARGIN + place * (PHOTO.width + 12), top, { fit: [PHOTO.width, PHOTO.height] });
  }
  doc.y = top + PHOTO.height + 6;
}
