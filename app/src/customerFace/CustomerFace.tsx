import { Redirect, useRouter } from "expo-router";
import { useState } from "react";
import {
  dayOf,
  say,
  showDateIn,
  showMoney,
  showVehicle,
  type Signature,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { AnswerList } from "../answer/AnswerList";
import { answersCommand } from "../answer/answersCommand";
import { alsoNeeded, signersOf, signFault } from "../answer/signFault";
import { SignPart } from "../answer/SignPart";
import { useAnswering } from "../answer/useAnswering";
import { errorWords } from "../api/problem";
import { useBusiness, useMe, type Business } from "../session/useSession";
import { Logo } from "../papers/Logo";
import { sendCommand } from "../sync/give";
import { useLiveChanges } from "../sync/useLiveChanges";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { FoundBeside, FoundHere } from "./FoundHere";
import { useShownHere } from "../answer/useShownHere";

/** What the customer sees when the phone is turned: findings, prices, yes, later or no, a signature; nothing else. */
export function CustomerFace({ id }: { id: string }) {
  const router = useRouter();
  const { me } = useMe();
  const business = useBusiness();
  const { view, error, refetch } = useWorkOrder(id);
  useLiveChanges(me?.id ?? null);
  const [isSigned, setSigned] = useState(false);
  const back = (): void => router.replace(`/work/${id}`);
  if (me === null) return <Redirect href="/sign-in" />;
  if (!view || !business)
    return (
      <Screen title="Your quote">
        {error ? (
          <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} />
        ) : (
          <WaitingRows label="Loading the quote" />
        )}
      </Screen>
    );
  if (isSigned)
    return (
      <Screen
        measured
        title="Thank you"
        foot={<Button kind="next" label="Back to the mechanic" onPress={back} testID="hand-back" />}
      >
        <Heading level={1}>Thank you.</Heading>
        <Words>Your answer is kept. Please hand the phone back.</Words>
      </Screen>
    );
  return <QuoteToSign view={view} business={business} onSigned={() => setSigned(true)} onBack={back} />;
}

interface QuoteToSignProps {
  view: WorkOrderView;
  business: Business;
  onSigned: () => void;
  onBack: () => void;
}

function QuoteToSign({ view, business, onSigned, onBack }: QuoteToSignProps) {
  const { state, customer, vehicle } = view;
  const { shown, found } = useShownHere(view, business);
  const { language } = shown;
  const { logo } = business.settings.papers;
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  const answering = useAnswering(shown);
  const { sum, isAgreeing, unanswered, given } = answering;
  const [name, setName] = useState<string | null>(null);
  const [strokes, setStrokes] = useState<Signature>([]);
  const [fault, setFault] = useState<string | null>(null);
  const signer = name ?? customer?.name ?? "";
  const toSign = { unanswered, isAgreeing, strokes, signer: signer.trim(), totalCents: sum.totalCents };
  const also = alsoNeeded(toSign, customer);
  const cured = new Set(shown.jobs.flatMap(({ pointIds }) => pointIds));
  const sign = (): void => {
    const why = signFault(language, toSign, customer);
    if (why !== null) return setFault(why);
    sendCommand(state.id, answersCommand("signed", { ...toSign, given, shown, also: also?.name ?? null }));
    onSigned();
  };
  return (
    <Screen
      measured
      title={t("answer.title")}
      foot={
        answering.open.length === 0 ? undefined : (
          <>
            {fault ? <Notice text={fault} /> : null}
            <Button
              kind="next"
              label={isAgreeing ? t("answer.agree", { amount: showMoney(sum.totalCents) }) : t("answer.sign")}
              onPress={sign}
              testID="agree"
            />
          </>
        )
      }
    >
      {logo === null ? null : <Logo uri={`data:image/png;base64,${logo}`} name={business.name} />}
      <Heading level={1}>{business.name}</Heading>
      <Words>{[customer?.name, showVehicle(vehicle)].filter(Boolean).join(", ")}</Words>
      <FoundHere
        view={view}
        business={business}
        found={found.filter(({ pointId }) => !cured.has(pointId))}
        language={language}
      />
      <Heading level={2}>{t("answer.takes")}</Heading>
      {state.validUntil ? (
        <Words tone="muted" figures>
          {t("paper.goodUntil", { day: showDateIn(language, `${state.validUntil}T12:00:00Z`, "utc") })}
        </Words>
      ) : null}
      <AnswerList
        shown={shown}
        answering={answering}
        language={language}
        found={found}
        drawFound={(each) => <FoundBeside found={each} language={language} timeZone={business.timeZone} />}
        today={dayOf(new Date().toISOString(), business.timeZone)}
      />
      {answering.open.length === 0 ? null : (
        <SignPart
          language={language}
          signers={signersOf(customer)}
          signer={signer}
          onSigner={setName}
          also={also}
          onStrokes={setStrokes}
        />
      )}
      <Button kind="quiet" label="Not now: back to the mechanic" onPress={onBack} />
    </Screen>
  );
}
