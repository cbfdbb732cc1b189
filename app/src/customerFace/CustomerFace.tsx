import { Redirect, useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { approversOf, say, showDateIn, showMoney, showVehicle, type Signature } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { useBusiness, useMe, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { useLiveChanges } from "../sync/useLiveChanges";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { FoundHere } from "./FoundHere";
import { JobToAnswer } from "./JobToAnswer";
import { signFault } from "./signFault";
import { SignatureField } from "./SignatureField";
import { useAnswers } from "./useAnswers";

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
  const quote = useAnswers(state);
  const [name, setName] = useState<string | null>(null);
  const [strokes, setStrokes] = useState<Signature>([]);
  const [fault, setFault] = useState<string | null>(null);
  const signer = name ?? customer?.name ?? "";
  const approvers = customer ? approversOf(customer) : [];
  const sign = (): void => {
    const { unanswered, isAgreeing, totalCents } = quote;
    const hasSignature = strokes.length > 0;
    const why = signFault({ unanswered, signer: signer.trim(), customer, isAgreeing, totalCents, hasSignature });
    if (why !== null) return setFault(why);
    sendCommand(state.id, {
      type: "recordAnswers",
      approvalId: uuid(),
      way: "signed",
      name: signer.trim(),
      signature: strokes,
      answers: quote.jobs.map((job) => ({
        jobId: job.id,
        title: job.title,
        answer: quote.chosen(job.id) ?? "no",
        totalCents: quote.jobCents(job.id),
      })),
      totalCents,
    });
    onSigned();
  };
  return (
    <Screen
      measured
      title="Your quote"
      foot={
        <>
          {fault ? <Notice text={fault} /> : null}
          <Button
            kind="next"
            label={quote.isAgreeing ? `Agree to ${showMoney(quote.totalCents)}` : "Sign my answer"}
            onPress={sign}
            testID="agree"
          />
        </>
      }
    >
      <Heading level={1}>{business.name}</Heading>
      <Words>{[customer?.name, showVehicle(vehicle)].filter(Boolean).join(", ")}</Words>
      <FoundHere view={view} business={business} />
      <Heading level={2}>What it takes</Heading>
      {view.state.validUntil ? (
        <Words tone="muted" figures>
          {say("en", "paper.goodUntil", { day: showDateIn("en", `${view.state.validUntil}T12:00:00Z`, "utc") })}
        </Words>
      ) : null}
      {quote.jobs.length === 0 ? <Words tone="muted">There is nothing to decide at the moment.</Words> : null}
      {quote.jobs.map((job) => (
        <JobToAnswer
          key={job.id}
          job={job}
          totalCents={quote.jobCents(job.id)}
          creditCents={quote.creditCents(job.id)}
          answer={quote.chosen(job.id)}
          onAnswer={(answer) => quote.choose(job.id, answer)}
        />
      ))}
      <View style={styles.sums}>
        {quote.suppliesCents > 0 ? (
          <Row tone="muted" left="Shop supplies" right={showMoney(quote.suppliesCents)} />
        ) : null}
        <Row tone="muted" left="Taxes" right={showMoney(quote.taxCents)} />
        <Row strong rule left="You agree to" right={showMoney(quote.totalCents)} />
      </View>
      {approvers.length > 1 ? (
        <Choices
          label="Who signs"
          options={approvers.map(({ name: who }) => ({ value: who, label: who }))}
          value={signer}
          onChoose={setName}
        />
      ) : null}
      <Field label="Name" value={signer} onChangeText={setName} maxLength={200} autoComplete="off" />
      <SignatureField onChange={setStrokes} />
      <Button kind="quiet" label="Not now: back to the mechanic" onPress={onBack} />
    </Screen>
  );
}

const styles = StyleSheet.create({
  sums: { gap: SPACE.xs },
});
