import { useMutation, useQuery } from "@tanstack/react-query";
import { dequal } from "dequal";
import { useState } from "react";
import { useFormState, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { showMomentIn, showPhone, showTimeIn, type AskedTime } from "@mechanon/core";
import { askPageRoutes as routes, type AskPage } from "@mechanon/contract";
import { call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import { canLookForTimes, placeAsked } from "./askForm";
import { Part } from "./Part";
import type { Asking } from "./useAsking";
import { useSettled } from "./useSettled";

const FIRST_TIMES = 3;
/** Times are looked for once typing rests. */
const REST_MS = 500;

/** When: three times at which a visit truly fits, and more. The picked one is held. */
export function TimesPart({ slug, page, asking }: { slug: string; page: AskPage; asking: Asking }) {
  const { language, t } = useSpeaking();
  const { form, requestId } = asking;
  const { control, setValue } = form;
  const [showsAll, setShowsAll] = useState(false);
  const { errors } = useFormState({ control, name: "time" });
  const [wishIds, words, street, town, region, postcode, picked] = useWatch({
    control,
    name: ["wishIds", "words", "street", "town", "region", "postcode", "time"],
  });
  const canLook = canLookForTimes({ wishIds, words, street });
  const wanted = { place: placeAsked({ street, town, region, postcode }), wishIds };
  const body = useSettled(wanted, REST_MS);
  const { data, error, refetch, isPlaceholderData } = useQuery({
    queryKey: ["askTimes", slug, body],
    queryFn: () => call(routes.askTimes, { params: { slug }, body }),
    enabled: canLook,
    staleTime: 60_000,
    placeholderData: (before) => before,
  });
  // Times for another place or other work may not be there for this one: none is taken before the new ones are here.
  const isOvertaken = !error && (isPlaceholderData || !dequal(wanted, body));
  const hold = useMutation({
    mutationFn: (time: AskedTime) =>
      call(routes.holdAskedTime, { params: { slug }, body: { ...body, requestId, time } }),
    onError: () => {
      setValue("time", null);
      void refetch();
    },
  });
  const times = data?.times ?? [];
  const all = picked && !times.some((time) => keyOf(time) === keyOf(picked)) ? [picked, ...times] : times;
  const shown = showsAll ? all : all.slice(0, FIRST_TIMES);
  return (
    <Part title={t("ask.whenTitle")} fault={errors.time?.message}>
      <View style={styles.room}>
        {!canLook ? (
          <Words tone="muted">{t("ask.whenLater")}</Words>
        ) : error && !data ? (
          <Notice
            text={faultWords(language, error)}
            action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
          />
        ) : !data ? (
          <WaitingRows label={t("page.loading")} rows={3} />
        ) : all.length === 0 ? (
          <Notice kind="note" text={t("ask.noTimes", { phone: showPhone(page.businessPhone) })} />
        ) : (
          <Choices
            label={t("ask.whenTitle")}
            options={shown.map((time) => ({
              value: keyOf(time),
              label: showMomentIn(language, time.startsAt, page.timeZone),
            }))}
            value={picked ? keyOf(picked) : null}
            disabled={isOvertaken}
            onChoose={(key) => {
              const time = all.find((each) => keyOf(each) === key);
              if (!time) return;
              setValue("time", time, { shouldDirty: true, shouldValidate: true });
              hold.mutate(time);
            }}
            testID="ask-times"
          />
        )}
        {!showsAll && all.length > FIRST_TIMES ? (
          <Button kind="quiet" label={t("ask.moreTimes")} onPress={() => setShowsAll(true)} />
        ) : null}
        {hold.data && picked ? (
          <Words size="small" tone="muted" role="status">
            {t("ask.timesHeld", { time: showTimeIn(language, hold.data.heldUntil, page.timeZone) })}
          </Words>
        ) : null}
        {hold.error ? <Notice text={faultWords(language, hold.error)} /> : null}
      </View>
    </Part>
  );
}

const keyOf = ({ mechanicId, startsAt }: AskedTime): string => `${startsAt} ${mechanicId}`;

const styles = StyleSheet.create({ room: { minHeight: 200, gap: SPACE.s } });
