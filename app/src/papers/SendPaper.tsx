import { useState } from "react";
import { z } from "zod";
import { v7 as uuid } from "uuid";
import type { Paper } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { useMutation } from "@tanstack/react-query";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { stateWords } from "../messages/messageWords";
import { NeedsSignal } from "../offline/NeedsSignal";
import { loadWorkOrder } from "../sync/views";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";
import { reachesFor } from "./reachesFor";

const KINDS = { quote: "quoted", mechanicsSheet: "sheet" } as const;

/** Sends a paper by text, as a link, or by mail, with the PDF. */
export function SendPaper({ view, paper }: { view: WorkOrderView; paper: Paper }) {
  const { state, customer, messages } = view;
  const [typed, keep, drop] = useUnsaved(`send/${state.id}/${paper}`, z.string().max(254));
  const [messageId, setMessageId] = useState(() => uuid());
  const reaches = reachesFor(paper, customer);
  const to = typed ?? reaches[0]?.value ?? "";
  const send = useMutation({
    mutationFn: () => {
      const asked = { params: { id: state.id }, body: { messageId, to: to.trim() } };
      return paper === "quote" ? call(routes.sendQuote, asked) : call(routes.sendSheet, asked);
    },
    onSuccess: () => {
      setMessageId(uuid());
      drop();
      void loadWorkOrder(state.id);
    },
  });
  const sent = messages.filter(({ kind }) => kind === KINDS[paper]).at(-1);
  return (
    <>
      <Heading level={2}>Send it</Heading>
      {reaches.length > 0 ? <Choices label="Send it to" options={reaches} value={to} onChoose={keep} /> : null}
      <Field
        label="Phone or email"
        value={to}
        maxLength={254}
        inputMode="email"
        autoCapitalize="none"
        onChangeText={keep}
        hint={
          paper === "quote"
            ? "a text brings the link, a mail the PDF, too"
            : "a text brings a link for who is signed in, a mail the PDF, too"
        }
      />
      {send.error ? <Notice text={errorWords(send.error)} /> : null}
      {sent ? <Words role="status">{`To ${sent.recipient}: ${stateWords(sent)}`}</Words> : null}
      <NeedsSignal what="Sending" isTyped />
      <Button
        label={to.includes("@") ? "Mail it" : "Text the link"}
        busy={send.isPending}
        disabled={to.trim() === ""}
        onPress={() => send.mutate()}
        testID="send-paper"
      />
    </>
  );
}
