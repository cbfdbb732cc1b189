import {
  paymentWords,
  say as words,
  showDateIn,
  showMoney,
  showPhone,
  showWhole,
  type Language,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import type { ReceiptView } from "@mechanon/contract";
import { INK, MARGIN, MUTED, letterPaper } from "../paper/letterPaper";

const SIGNATURE = { width: 180, height: 64 };

/** The receipt on Letter paper, text selectable, font embedded, in a language of the customer's. */
export function receiptPdf(receipt: ReceiptView, language: Language = "en"): Promise<Buffer> {
  const t = (key: WordKey, values?: WordValues): string => words(language, key, values);
  const title = t("receipt.number", { number: String(receipt.number) });
  const { doc, say, rule, row: line, finish } = letterPaper(title, receipt.business.name);
  const row = (label: string, cents: number, font?: "regular" | "bold", color?: string): void =>
    line(label, showMoney(cents), font, color);

  say(receipt.business.name, 17, "bold");
  say(`${receipt.business.street} · ${showPhone(receipt.business.phone)}`, 10, "regular", MUTED);
  rule();
  say(title, 13, "bold");
  say(
    [
      receipt.customerName,
      receipt.vehicleName,
      receipt.plate ?? "",
      receipt.odometerMiles === null ? "" : t("receipt.miles", { miles: showWhole(receipt.odometerMiles) }),
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
  if (receipt.discountCents) say(t("receipt.discount", { amount: showMoney(receipt.discountCents) }));
  if (receipt.suppliesCents > 0) row(t("receipt.supplies"), receipt.suppliesCents);
  for (const tax of receipt.taxes) row(t("receipt.tax", { name: tax.id }), tax.cents);
  if (receipt.hasOtherTaxes) say(t("receipt.otherTaxes"));
  row(t("receipt.total"), receipt.totalCents, "bold");
  for (const payment of receipt.payments)
    row(paymentWords(language, payment, receipt.business.timeZone, true), -payment.amountCents);
  row(t(receipt.dueCents === 0 ? "receipt.paidInFull" : "receipt.owed"), receipt.dueCents, "bold");
  if (receipt.notDone.length > 0) {
    rule();
    for (const job of receipt.notDone)
      say(t(job.answer === "later" ? "receipt.putOff" : "receipt.declined", { title: job.title }));
  }
  if (receipt.concerns.length + receipt.unsafe.length > 0) rule();
  for (const line of receipt.concerns) say(line);
  for (const line of receipt.unsafe) say(line, 11, "bold");
  if (receipt.signature) drawSignature(doc, receipt.signature, receipt.business.timeZone, language);
  return finish();
}

function drawSignature(
  doc: PDFKit.PDFDocument,
  { name, strokes, at }: NonNullable<ReceiptView["signature"]>,
  zone: string,
  language: Language,
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
    .text(
      words(language, "receipt.approvedByOn", { name, day: showDateIn(language, at, zone) }),
      MARGIN,
      top + SIGNATURE.height + 4,
    );
}
