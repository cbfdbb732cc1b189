import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { MOST_PHOTOS } from "@mechanon/core";
import type { PageOrder } from "@mechanon/contract";
import { PhotoButton } from "../../photos/PhotoButton";
import { photoFaultKey } from "../../photos/photoFault";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";

interface WordsPartProps {
  of: { workOrderId: string | null } & Pick<PageOrder, "words" | "photoIds">;
  acts: PageActs;
}

/** What was written to and fro, and writing more; photos added. */
export function WordsPart({ of: { workOrderId, words, photoIds }, acts }: WordsPartProps) {
  const { language, t } = useSpeaking();
  const [typed, setTyped] = useState("");
  const [messageId, setMessageId] = useState(() => uuid());
  const { write, addPhoto } = acts;
  const error = write.error ?? addPhoto.error;
  const send = (): void =>
    write.mutate(
      { messageId, text: typed.trim(), workOrderId },
      {
        onSuccess: () => {
          setTyped("");
          setMessageId(uuid());
        },
      },
    );
  return (
    <View style={styles.list}>
      {words.map(({ id, isOurs, text }) => (
        <Words key={id}>
          <Words strong>{`${isOurs ? t("mine.us") : t("mine.you")}: `}</Words>
          {text}
        </Words>
      ))}
      <Field label={t("mine.write")} value={typed} onChangeText={setTyped} multiline maxLength={1000} />
      {typed.trim() === "" ? null : <Button label={t("mine.sendWords")} busy={write.isPending} onPress={send} />}
      {write.isSuccess ? (
        <Words size="small" tone="muted" role="status">
          {t("mine.wordsSent")}
        </Words>
      ) : null}
      {photoIds.length < MOST_PHOTOS ? (
        <PhotoButton
          label={t("mine.addPhoto")}
          spoken={t("mine.addPhoto")}
          faultWords={(fault) => t(photoFaultKey(fault))}
          testID={`page-photo-${workOrderId ?? "request"}`}
          onTake={(photo) => addPhoto.mutate({ photo, workOrderId })}
        />
      ) : null}
      {error ? <Notice text={faultWords(language, error)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
