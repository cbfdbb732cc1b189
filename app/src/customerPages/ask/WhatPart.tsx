import { useMutation } from "@tanstack/react-query";
import { Controller, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { MOST_PHOTOS } from "@mechanon/core";
import { askPageRoutes as routes, type AskPage } from "@mechanon/contract";
import { addressOf } from "../../api/call";
import { PhotoButton } from "../../photos/PhotoButton";
import { photoFaultKey } from "../../photos/photoFault";
import { Button } from "../../ui/Button";
import { FormField } from "../../ui/FormField";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Toggles } from "../../ui/Toggles";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import { sendPhoto } from "../sendPhoto";
import { Part } from "./Part";
import type { Asking } from "./useAsking";

/** What should be done: wishes, own words, photos. */
export function WhatPart({ slug, page, asking }: { slug: string; page: AskPage; asking: Asking }) {
  const { language, t } = useSpeaking();
  const { form, requestId } = asking;
  const { control, setValue, getValues } = form;
  const photoIds = useWatch({ control, name: "photoIds" });
  const keepIds = (ids: string[]): void => setValue("photoIds", ids, { shouldDirty: true });
  const adding = useMutation({
    mutationFn: async (photo: Blob) => {
      const photoId = uuid();
      await sendPhoto(addressOf(routes.addAskedPhoto.path, { slug, id: requestId, photoId }), photo);
      return photoId;
    },
    onSuccess: (id) => keepIds([...getValues("photoIds"), id]),
  });
  return (
    <Part title={t("ask.whatTitle")}>
      <Controller
        control={control}
        name="wishIds"
        render={({ field }) => (
          <Toggles
            label={t("ask.whatTitle")}
            options={page.wishes.map((wish) => ({ value: wish.id, label: wish[language] }))}
            chosen={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <FormField control={control} name="words" label={t("ask.ownWords")} multiline maxLength={2000} />
      {photoIds.length > 0 ? (
        <View style={styles.photos}>
          <Words role="status">{t("ask.photos", { count: photoIds.length })}</Words>
          {photoIds.map((id, index) => (
            <Button
              key={id}
              kind="quiet"
              label={t("ask.takePhotoOut", { number: index + 1 })}
              onPress={() => keepIds(photoIds.filter((other) => other !== id))}
            />
          ))}
        </View>
      ) : null}
      {photoIds.length < MOST_PHOTOS ? (
        <PhotoButton
          label={t("ask.addPhoto")}
          spoken={t("ask.addPhoto")}
          faultWords={(fault) => t(photoFaultKey(fault))}
          testID="ask-photo"
          onTake={(photo) =>
            adding.mutateAsync(photo).then(
              () => undefined,
              () => undefined,
            )
          }
        />
      ) : null}
      {adding.error ? <Notice text={faultWords(language, adding.error)} /> : null}
    </Part>
  );
}

const styles = StyleSheet.create({ photos: { gap: SPACE.xs } });
