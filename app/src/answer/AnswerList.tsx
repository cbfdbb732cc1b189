import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import {
  BAD_GRADES,
  say,
  showMoney,
  type FoundSeen,
  type Language,
  type ShownQuote,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import { Heading } from "../ui/Heading";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { AnswerJob } from "./AnswerJob";
import type { Answering } from "./useAnswering";

export interface AnswerListProps {
  shown: ShownQuote;
  answering: Answering;
  language: Language;
  /** What was found, to stand beside the price of what cures it. */
  found: readonly FoundSeen[];
  drawFound: (found: FoundSeen) => ReactNode;
  /** The day it is there. */
  today: string;
}

/** A quote to be answered job by job, what is unsafe first; the sum follows what is chosen. */
export function AnswerList({ shown, answering, language, found, drawFound, today }: AnswerListProps) {
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  const { open, agreed, sum } = answering;
  const foundFor = (pointIds: readonly string[]): FoundSeen[] =>
    found.filter(({ pointId }) => pointIds.includes(pointId));
  const rank = (pointIds: readonly string[]): number =>
    Math.min(BAD_GRADES.length, ...foundFor(pointIds).map(({ grade }) => BAD_GRADES.indexOf(grade)));
  const inOrder = [...open].sort((a, b) => rank(a.pointIds) - rank(b.pointIds));
  return (
    <View style={styles.list}>
      {shown.words === undefined ? null : <Words>{shown.words}</Words>}
      {(shown.concerns ?? []).map((concern) => (
        <Words key={concern} tone="muted">
          {t("paper.toldUs", { text: concern })}
        </Words>
      ))}
      {inOrder.map((job) => (
        <AnswerJob
          key={job.id}
          job={job}
          shown={shown}
          answering={answering}
          language={language}
          today={today}
          found={foundFor(job.pointIds).map((each) => (
            <View key={each.pointId}>{drawFound(each)}</View>
          ))}
        />
      ))}
      {open.length === 0 ? <Words tone="muted">{t("answer.nothing")}</Words> : null}
      {agreed.length > 0 ? (
        <View>
          <Heading level={3}>{t("answer.already")}</Heading>
          {agreed.map((job) => (
            <Row key={job.id} left={job.title} right={showMoney(answering.wayOf(job).cents)} />
          ))}
        </View>
      ) : null}
      <View style={styles.sums} aria-live="polite">
        {sum.creditCents > 0 ? (
          <Row tone="muted" left={t("answer.credit")} right={`−${showMoney(sum.creditCents)}`} />
        ) : null}
        {sum.discountCents > 0 ? (
          <Row
            tone="muted"
            left={shown.discounts.map(({ title }) => title).join(", ") || t("answer.discount")}
            right={`−${showMoney(sum.discountCents)}`}
          />
        ) : null}
        {sum.suppliesCents > 0 ? (
          <Row tone="muted" left={t("receipt.supplies")} right={showMoney(sum.suppliesCents)} />
        ) : null}
        <Row
          tone="muted"
          left={t("answer.taxes")}
          right={showMoney(sum.taxes.reduce((cents, tax) => cents + tax.cents, 0))}
        />
        <Row strong rule left={t("answer.total")} right={showMoney(sum.totalCents)} />
      </View>
      {shown.terms === "" ? null : (
        <Words size="small" tone="muted">
          {shown.terms}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m }, sums: { gap: SPACE.xs } });
