import type { Message } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { useDecide } from "./useDecide";

interface SendOrDropProps {
  message: Pick<Message, "id" | "status">;
  /** Read aloud with each, where several stand in a row. */
  of: string;
  onDecided?: () => void;
}

/** What is done with a message that asks first, or did not arrive. */
export function SendOrDrop({ message: { id, status }, of, onDecided }: SendOrDropProps) {
  const decide = useDecide(id);
  return (
    <>
      <Button
        label={status === "failed" ? "Send once more" : "Send"}
        spoken={`${status === "failed" ? "Send once more" : "Send"}: ${of}`}
        busy={decide.isPending}
        onPress={() => decide.mutate("send", { onSuccess: onDecided })}
      />
      <Button
        kind="quiet"
        label="Do not send"
        spoken={`Do not send: ${of}`}
        onPress={() => decide.mutate("drop", { onSuccess: onDecided })}
      />
      {decide.error ? <Notice text={errorWords(decide.error)} /> : null}
    </>
  );
}
