import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { showMomentIn } from "@mechanon/core";
import { newTimePageRoutes as routes, type NewTime } from "@mechanon/contract";
import { call } from "../api/call";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { faultWords } from "./faultWords";
import { useSpeaking } from "./language";
import { PageHead } from "./PageHead";

/** The new time a customer was asked about: yes or no, without signing in. */
export function NewTimePage({ token }: { token: string }) {
  const { language, t, suggest } = useSpeaking();
  const queries = useQueryClient();
  const key = ["newTime", token];
  const { data, error, refetch } = useQuery({
    queryKey: key,
    queryFn: () => call(routes.openNewTime, { params: { token } }),
  });
  const kept = data?.language;
  useEffect(() => {
    if (kept) suggest(kept);
  }, [kept, suggest]);
  const say = useMutation({
    mutationFn: (answer: "yes" | "no") => call(routes.answerNewTime, { params: { token }, body: { answer } }),
    onSuccess: (after) => queries.setQueryData(key, after),
    onError: () => void refetch(),
  });
  const isOpen = data !== undefined && data.answer === null && !data.isOver;
  return (
    <Screen
      measured
      title={t("newTime.title")}
      foot={
        isOpen ? (
          <>
            {say.error ? <Notice text={faultWords(language, say.error)} /> : null}
            <Button
              kind="next"
              label={t("newTime.yes")}
              busy={say.isPending}
              onPress={() => say.mutate("yes")}
              testID="say-yes"
            />
            <Button label={t("newTime.no")} busy={say.isPending} onPress={() => say.mutate("no")} testID="say-no" />
          </>
        ) : undefined
      }
    >
      {data ? (
        <>
          <PageHead {...data} />
          <Asked asked={data} />
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

function Asked({ asked }: { asked: NewTime }) {
  const { language, t } = useSpeaking();
  const { timeZone: zone, mechanic, forGap, fromStartsAt, startsAt, answerBy, answer, isOver } = asked;
  const moment = (instant: string): string => showMomentIn(language, instant, zone);
  const [from, to] = [moment(fromStartsAt), moment(startsAt)];
  if (answer === "yes")
    return <Said title={t("newTime.thanks")} words={t("newTime.comes", { mechanic, moment: to })} />;
  if (answer === "no")
    return (
      <Said title={t("newTime.stays")} words={t(forGap ? "newTime.staysGap" : "newTime.staysRain", { moment: from })} />
    );
  if (isOver) return <Said title={t("newTime.overTitle")} words={t("newTime.over")} />;
  return (
    <>
      <Heading level={1}>{t("newTime.could", { moment: to })}</Heading>
      <Words>{t(forGap ? "newTime.whyGap" : "newTime.whyRain", { from, to, mechanic })}</Words>
      {forGap ? null : <Words tone="muted">{t("newTime.kept", { moment: moment(answerBy) })}</Words>}
    </>
  );
}

function Said({ title, words }: { title: string; words: string }) {
  return (
    <>
      <Heading level={1}>{title}</Heading>
      <Words>{words}</Words>
    </>
  );
}
