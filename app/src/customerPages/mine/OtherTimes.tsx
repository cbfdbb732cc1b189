import { useQuery } from "@tanstack/react-query";
import { customerPageRoutes as routes, type PageVisit } from "@mechanon/contract";
import { call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Words } from "../../ui/Words";
import { useSpeaking } from "../language";
import { TimeChoices } from "./TimeChoices";
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
  const { t } = useSpeaking();
  const asked = useQuery({
    queryKey: ["pageTimes", token, id],
    queryFn: () => call(routes.pageTimes, { params: { token, id } }),
    staleTime: 0,
  });
  return (
    <>
      <Words strong>{t("mine.pickTime")}</Words>
      <TimeChoices
        label={t("mine.pickTime")}
        none={t("mine.noOtherTimes")}
        zone={zone}
        asked={asked}
        onPick={(time) => acts.move.mutate({ id, time }, { onSuccess: onClose, onError: () => void asked.refetch() })}
        testID={`other-times-${id}`}
      />
      <Button kind="quiet" label={t("mine.leaveIt")} busy={acts.move.isPending} onPress={onClose} />
    </>
  );
}
