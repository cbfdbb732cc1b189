import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import {
  ANSWERS,
  addMonths,
  say,
  showMoney,
  shownLineWords,
  type Language,
  type ShownJob,
  type ShownQuote,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { useColors } from "../ui/face";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { Answering } from "./useAnswering";

/** What was put off is asked about again after so many months. */
const ASK_AGAIN_MONTHS = [1, 3, 6] as const;
/** The id of the way a job was first. */
const FIRST = "first";

interface AnswerJobProps {
  job: ShownJob;
  shown: ShownQuote;
  answering: Answering;
  language: Language;
  today: string;
  /** What was found that it cures. */
  found: readonly ReactNode[];
}

/** One job of a quote: what was found, what it takes, what it costs in which way, and the answer. */
export function AnswerJob({ job, shown, answering, language, today, found }: AnswerJobProps) {
  const colors = useColors();
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  const { id, title, ways, payerId, before } = job;
  const way = answering.wayOf(job);
  const answer = answering.answerTo(job);
  const choice = answering.choiceOf(id);
  const payer = shown.payers.find((each) => each.id === payerId)?.name ?? t("answer.you");
  return (
    <View
      // A finding has a line above it of its own.
      style={[styles.job, { borderColor: colors.hairline, borderTopWidth: found.length > 0 ? 0 : 1 }]}
      role="group"
      aria-label={title}
    >
      {found.length > 0 ? <View style={styles.found}>{found}</View> : null}
      <Row strong left={title} right={showMoney(way.cents)} />
      {ways.length > 1 ? (
        <Choices
          label={t("answer.way", { title })}
          options={ways.map((each) => ({
            value: each.otherId ?? FIRST,
            label: `${each.title || t("answer.asQuoted")}, ${showMoney(each.cents)}`,
          }))}
          value={way.otherId ?? FIRST}
          onChoose={(chosen) => answering.change(id, { value: "yes", otherId: chosen === FIRST ? null : chosen })}
          testID={`way-${id}`}
        />
      ) : null}
      <Words size="small" tone="muted">
        {way.lines.map(shownLineWords).join(", ")}
      </Words>
      {payerId === null || before ? null : <Words size="small">{t("answer.payer", { name: payer })}</Words>}
      {before ? <BeforeAndNow job={job} payer={payer} language={language} /> : null}
      <Choices
        even
        label={t("answer.question", { title })}
        options={ANSWERS.map((value) => ({ value, label: t(`answer.${value}`) }))}
        value={answer}
        onChoose={(value) => answering.answer(id, value)}
        testID={`answer-${id}`}
      />
      {choice?.value === "no" || choice?.value === "later" ? (
        <Field
          label={t(choice.value === "no" ? "answer.why" : "answer.whyLater")}
          value={choice.reason}
          onChangeText={(reason) => answering.change(id, { reason })}
          maxLength={300}
        />
      ) : null}
      {choice?.value === "later" ? (
        <>
          <Words size="small">{t("answer.askOn", { title })}</Words>
          <Choices
            label={t("answer.askOn", { title })}
            options={ASK_AGAIN_MONTHS.map((months) => ({
              value: addMonths(today, months),
              label: t("answer.inMonths", { months }),
            }))}
            value={choice.askOn}
            onChoose={(askOn) => answering.change(id, { askOn })}
          />
        </>
      ) : null}
    </View>
  );
}

/** What was agreed and what it is now: the difference is what is asked. */
function BeforeAndNow({
  job: { before, ways, payerId },
  payer,
  language,
}: {
  job: ShownJob;
  payer: string;
  language: Language;
}) {
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  const [now] = ways;
  if (!before || !now) return null;
  const partsOf = (parts: readonly string[]): string => parts.join(", ") || t("answer.noParts");
  return (
    <View>
      <Words strong figures>
        {t("answer.before", { before: showMoney(before.cents), now: showMoney(now.cents) })}
      </Words>
      {before.parts.join("\n") === now.parts.join("\n") ? null : (
        <>
          <Words size="small">{t("answer.partsBefore", { parts: partsOf(before.parts) })}</Words>
          <Words size="small">{t("answer.partsNow", { parts: partsOf(now.parts) })}</Words>
        </>
      )}
      {before.payerId === payerId ? null : <Words size="small">{t("answer.payerNow", { name: payer })}</Words>}
    </View>
  );
}

const styles = StyleSheet.create({
  job: { paddingVertical: SPACE.m, gap: SPACE.s },
  found: { paddingBottom: SPACE.s, gap: SPACE.s },
});
