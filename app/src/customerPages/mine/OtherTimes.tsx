import { useQuery } from "@tanstack/react-query";
import { showMomentIn } from "@mechanon/core";
import { customerPageRoutes as routes, type PageVisit } from "@mechanon/contract";
import { call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Notice } from "../../ui/Notice";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";

interface OtherTimesProps {
  visit: PageVisit;
  zone: string;
  token: string;
  acts: PageActs;
  onClose: () => void;
}

/** Other times for a visit: one tap moves it. */
export function OtherTimes({ visit: { id }, zone, token, acts, onClose }: OtherTimesProps) {
  const { language, t } = useSpeaking();
  const { data, error, refetch } = useQuery({
    queryKey: ["pageTimes", token, id],
    queryFn: () => call(routes.pageTimes, { params: { token, id } }),
    staleTime: 0,
  });
  const times = data?.times ?? [];
  return (
    <>
      <Words strong>{t("mine.pickTime")}</Words>
      {error ? (
        <Notice
          text={faultWords(language, error)}
          action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
        />
      ) : !data ? (
        <WaitingRows label={t("page.loading")} rows={3} />
      ) : times.length === 0 ? (
        <Words>{t("mine.noOtherTimes")}</Words>
      ) : (
        <Choices
          label={t("mine.pickTime")}
          options={times.map(({ startsAt, mechanicId }) => ({
            value: `${startsAt} ${mechanicId}`,
            label: showMomentIn(language, startsAt, zone),
          }))}
          value={null}
          onChoose={(key) => {
            const time = times.find(({ startsAt, mechanicId }) => `${startsAt} ${mechanicId}` === key);
            if (time) acts.move.mutate({ id, time }, { onSuccess: onClose, onError: () => void refetch() });
          }}
          testID={`other-times-${id}`}
        />
      )}
      <Button kind="quiet" label={t("mine.leaveIt")} busy={acts.move.isPending} onPress={onClose} />
    </>
  );
}
