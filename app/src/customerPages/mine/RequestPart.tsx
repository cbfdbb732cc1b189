import { showMomentIn } from "@mechanon/core";
import type { CustomerPage } from "@mechanon/contract";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Notice } from "../../ui/Notice";
import { Words } from "../../ui/Words";
import { Part } from "../ask/Part";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";
import { WordsPart } from "./WordsPart";

interface RequestPartProps {
  request: CustomerPage["requests"][number];
  page: CustomerPage;
  acts: PageActs;
}

/** A request, and what became of it. */
export function RequestPart({ request, page: { timeZone }, acts }: RequestPartProps) {
  const { language, t } = useSpeaking();
  const { id, status, at, time, car, wishes, words, offered, answer } = request;
  const moment = (instant: string): string => showMomentIn(language, instant, timeZone);
  const error = acts.pick.error ?? acts.withdraw.error;
  return (
    <Part title={t("mine.asked")}>
      <Words>{[car, ...wishes.map((wish) => wish[language]), words].filter((each) => each !== "").join(" · ")}</Words>
      <Words tone="muted">{t("mine.askedAt", { moment: moment(at) })}</Words>
      {status === "waiting" ? (
        <>
          <Words>{t("mine.wished", { moment: moment(time.startsAt) })}</Words>
          <Words strong>{t("mine.waiting")}</Words>
        </>
      ) : null}
      {status === "offered" ? (
        <>
          <Words strong>{t("mine.offered")}</Words>
          {answer === "" ? null : <Words>{answer}</Words>}
          <Choices
            label={t("mine.offered")}
            options={offered.map(({ startsAt }) => ({
              value: startsAt,
              label: t("mine.take", { moment: moment(startsAt) }),
            }))}
            value={null}
            onChoose={(startsAt) => {
              const picked = offered.find((each) => each.startsAt === startsAt);
              if (picked) acts.pick.mutate({ id, time: picked });
            }}
            testID="offered-times"
          />
        </>
      ) : null}
      {status === "declined" ? (
        <>
          <Words strong>{t("mine.declined")}</Words>
          {answer === "" ? null : <Words>{answer}</Words>}
        </>
      ) : null}
      {status === "withdrawn" ? <Words strong>{t("mine.withdrawn")}</Words> : null}
      {error ? <Notice text={faultWords(language, error)} /> : null}
      {status === "waiting" || status === "offered" ? (
        <>
          <WordsPart of={{ workOrderId: null, words: request.said, photoIds: request.photoIds }} acts={acts} />
          <Button
            kind="quiet"
            label={t("mine.withdraw")}
            busy={acts.withdraw.isPending}
            onPress={() => acts.withdraw.mutate(id)}
          />
        </>
      ) : null}
    </Part>
  );
}
