import { Linking, StyleSheet, View } from "react-native";
import { showDateIn, showMoney } from "@mechanon/core";
import { customerPageRoutes as routes, type CustomerPage, type PageOrder } from "@mechanon/contract";
import { addressOf } from "../../api/call";
import { Button } from "../../ui/Button";
import { Heading } from "../../ui/Heading";
import { Row } from "../../ui/Row";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { FoundSeenList } from "../../found/FoundSeenList";
import { LargePicture } from "../../found/LargePicture";
import { FileText } from "../../ui/icons";
import { Part } from "../ask/Part";
import { useSpeaking } from "../language";
import { PagePhotos } from "./PagePhotos";
import { PickTime } from "./PickTime";
import { QuotePart } from "./QuotePart";
import { TakeBack } from "./TakeBack";
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
  const photoAt = (photoId: string): string =>
    addressOf(routes.pagePhoto.path, { token, id: photoId }, { size: "small" });
  return (
    <Part title={t("mine.order", { car: car || t("mine.noCar"), number })}>
      {visits.map((visit) => (
        <VisitPart key={visit.id} visit={visit} page={page} token={token} acts={acts} />
      ))}
      {/* A quote that is asked says it itself. */}
      {concerns.length > 0 && order.asked?.shown.concerns === undefined ? (
        <Words>{`${t("mine.concerns")}: ${concerns.map((each) => each[language]).join(" · ")}`}</Words>
      ) : null}
      <Found order={order} token={token} page={page} />
      {order.asked ? (
        <>
          <QuotePart order={order} asked={order.asked} page={page} token={token} acts={acts} />
          <Money order={order} />
        </>
      ) : (
        <Work order={order} />
      )}
      {acts.answer.isSuccess && acts.answer.variables.id === id && !order.asked ? (
        <Words strong role="status">
          {t("answer.kept")}
        </Words>
      ) : null}
      {order.canPickTime ? <PickTime order={order} page={page} token={token} acts={acts} /> : null}
      <TakeBack order={order} page={page} acts={acts} />
      {receipt === null ? null : (
        <Button label={t("mine.receipt")} onPress={() => void Linking.openURL(receipt)} testID={`receipt-${id}`} />
      )}
      {photoIds.length > 0 ? <PagePhotos title={t("mine.photos")} ids={photoIds} photoAt={photoAt} /> : null}
      <WordsPart of={{ workOrderId: id, words, photoIds }} acts={acts} />
    </Part>
  );
}

function Found({
  order: { id, found, fine, asked },
  token,
  page,
}: {
  order: PageOrder;
  token: string;
  page: CustomerPage;
}) {
  const { language, t } = useSpeaking();
  if (found.length + fine.length === 0) return null;
  // What a job of the quote cures stands beside its price.
  const cured = new Set(asked?.shown.jobs.flatMap(({ pointIds }) => pointIds));
  const pictureAt = (photoId: string): string => addressOf(routes.pagePhoto.path, { token, id: photoId });
  return (
    <View style={styles.list}>
      <FoundSeenList
        found={found.filter(({ pointId }) => !cured.has(pointId))}
        fine={fine}
        language={language}
        timeZone={page.timeZone}
        drawPicture={({ photoId, media }, label) => (
          <LargePicture uri={pictureAt(photoId)} media={media} label={label} />
        )}
      />
      <Button
        icon={FileText}
        label={t("found.report")}
        onPress={() => void Linking.openURL(addressOf(routes.foundPdf.path, { token, id }, { language }))}
        testID={`found-pdf-${id}`}
      />
    </View>
  );
}

function Work({ order }: { order: PageOrder }) {
  const { jobs, totalCents, validUntil } = order;
  const { language, t } = useSpeaking();
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
      {validUntil === null ? null : (
        <Words tone="muted" figures>
          {t("paper.goodUntil", { day: showDateIn(language, `${validUntil}T12:00:00Z`, "utc") })}
        </Words>
      )}
      <Money order={order} />
    </View>
  );
}

function Money({ order: { paidCents, dueCents } }: { order: PageOrder }) {
  const { t } = useSpeaking();
  return (
    <>
      {paidCents > 0 ? <Row left={t("mine.paid")} right={showMoney(paidCents)} /> : null}
      {dueCents > 0 ? <Row strong left={t("mine.due")} right={showMoney(dueCents)} /> : null}
    </>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
