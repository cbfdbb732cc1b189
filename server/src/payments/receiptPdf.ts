import { showDate, showMoney, showPhone } from "@mechanon/core";
import type { ReceiptView } from "@mechanon/contract";
import { INK, MARGIN, MUTED, letterPaper } from "../paper/letterPaper";

const SIGNATURE = { width: 180, height: 64 };

/** The receipt on Letter paper, text selectable, font embedded. */
export function receiptPdf(receipt: ReceiptView): Promise<Buffer> {
  const { doc, say, rule, row: line, finish } = letterPaper(`Receipt ${receipt.number}`, receipt.business.name);
  const row = (label: string, cents: number, font?: "regular" | "bold", color?: string): void =>
    line(label, showMoney(cents), font, color);

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
    for (const part of job.lines) row(`   ${part.quantity} × ${part.description}`, part.netCents, "regular", MUTED);
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
  return finish();
}

/** @example "Cash, Nov 23, 2026 (100.00 given, 12.40 back)" */
function paymentLabel(
  { method, at, amountCents, tenderedCents, card }: ReceiptView["payments"][number],
  zone: string,
): string {
  const day = showDate(at, zone);
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
    .text(`Approved by ${name}, ${showDate(at, zone)}`, MARGIN, top + SIGNATURE.height + 4);
}
