import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { customerPageRoutes as routes, type CustomerPage } from "@mechanon/contract";
import { call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Words } from "../../ui/Words";
import { Part } from "../ask/Part";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";

/** Everything of theirs, for who proves by a code to be the customer. */
export function ProveWho({ token, ways }: { token: string; ways: CustomerPage["ways"] }) {
  const { language, t } = useSpeaking();
  const queries = useQueryClient();
  const [isOpen, setOpen] = useState(false);
  const [code, setCode] = useState("");
  const send = useMutation({
    mutationFn: (way: number) => call(routes.sendPageCode, { params: { token }, body: { way } }),
    onSuccess: () => setCode(""),
  });
  const prove = useMutation({
    mutationFn: () => call(routes.provePage, { params: { token }, body: { code: code.trim() } }),
    onSuccess: (page) => queries.setQueryData(["mine", token], page),
  });
  if (!isOpen) return <Button kind="quiet" label={t("mine.seeAll")} onPress={() => setOpen(true)} testID="see-all" />;
  const error = prove.error ?? send.error;
  return (
    <Part title={t("mine.seeAll")}>
      <Words>{t("mine.proveIntro")}</Words>
      {ways.map(({ channel, hint }, index) => (
        <Button
          key={hint}
          label={t("mine.sendCode", { way: channel, hint })}
          busy={send.isPending}
          onPress={() => send.mutate(index)}
          testID={`send-code-${index}`}
        />
      ))}
      {send.isSuccess ? (
        <>
          <Words role="status">{t("mine.codeSent")}</Words>
          <Field
            label={t("mine.code")}
            value={code}
            onChangeText={setCode}
            inputMode="numeric"
            maxLength={10}
            autoComplete="one-time-code"
          />
          <Button label={t("mine.prove")} busy={prove.isPending} onPress={() => prove.mutate()} testID="prove" />
        </>
      ) : null}
      {error ? <Notice text={faultWords(language, error)} /> : null}
    </Part>
  );
}
