import { StyleSheet, View } from "react-native";
import Svg, { Polyline } from "react-native-svg";
import {
  creditWords,
  paymentWords,
  say,
  showMoney,
  showPhone,
  showWhole,
  type Signature,
  type Language,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import type { ReceiptView } from "@mechanon/contract";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** The receipt as the customer reads it, in a language of theirs. */
export function ReceiptPaper({ receipt, language = "en" }: { receipt: ReceiptView; language?: Language }) {
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  return (
    <View style={styles.paper}>
      <Heading level={1}>{receipt.business.name}</Heading>
      <Words tone="muted">{`${receipt.business.street} · ${showPhone(receipt.business.phone)}`}</Words>
      <Heading level={2}>{t("receipt.number", { number: String(receipt.number) })}</Heading>
      <Words>
        {[
          receipt.customerName,
          receipt.vehicleName,
          receipt.plate,
          receipt.odometerMiles === null ? null : t("receipt.miles", { miles: showWhole(receipt.odometerMiles) }),
        ]
          .filter(Boolean)
          .join(" · ")}
      </Words>
      {receipt.jobs.map((job, index) => (
        <View key={index} style={styles.job}>
          <Row strong left={job.title} right={showMoney(job.totalCents)} />
          {job.creditCents ? (
            <Words size="small" tone="muted" figures>
              {creditWords(language, job.creditCents)}
            </Words>
          ) : null}
          {job.lines.map((line, lineIndex) => (
            <Row
              key={lineIndex}
              tone="muted"
              left={`${line.quantity} × ${line.description}`}
              right={showMoney(line.netCents)}
            />
          ))}
        </View>
      ))}
      <View style={styles.job}>
        {receipt.discountCents ? (
          <Words tone="muted" figures>
            {t("receipt.discount", { amount: showMoney(receipt.discountCents) })}
          </Words>
        ) : null}
        {receipt.suppliesCents > 0 ? (
          <Row left={t("receipt.supplies")} right={showMoney(receipt.suppliesCents)} />
        ) : null}
        {receipt.taxes.map(({ id, cents }) => (
          <Row key={id} left={t("receipt.tax", { name: id })} right={showMoney(cents)} />
        ))}
        {receipt.hasOtherTaxes ? <Words tone="muted">{t("receipt.otherTaxes")}</Words> : null}
        <Row strong rule left={t("receipt.total")} right={showMoney(receipt.totalCents)} />
        {receipt.payments.map((payment, index) => (
          <Row
            key={index}
            left={paymentWords(language, payment, receipt.business.timeZone)}
            right={showMoney(-payment.amountCents)}
          />
        ))}
        <Row
          strong
          rule
          left={receipt.dueCents === 0 && receipt.paidCents > 0 ? t("receipt.paidInFull") : t("receipt.owed")}
          right={showMoney(receipt.dueCents)}
        />
      </View>
      {receipt.notDone.map(({ title, answer }) => (
        <Words key={title} tone="muted">
          {t(answer === "later" ? "receipt.putOff" : "receipt.declined", { title })}
        </Words>
      ))}
      {receipt.concerns.map((line) => (
        <Words key={line}>{line}</Words>
      ))}
      {receipt.unsafe.map((line) => (
        <Words key={line} strong tone="alarm">
          {`▲ ${line}`}
        </Words>
      ))}
      {receipt.signature ? <Signed signature={receipt.signature} language={language} /> : null}
    </View>
  );
}

const WIDTH = 220;
const HEIGHT = 80;

function Signed({
  signature: { name, strokes },
  language,
}: {
  signature: { name: string; strokes: Signature };
  language: Language;
}) {
  const colors = useColors();
  return (
    <View>
      <Svg
        width={WIDTH}
        height={HEIGHT}
        viewBox="0 0 1000 364"
        role="img"
        aria-label={say(language, "receipt.signature", { name })}
      >
        {strokes.map((stroke, index) => (
          <Polyline
            key={index}
            points={pairs(stroke)
              .map(([x, y]) => `${x},${(y * 364) / 1000}`)
              .join(" ")}
            fill="none"
            stroke={colors.ink}
            strokeWidth={7}
            strokeLinecap="round"
          />
        ))}
      </Svg>
      <Words size="small" tone="muted">
        {say(language, "receipt.approvedBy", { name })}
      </Words>
    </View>
  );
}

function pairs(stroke: readonly number[]): [number, number][] {
  return Array.from({ length: Math.floor(stroke.length / 2) }, (_, index) => [
    stroke[2 * index] ?? 0,
    stroke[2 * index + 1] ?? 0,
  ]);
}

const styles = StyleSheet.create({ paper: { gap: SPACE.m, maxWidth: 640, width: "100%" }, job: { gap: SPACE.xs } });
