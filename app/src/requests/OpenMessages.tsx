import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { showMoment, showPhone } from "@mechanon/core";
import { routes, type OpenMessage } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { KIND_WORDS } from "../messages/messageWords";
import { SendOrDrop } from "../messages/SendOrDrop";
import { useDecide } from "../messages/useDecide";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** Messages that wait for somebody: replies, those that ask first, those that did not arrive. */
export function OpenMessages({ messages }: { messages: readonly OpenMessage[] }) {
  if (messages.length === 0) return null;
  return (
    <>
      <Heading level={2}>Messages</Heading>
      {messages.map((message) => (
        <OpenMessageRow key={message.id} message={message} />
      ))}
    </>
  );
}

function OpenMessageRow({ message }: { message: OpenMessage }) {
  const colors = useColors();
  const router = useRouter();
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  const { id, text, isIncoming, status, at, workOrderId, recipient, customerName, kind, lastError } = message;
  const decide = useDecide(id);
  const from = customerName ?? (recipient === "" ? "Whoever asked" : `${reachOf(recipient)}, a number nobody here has`);
  const head = isIncoming
    ? from
    : status === "failed"
      ? `Did not reach ${from}: ${lastError ?? ""}`
      : `Send ${from} “${kind === null ? "a message" : KIND_WORDS[kind]}”?`;
  return (
    <View style={[styles.row, { borderColor: colors.hairline }]}>
      <Words strong>{head}</Words>
      <Words>{text === "" ? "Sent a photo" : text}</Words>
      <Words size="small" tone="muted" figures>
        {showMoment(at, zone, today)}
      </Words>
      <View style={styles.acts}>
        {isIncoming ? (
          <Answer message={message} />
        ) : (
          <SendOrDrop message={message} of={`${from}, ${kind === null ? "a message" : KIND_WORDS[kind]}`} />
        )}
        {isIncoming ? <Button kind="quiet" label="Seen to" onPress={() => decide.mutate("done")} /> : null}
        {workOrderId === null ? null : (
          <Button kind="quiet" label="Open the work order" onPress={() => router.navigate(`/work/${workOrderId}`)} />
        )}
      </View>
      {decide.error ? <Notice text={errorWords(decide.error)} /> : null}
    </View>
  );
}

function reachOf(recipient: string): string {
  return recipient.startsWith("+") ? showPhone(recipient) : recipient;
}

/** Writing back, where the reply came from. */
function Answer({ message: { id, workOrderId } }: { message: OpenMessage }) {
  const queries = useQueryClient();
  const [typed, setTyped] = useState<string | null>(null);
  const [messageId] = useState(() => uuid());
  const answer = useMutation({
    mutationFn: (text: string) =>
      workOrderId === null
        ? call(routes.answerUnknown, { params: { id }, body: { messageId, text } })
        : call(routes.writeMessage, { params: { id: workOrderId }, body: { messageId, text, answers: id } }),
    onSuccess: () => {
      setTyped(null);
      void queries.invalidateQueries({ queryKey: ["openMessages"] });
    },
  });
  if (typed === null) return <Button label="Answer" onPress={() => setTyped("")} testID={`answer-${id}`} />;
  return (
    <View style={styles.answer}>
      <Field label="Your answer" value={typed} onChangeText={setTyped} multiline maxLength={1000} autoFocus />
      <Button
        label="Send the answer"
        busy={answer.isPending}
        disabled={typed.trim() === ""}
        onPress={() => answer.mutate(typed.trim())}
      />
      {answer.error ? <Notice text={errorWords(answer.error)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: SPACE.m, gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, alignItems: "center" },
  answer: { flexBasis: "100%", gap: SPACE.s },
});
