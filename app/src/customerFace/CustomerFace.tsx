import { Redirect, useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import {
  approvalLimitOf,
  approversOf,
  ANSWERS,
  CUSTOMER_PAYER,
  jobTotals,
  priceWorkOrder,
  showMoney,
  showVehicle,
  type Answer,
  type Signature,
} from "@mechanon/core";
import { errorWords } from "../api/problem";
import { PhotoStrip } from "../photos/PhotoStrip";
import { useBusiness, useMe } from "../session/useSession";
import { sendCommand } from "../sync/store";
import { useLiveChanges } from "../sync/useLiveChanges";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { GRADE_LOOK } from "../work/gradeLook";
import { SignatureField } from "./SignatureField";

const ANSWER_WORDS: Record<Answer, string> = { yes: "Yes", later: "Later", no: "No" };
const OPTIONS = ANSWERS.map((value) => ({ value, label: ANSWER_WORDS[value] }));

/** What the customer sees when the phone is turned: findings, prices, yes, later or no, a signature; nothing else. */
export function CustomerFace({ id }: { id: string }) {
  const router = useRouter();
  const colors = useColors();
  const { me } = useMe();
  const business = useBusiness();
  const { view, error, refetch } = useWorkOrder(id);
  useLiveChanges(me?.id ?? null);
  const [answers, setAnswers] = useState<Record<string, Answer>>({});
  const [name, setName] = useState<string | null>(null);
  const [strokes, setStrokes] = useState<Signature>([]);
  const [fault, setFault] = useState<string | null>(null);
  const [isSigned, setSigned] = useState(false);
  if (me === null) return <Redirect href="/sign-in" />;
  if (!view || !business)
    return (
      <Screen title="Your quote">
        {error ? (
          <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} />
        ) : (
          <Waiting label="Loading the quote" />
        )}
      </Screen>
    );

  const { state, customer } = view;
  const back = (): void => router.replace(`/work/${id}`);
  if (isSigned) {
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
  }
  const jobs = state.jobs.filter(({ finishedAt }) => finishedAt === null);
  const totals = jobTotals(state);
  const chosen = (jobId: string): Answer | null =>
    answers[jobId] ?? state.jobs.find((job) => job.id === jobId)?.answer?.value ?? null;
  const agreed = state.jobs.filter((job) => job.finishedAt !== null || chosen(job.id) === "yes");
  const priced = priceWorkOrder({ ...state, jobs: agreed }, "all");
  const payer = priced.payers.find((candidate) => candidate.id === CUSTOMER_PAYER);
  const findings = business.settings.inspection.flatMap((point) => {
    const finding = state.findings.find(({ pointId }) => pointId === point.id);
    return finding && (finding.grade === "act" || finding.grade === "watch") ? [{ point, finding }] : [];
  });
  const signer = name ?? customer?.name ?? "";
  const approvers = customer ? approversOf(customer) : [];
  const sign = (): void => {
    const open = jobs.filter((job) => chosen(job.id) === null);
    if (open.length > 0)
      return setFault(
        `Please answer ${open.map(({ title }) => title.toLowerCase()).join(", ")} with yes, later or no.`,
      );
    if (signer.trim() === "") return setFault("Please give a name with the signature.");
    const limit = customer ? approvalLimitOf(customer, signer) : null;
    if (limit !== null && agreed.length > 0 && priced.total > limit)
      return setFault(
        `${signer.trim()} may agree to ${limit === 0 ? "nothing here" : `up to ${showMoney(limit)}`}. Please ask ${customer?.name ?? "the customer"}, or put something off.`,
      );
    if (strokes.length === 0) return setFault("Please sign in the field above.");
    sendCommand(id, {
      type: "recordAnswers",
      approvalId: uuid(),
      way: "signed",
      name: signer.trim(),
      signature: strokes,
      answers: jobs.map((job) => ({
        jobId: job.id,
        title: job.title,
        answer: chosen(job.id) ?? "no",
        totalCents: totals.get(job.id) ?? 0,
      })),
      totalCents: priced.total,
    });
    setSigned(true);
  };
  const taxes = Object.values(payer?.taxes ?? {}).reduce((sum, tax) => sum + tax, 0);
  return (
    <Screen
      measured
      title="Your quote"
      foot={
        <>
          {fault ? <Notice text={fault} /> : null}
          <Button
            kind="next"
            label={agreed.length > 0 ? `Agree to ${showMoney(priced.total)}` : "Sign my answer"}
            onPress={sign}
            testID="agree"
          />
        </>
      }
    >
      <Heading level={1}>{business.name}</Heading>
      <Words>{[customer?.name, showVehicle(view.vehicle)].filter(Boolean).join(", ")}</Words>
      {findings.length > 0 ? <Heading level={2}>What was found</Heading> : null}
      {findings.map(({ point, finding }) => {
        const { icon: Icon, label } = GRADE_LOOK[finding.grade];
        return (
          <View key={point.id} style={styles.finding}>
            <Icon size={24} color={colors.ink} />
            <View style={styles.grow}>
              <Words strong>{`${point.title}: ${label.toLowerCase()}`}</Words>
              {finding.measured !== null && point.measure ? (
                <Words figures>{`${point.measure.name} ${finding.measured} ${point.measure.unit}`}</Words>
              ) : null}
              {finding.note ? <Words>{finding.note}</Words> : null}
              <PhotoStrip ids={finding.photoIds} title={point.title} />
            </View>
          </View>
        );
      })}
      <Heading level={2}>What it takes</Heading>
      {jobs.length === 0 ? <Words tone="muted">There is nothing to decide at the moment.</Words> : null}
      {jobs.map((job) => (
        <View key={job.id} style={[styles.job, { borderColor: colors.hairline }]}>
          <Row strong left={job.title} right={showMoney(totals.get(job.id) ?? 0)} />
          <Words size="small" tone="muted">
            {job.lines.map(({ description }) => description).join(", ")}
          </Words>
          <Choices
            even
            label={`Your answer on ${job.title}`}
            options={OPTIONS}
            value={chosen(job.id)}
            onChoose={(answer) => setAnswers({ ...answers, [job.id]: answer })}
            testID={`answer-${job.libraryJobId ?? job.id}`}
          />
        </View>
      ))}
      <View style={styles.sums}>
        {payer && payer.supplies > 0 ? (
          <Row tone="muted" left="Shop supplies" right={showMoney(payer.supplies)} />
        ) : null}
        <Row tone="muted" left="Taxes" right={showMoney(taxes)} />
        <Row strong rule left="You agree to" right={showMoney(priced.total)} />
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
      <Button kind="quiet" label="Not now: back to the mechanic" onPress={back} />
    </Screen>
  );
}

const styles = StyleSheet.create({
  finding: { flexDirection: "row", gap: SPACE.m },
  grow: { flex: 1, gap: SPACE.xs },
  job: { borderTopWidth: 1, paddingVertical: SPACE.m, gap: SPACE.s },
  sums: { gap: SPACE.xs },
});
