import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { customerPageRoutes as routes, type CustomerPage, type PageOrder } from "@mechanon/contract";
import { call } from "../../api/call";
import { Notice } from "../../ui/Notice";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import { TimeChoices } from "./TimeChoices";
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
  const asked = useQuery({
    queryKey: ["timesForWork", token, id],
    queryFn: () => call(routes.timesForWork, { params: { token, id } }),
    staleTime: 0,
  });
  return (
    <>
      <Words strong>{t("answer.pickTime")}</Words>
      <TimeChoices
        label={t("answer.pickTime")}
        none={t("answer.noTimes")}
        zone={page.timeZone}
        asked={asked}
        disabled={acts.book.isPending}
        onPick={(time) =>
          acts.book.mutate(
            { id, body: { commandId, time } },
            {
              // Another time is another booking.
              onError: () => {
                setCommandId(uuid());
                void asked.refetch();
              },
            },
          )
        }
        testID={`pick-time-${id}`}
      />
      {acts.book.error ? <Notice text={faultWords(language, acts.book.error)} /> : null}
    </>
  );
}
