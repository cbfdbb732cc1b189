import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { showMomentIn } from "@mechanon/core";
import { customerPageRoutes as routes, type CustomerPage, type PageOrder } from "@mechanon/contract";
import { call } from "../../api/call";
import { Choices } from "../../ui/Choices";
import { Notice } from "../../ui/Notice";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";

interface PickTimeProps {
  order: PageOrder;
  page: CustomerPage;
  token: string;
  acts: PageActs;
}

/** Times at which what was agreed can be done, its parts there: one tap books. */
export function PickTime({ order: { id }, page, token, acts }: PickTimeProps) {
  const { language, t } = useSpeaking();
  const [commandId, setCommandId] = useState(() => uuid());
  const { data, error, refetch } = useQuery({
    queryKey: ["timesForWork", token, id],
    queryFn: () => call(routes.timesForWork, { params: { token, id } }),
    staleTime: 0,
  });
  const times = data?.times ?? [];
  return (
    <>
      <Words strong>{t("answer.pickTime")}</Words>
      {error ? (
        <Notice
          text={faultWords(language, error)}
          action={{ label: t("page.tryAgain"), onPress: () => void refetch() }}
        />
      ) : !data ? (
        <WaitingRows label={t("page.loading")} rows={3} />
      ) : times.length === 0 ? (
        <Words>{t("answer.noTimes")}</Words>
      ) : (
        <Choices
          label={t("answer.pickTime")}
          options={times.map(({ startsAt, mechanicId }) => ({
            value: `${startsAt} ${mechanicId}`,
            label: showMomentIn(language, startsAt, page.timeZone),
          }))}
          value={null}
          disabled={acts.book.isPending}
          onChoose={(key) => {
            const time = times.find(({ startsAt, mechanicId }) => `${startsAt} ${mechanicId}` === key);
            if (!time) return;
            acts.book.mutate(
              { id, body: { commandId, time } },
              {
                // Another time is another booking.
                onError: () => {
                  setCommandId(uuid());
                  void refetch();
                },
              },
            );
          }}
          testID={`pick-time-${id}`}
        />
      )}
      {acts.book.error ? <Notice text={faultWords(language, acts.book.error)} /> : null}
    </>
  );
}
