import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { quoteTotalCents, showMoney } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { loadWorkOrder } from "../sync/views";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";

/** From then on what was found and quoted stands on their page, to be answered there. */
export function SendQuote({ view: { state } }: { view: WorkOrderView }) {
  const [messageId, setMessageId] = useState(() => uuid());
  const send = useMutation({
    mutationFn: () => call(routes.sendQuote, { params: { id: state.id }, body: { messageId } }),
    onSuccess: () => {
      setMessageId(uuid());
      void loadWorkOrder(state.id);
    },
  });
  return (
    <>
      {send.error ? <Notice text={errorWords(send.error)} /> : null}
      <Button
        label={
          state.jobs.length > 0 ? `Send what we found, ${showMoney(quoteTotalCents(state))}` : "Send what we found"
        }
        busy={send.isPending}
        onPress={() => send.mutate()}
        testID="send-quote"
      />
    </>
  );
}
