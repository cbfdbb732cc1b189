import { useMutation } from "@tanstack/react-query";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";

/** Calls the links to a customer's private page back: such as when one was sent to a wrong number. */
export function PageLinks({ customerId }: { customerId: string }) {
  const callBack = useMutation({
    mutationFn: () => call(routes.callBackPages, { params: { id: customerId } }),
  });
  return (
    <>
      <Button
        kind="quiet"
        label="Call back the links to their page"
        busy={callBack.isPending}
        onPress={() => callBack.mutate()}
        testID="call-back-pages"
      />
      <NeedsSignal what="Calling back" />
      {callBack.data ? (
        <Notice
          kind="note"
          text={
            callBack.data.ended === 0
              ? "No link of theirs was open."
              : "Links that were sent open nothing any more. The next message brings a new one."
          }
        />
      ) : null}
      {callBack.error ? <Notice text={errorWords(callBack.error)} /> : null}
    </>
  );
}
