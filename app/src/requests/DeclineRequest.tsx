import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";

/** Declines with a word, which they are told. */
export function DeclineRequest({ id, onDone }: { id: string; onDone: () => void }) {
  const queries = useQueryClient();
  const [words, setWords] = useState("");
  const decline = useMutation({
    mutationFn: () => call(routes.declineRequest, { params: { id }, body: { words: words.trim() } }),
    onSuccess: onDone,
    onSettled: () => queries.invalidateQueries({ queryKey: ["requests"] }),
  });
  return (
    <>
      <Field label="A word for them, if you like" value={words} onChangeText={setWords} multiline maxLength={300} />
      {decline.error ? <Notice text={errorWords(decline.error)} /> : null}
      <Button
        label="Decline, and tell them"
        busy={decline.isPending}
        onPress={() => decline.mutate()}
        testID="decline-sure"
      />
    </>
  );
}
