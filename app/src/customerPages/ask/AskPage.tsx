import { useQuery } from "@tanstack/react-query";
import { useFormState } from "react-hook-form";
import { Linking } from "react-native";
import { showPhone } from "@mechanon/core";
import { askPageRoutes as routes, type AskPage as Page } from "@mechanon/contract";
import { call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Heading } from "../../ui/Heading";
import { Notice } from "../../ui/Notice";
import { Screen } from "../../ui/Screen";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import { PageHead } from "../PageHead";
import { CarPart } from "./CarPart";
import { CostPart } from "./CostPart";
import { TimesPart } from "./TimesPart";
import { useAsking } from "./useAsking";
import { WhatPart } from "./WhatPart";
import { WherePart } from "./WherePart";
import { WhoPart } from "./WhoPart";

/** The page on which anybody asks a business for a visit, day and night, without signing in. */
export function AskPage({ slug }: { slug: string }) {
  const { language, t } = useSpeaking();
  const { data, error, refetch } = useQuery({
    queryKey: ["askPage", slug],
    queryFn: () => call(routes.openAskPage, { params: { slug } }),
  });
  if (data?.isOpen) return <Asking slug={slug} page={data} />;
  return (
    <Screen measured title={t("ask.title")}>
      {data ? (
        <>
          <PageHead {...data} />
          <Heading level={1}>{t("ask.title")}</Heading>
          <Words>{t("ask.closed", { phone: showPhone(data.businessPhone) })}</Words>
        </>
      ) : error ? (
        <Notice
          text={faultWords(language, error)}
          action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
        />
      ) : (
        <WaitingRows label={t("page.loading")} />
      )}
    </Screen>
  );
}

function Asking({ slug, page }: { slug: string; page: Page }) {
  const { language, t } = useSpeaking();
  const asking = useAsking(slug, page);
  const { form, isBack, startOver, send, isSending, error, sentTo } = asking;
  const { control } = form;
  const { errors, isSubmitted } = useFormState({ control });
  const missing = Object.keys(errors).length;
  if (sentTo !== null) return <Sent page={page} address={sentTo} />;
  return (
    <Screen
      measured
      title={t("ask.title")}
      foot={
        <>
          {error ? <Notice text={faultWords(language, error)} /> : null}
          {isSubmitted && missing > 0 ? (
            <Words tone="alarm" role="alert">{`✕ ${t("ask.missing", { count: missing })}`}</Words>
          ) : null}
          <Button kind="next" label={t("ask.send")} busy={isSending} onPress={send} testID="send-request" />
        </>
      }
    >
      <PageHead {...page} />
      <Heading level={1}>{t("ask.title")}</Heading>
      <Words>{t("ask.intro")}</Words>
      {isBack ? <Button kind="quiet" label={t("ask.startOver")} onPress={startOver} /> : null}
      <WhatPart slug={slug} page={page} asking={asking} />
      <CarPart slug={slug} page={page} form={form} />
      <WherePart slug={slug} form={form} />
      <TimesPart slug={slug} page={page} asking={asking} />
      <WhoPart control={control} />
      <CostPart page={page} control={control} />
      <Words size="small" tone="muted">
        {t("ask.keptHere")}
      </Words>
    </Screen>
  );
}

/** It was sent: where it is followed. */
function Sent({ page, address }: { page: Page; address: string }) {
  const { t } = useSpeaking();
  return (
    <Screen
      measured
      title={t("ask.sent")}
      foot={
        <Button kind="next" label={t("ask.follow")} onPress={() => void Linking.openURL(address)} testID="open-mine" />
      }
    >
      <PageHead {...page} />
      <Heading level={1}>{t("ask.sent")}</Heading>
      <Words>{t("mine.waiting")}</Words>
    </Screen>
  );
}
