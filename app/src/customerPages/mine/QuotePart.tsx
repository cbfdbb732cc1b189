import { useRef, useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { dayOf, showDateIn, showMoney, type Signature } from "@mechanon/core";
import { customerPageRoutes as routes, type CustomerPage, type PageOrder } from "@mechanon/contract";
import { AnswerList } from "../../answer/AnswerList";
import { signFault } from "../../answer/signFault";
import { SignPart } from "../../answer/SignPart";
import { useAnswering } from "../../answer/useAnswering";
import { addressOf } from "../../api/call";
import { FoundSeenItem } from "../../found/FoundSeenList";
import { LargePicture } from "../../found/LargePicture";
import { Button } from "../../ui/Button";
import { Heading } from "../../ui/Heading";
import { FileText } from "../../ui/icons";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";

interface QuotePartProps {
  order: PageOrder;
  asked: NonNullable<PageOrder["asked"]>;
  page: CustomerPage;
  token: string;
  acts: PageActs;
}

/** A quote to be answered on the customer's own page: what is signed is exactly what stands here. */
export function QuotePart({ order, asked: { shown, digest }, page, token, acts }: QuotePartProps) {
  const { language, t } = useSpeaking();
  const answering = useAnswering(shown);
  const [signer, setSigner] = useState(page.name);
  const [strokes, setStrokes] = useState<Signature>([]);
  const [fault, setFault] = useState<string | null>(null);
  // One answer however often it is sent; another choice, or another quote, is another answer.
  const sent = useRef({ of: "", id: "" });
  const { sum, isAgreeing, unanswered, given } = answering;
  const { answer } = acts;
  const send = (): void => {
    const toSign = { unanswered, isAgreeing, strokes, signer: signer.trim(), totalCents: sum.totalCents };
    const why = signFault(language, toSign, null);
    setFault(why);
    if (why !== null) return;
    const answers = given.map(({ jobId, answer: value, otherId, reason, askOn }) => ({
      ...{ jobId, answer: value, otherId, reason, askOn },
    }));
    const body = { digest, name: signer.trim(), signature: strokes, answers };
    const of = JSON.stringify(body);
    if (sent.current.of !== of) sent.current = { of, id: uuid() };
    answer.mutate({ id: order.id, body: { ...body, commandId: sent.current.id } });
  };
  return (
    <View style={styles.list}>
      <Heading level={2}>{t("answer.title")}</Heading>
      {order.agreedBefore === null ? null : (
        <Words strong>{t("answer.agreedBefore", { name: order.agreedBefore })}</Words>
      )}
      {shown.validUntil === null ? null : (
        <Words tone="muted" figures>
          {t("paper.goodUntil", { day: showDateIn(language, `${shown.validUntil}T12:00:00Z`, "utc") })}
        </Words>
      )}
      <AnswerList
        shown={shown}
        answering={answering}
        language={language}
        found={order.found}
        drawFound={(found) => (
          <FoundSeenItem
            found={found}
            language={language}
            timeZone={page.timeZone}
            drawPicture={({ photoId, media }, label) => (
              <LargePicture
                uri={addressOf(routes.pagePhoto.path, { token, id: photoId })}
                media={media}
                label={label}
              />
            )}
          />
        )}
        today={dayOf(new Date().toISOString(), page.timeZone)}
      />
      <Button
        icon={FileText}
        label={t("answer.paper")}
        onPress={() => void Linking.openURL(addressOf(routes.quotePdf.path, { token, id: order.id }, { language }))}
        testID={`quote-pdf-${order.id}`}
      />
      <SignPart
        language={language}
        signers={[]}
        signer={signer}
        onSigner={setSigner}
        also={null}
        onStrokes={setStrokes}
      />
      {fault ? <Notice text={fault} /> : null}
      {answer.error ? <Notice text={faultWords(language, answer.error)} /> : null}
      <Button
        kind="next"
        label={isAgreeing ? t("answer.agree", { amount: showMoney(sum.totalCents) }) : t("answer.sign")}
        busy={answer.isPending}
        onPress={send}
        testID="agree"
      />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
