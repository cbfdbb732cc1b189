import PDFDocument from "pdfkit";
import { dayOf, inZone, showMoney, showPhone } from "@mechanon/core";
import type { ReceiptView } from "@mechanon/contract";

const REGULAR =
  require.resolve("@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf");
const BOLD =
  require.resolve("@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf");

const MARGIN = 54;
const INK = "#16150f";
const MUTED = "#4a4739";
const AMOUNT_WIDTH = 90;
const SIGNATURE = { width: 180, height: 64 };

/** The receipt on Letter paper, text selectable, font embedded. */
export function receiptPdf(receipt: ReceiptView): Promise<Buffer> {
  const doc = new PDFDocument({
    size: "LETTER",
    margin: MARGIN,
    info: { Title: `Receipt ${receipt.number}`, Author: receipt.business.name },
    lang: "en-US",
  });
  const done = collect(doc);
  doc.registerFont("regular", REGULAR).registerFont("bold", BOLD);
  const width = doc.page.width - 2 * MARGIN;
  const say = (text: string, size = 10.5, font = "regular", color = INK): void =>
    void doc.font(font).fontSize(size).fillColor(color).text(text, MARGIN, doc.y, { width });
  const rule = (): void =>
    void doc
      .moveDown(0.4)
      .moveTo(MARGIN, doc.y)
      .lineTo(MARGIN + width, doc.y)
      .lineWidth(0.7)
      .strokeColor(INK)
      .stroke()
      .moveDown(0.4);
  const row = (label: string, cents: number, font = "regular", color = INK): void => {
    // A row is kept whole: what does not fit starts the next page.
    if (doc.y > doc.page.height - MARGIN - 24) doc.addPage();
    const top = doc.y;
    doc
      .font(font)
      .fontSize(10.5)
      .fillColor(color)
      .text(label, MARGIN, top, { width: width - AMOUNT_WIDTH - 8 });
    const bottom = doc.y;
    doc.text(showMoney(cents), MARGIN + width - AMOUNT_WIDTH, top, { width: AMOUNT_WIDTH, align: "right" });
    doc.y = Math.max(bottom, doc.y);
  };

  say(receipt.business.name, 17, "bold");
  say(`${receipt.business.street} · ${showPhone(receipt.business.phone)}`, 10, "regular", MUTED);
  rule();
  say(`Receipt ${receipt.number}`, 13, "bold");
  say(
    [
      receipt.customerName,
      receipt.vehicleName,
      receipt.plate ?? "",
      receipt.odometerMiles === null ? "" : `${receipt.odometerMiles.toLocaleString("en-US")} miles`,
    ]
      .filter(Boolean)
      .join(" · "),
  );
  rule();
  for (const job of receipt.jobs) {
    row(job.title, job.totalCents, "bold");
    for (const line of job.lines) row(`   ${line.quantity} × ${line.description}`, line.netCents, "regular", MUTED);
    doc.moveDown(0.3);
  }
  rule();
  if (receipt.suppliesCents > 0) row("Shop supplies", receipt.suppliesCents);
  for (const tax of receipt.taxes) row(`Tax, ${tax.id}`, tax.cents);
  row("Total", receipt.totalCents, "bold");
  for (const payment of receipt.payments) row(paymentLabel(payment, receipt.business.timeZone), -payment.amountCents);
  row(receipt.dueCents === 0 ? "Paid in full" : "Still owed", receipt.dueCents, "bold");
  if (receipt.notDone.length > 0) {
    rule();
    for (const job of receipt.notDone) say(`${job.answer === "later" ? "Put off" : "Declined"}: ${job.title}`);
  }
  if (receipt.signature) drawSignature(doc, receipt.signature, receipt.business.timeZone);
  doc.end();
  return done;
}

/** @example "Cash, Nov 23 2026 (100.00 given, 12.40 back)" */
function paymentLabel(
  { method, at, amountCents, tenderedCents, card }: ReceiptView["payments"][number],
  zone: string,
): string {
  const day = inZone(at, zone).setLocale("en-US").toFormat("LLL d yyyy");
  if (method === "card")
    return `Card ending ${card?.lastFour ?? "?"}, ${day}, authorization ${card?.authorization ?? "?"}`;
  const back = (tenderedCents ?? amountCents) - amountCents;
  return back > 0 ? `Cash, ${day} (${showMoney(tenderedCents ?? 0)} given, ${showMoney(back)} back)` : `Cash, ${day}`;
}

function drawSignature(
  doc: PDFKit.PDFDocument,
  { name, strokes, at }: NonNullable<ReceiptView["signature"]>,
  zone: string,
): void {
  if (doc.y > doc.page.height - MARGIN - SIGNATURE.height - 40) doc.addPage();
  doc.moveDown(1);
  const top = doc.y;
  for (const stroke of strokes) {
    for (let index = 0; index + 1 < stroke.length; index += 2) {
      const x = MARGIN + ((stroke[index] ?? 0) / 1000) * SIGNATURE.width;
      const y = top + ((stroke[index + 1] ?? 0) / 1000) * SIGNATURE.height;
      if (index === 0) doc.moveTo(x, y);
      else doc.lineTo(x, y);
    }
  }
  doc.lineWidth(1.4).strokeColor(INK).stroke();
  doc
    .font("regular")
    .fontSize(9)
    .fillColor(MUTED)
    .text(`Approved by ${name}, ${dayOf(at, zone)}`, MARGIN, top + SIGNATURE.height + 4);
}

function collect(doc: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on("data", (chunk: Buffer) => chunks.push(chunk));
    doc.on("end", () => resolve(Buffer.concat(chunks)));
    doc.on("error", reject);
  });
}
