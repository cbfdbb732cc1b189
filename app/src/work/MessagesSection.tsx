import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { countOf, messageWays, showMoment } from "@mechanon/core";
import { routes, type Message, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { KIND_WORDS } from "../messages/messageWords";
import { SendOrDrop } from "../messages/SendOrDrop";
import { Thread } from "../messages/Thread";
import { SendQuote } from "../answer/SendQuote";
import { NeedsSignal } from "../offline/NeedsSignal";
import { PhotoStrip } from "../photos/PhotoStrip";
import { loadWorkOrder } from "../sync/views";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";
import { z } from "zod";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";

/** What was told the customer, what they replied, and writing to them. */
export const messagesSection: WorkOrderSection = {
  name: "messages",
  title: "Messages",
  acts: [],
  line: ({ view }) => {
    const open = view.messages.filter(({ isIncoming, answeredAt }) => isIncoming && answeredAt === null);
    if (open.length > 0) return `${countOf(open.length, "reply", "replies")} to answer`;
    const offered = view.messages.filter(({ status }) => status === "asks").length;
    if (offered > 0) return `${countOf(offered, "message")} to send or not`;
    const failed = view.messages.filter(({ status }) => status === "failed").length;
    if (failed > 0) return `${countOf(failed, "message")} did not arrive`;
    return view.messages.length === 0 ? "Nothing yet" : countOf(view.messages.length, "message");
  },
  Body: MessagesSection,
};

/** All that was said to and by the customer about this work, and writing more. */
export function MessagesSection({ view, business }: WorkOrderSectionProps) {
  const today = useToday();
  const { pageOpenedAt, messages, askedBefore, customerPhotoIds = [], customer, state } = view;
  return (
    <View style={styles.list}>
      {askedBefore && askedBefore.words !== "" ? <Words>{`They asked: “${askedBefore.words}”`}</Words> : null}
      <PhotoStrip pictures={customerPhotoIds.map((photoId) => ({ photoId }))} title="From the customer" />
      {pageOpenedAt ? (
        <Words>{`They opened their page ${showMoment(pageOpenedAt, business.timeZone, today)}`}</Words>
      ) : null}
      {messages.length === 0 ? <Words tone="muted">Nothing was told or asked yet.</Words> : null}
      <Thread messages={messages.filter(({ status }) => status !== "asks")} />
      {messages
        .filter(({ status }) => status === "asks")
        .map((message) => (
          <OfferedMessage key={message.id} message={message} onDecided={() => void loadWorkOrder(state.id)} />
        ))}
      {customer && messageWays(customer).length > 0 ? (
        <>
          <Write view={view} />
          {state.jobs.length + state.findings.length > 0 ? <SendQuote view={view} /> : null}
        </>
      ) : (
        <Words tone="muted">No phone that takes texts and no email is kept of them: call them.</Words>
      )}
    </View>
  );
}

/** What fits what happened, to be sent or not. */
function OfferedMessage({ message, onDecided }: { message: Message; onDecided: () => void }) {
  const kind = message.kind === null ? "a message" : KIND_WORDS[message.kind];
  return (
    <View style={styles.offered} role="group" aria-label={`Send “${kind}”?`}>
      <Words strong>{`Send “${kind}”?`}</Words>
      <Words>{message.text}</Words>
      <View style={styles.acts}>
        <SendOrDrop message={message} of={kind} onDecided={onDecided} />
      </View>
      <NeedsSignal what="Sending" />
    </View>
  );
}

const typedWords = z.string();

/** Words of a person, sent the way the customer wants; what is typed stays until it is sent. */
function Write({ view: { state, messages } }: { view: WorkOrderView }) {
  const [typed, keep, drop] = useUnsaved(`message/${state.id}`, typedWords);
  const [messageId, setMessageId] = useState(() => uuid());
  const answers = messages.find(({ isIncoming, answeredAt }) => isIncoming && answeredAt === null)?.id ?? null;
  const send = useMutation({
    mutationFn: (text: string) =>
      call(routes.writeMessage, { params: { id: state.id }, body: { messageId, text, answers } }),
    onSuccess: () => {
      drop();
      setMessageId(uuid());
      void loadWorkOrder(state.id);
    },
  });
  const words = typed ?? "";
  return (
    <>
      <Field
        label={answers === null ? "Write to them" : "Answer them"}
        value={words}
        onChangeText={keep}
        multiline
        maxLength={1000}
      />
      {send.error ? <Notice text={errorWords(send.error)} /> : null}
      <NeedsSignal what="Sending" isTyped />
      {words.trim() === "" ? null : (
        <Button label="Send" busy={send.isPending} onPress={() => send.mutate(words.trim())} testID="send-message" />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  offered: { gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, alignItems: "center" },
});
