import { Linking, StyleSheet, View } from "react-native";
import { showMoney } from "@mechanon/core";
import { customerPageRoutes as routes, type CustomerPage, type PageOrder } from "@mechanon/contract";
import { addressOf } from "../../api/call";
import { Button } from "../../ui/Button";
import { Heading } from "../../ui/Heading";
import { Row } from "../../ui/Row";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { Part } from "../ask/Part";
import { useSpeaking } from "../language";
import { PagePhotos } from "./PagePhotos";
import type { PageActs } from "./usePageActs";
import { VisitPart } from "./VisitPart";
import { WordsPart } from "./WordsPart";

interface OrderPartProps {
  order: PageOrder;
  page: CustomerPage;
  token: string;
  acts: PageActs;
}

const ANSWERS = { yes: "mine.answerYes", later: "mine.answerLater", no: "mine.answerNo" } as const;

/** One repair: its visits, what was found, the work with its prices, the money, and what was written. */
export function OrderPart({ order, page, token, acts }: OrderPartProps) {
  const { language, t } = useSpeaking();
  const { id, number, car, visits, concerns, receipt, photoIds, words } = order;
  const photoAt = (photoId: string): string => addressOf(routes.pagePhoto.path, { token, id: photoId });
  return (
    <Part title={t("mine.order", { car: car || t("mine.noCar"), number })}>
      {visits.map((visit) => (
        <VisitPart key={visit.id} visit={visit} page={page} token={token} acts={acts} />
      ))}
      {concerns.length > 0 ? (
        <Words>{`${t("mine.concerns")}: ${concerns.map((each) => each[language]).join(" · ")}`}</Words>
      ) : null}
      <Found order={order} photoAt={photoAt} />
      <Work order={order} />
      {receipt === null ? null : (
        <Button label={t("mine.receipt")} onPress={() => void Linking.openURL(receipt)} testID={`receipt-${id}`} />
      )}
      {photoIds.length > 0 ? <PagePhotos title={t("mine.photos")} ids={photoIds} photoAt={photoAt} /> : null}
      <WordsPart of={{ workOrderId: id, words, photoIds }} acts={acts} />
    </Part>
  );
}

function Found({ order: { found, soundCount }, photoAt }: { order: PageOrder; photoAt: (photoId: string) => string }) {
  const { t } = useSpeaking();
  if (found.length === 0 && soundCount === 0) return null;
  return (
    <View style={styles.list}>
      <Heading level={3}>{t("mine.found")}</Heading>
      {found.map(({ title, grade, note, photoIds }) => (
        <View key={title} style={styles.found}>
          <Words>
            <Words strong>{`${grade === "act" ? "▲" : "◆"} ${title}: `}</Words>
            {grade === "act" ? t("mine.gradeAct") : t("mine.gradeWatch")}
          </Words>
          {note === "" ? null : <Words tone="muted">{note}</Words>}
          {photoIds.length > 0 ? <PagePhotos title={title} ids={photoIds} photoAt={photoAt} /> : null}
        </View>
      ))}
      {soundCount > 0 ? <Words tone="muted">{t("mine.sound", { count: soundCount })}</Words> : null}
    </View>
  );
}

function Work({ order: { jobs, totalCents, dueCents, paidCents } }: { order: PageOrder }) {
  const { t } = useSpeaking();
  if (jobs.length === 0) return null;
  return (
    <View style={styles.list}>
      <Heading level={3}>{t("mine.work")}</Heading>
      {jobs.map(({ title, totalCents: cents, answer, isDone }, index) => (
        <View key={index}>
          <Row strong left={title} right={showMoney(cents)} />
          <Words size="small" tone="muted">
            {isDone ? t("mine.done") : t(answer === null ? "mine.answerOpen" : ANSWERS[answer])}
          </Words>
        </View>
      ))}
      {totalCents === null ? null : <Row strong rule left={t("mine.total")} right={showMoney(totalCents)} />}
      {paidCents > 0 ? <Row left={t("mine.paid")} right={showMoney(paidCents)} /> : null}
      {dueCents > 0 ? <Row strong left={t("mine.due")} right={showMoney(dueCents)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s }, found: { gap: SPACE.xs } });
