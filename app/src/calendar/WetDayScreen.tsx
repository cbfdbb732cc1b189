import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Linking, StyleSheet, View } from "react-native";
import { countOf, showDay, showMoment, showPhone, showTime } from "@mechanon/core";
import { routes, type BusinessView, type MoveAsk } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { askState, isToCall, ASK_WORDS } from "./askState";

/** A wet day: new times for what needs it dry, the messages that ask, and who said what. */
export function WetDayScreen({ date }: { date: string | null }) {
  const business = useBusiness();
  return business ? <WetDay business={business} date={date} /> : null;
}

function WetDay({ business, date }: { business: BusinessView; date: string | null }) {
  const queries = useQueryClient();
  const today = useToday();
  const now = useNow();
  const { data, error, refetch } = useQuery({
    queryKey: ["moveAsks"],
    queryFn: () => call(routes.listMoveAsks, {}),
    refetchInterval: 30_000,
  });
  const keep = ({ asks }: { asks: MoveAsk[] }): void => void queries.setQueryData(["moveAsks"], { asks });
  const find = useMutation({
    mutationFn: (day: string) => call(routes.askNewTimes, { body: { date: day } }),
    onSuccess: keep,
  });
  const send = useMutation({
    mutationFn: (ids: string[]) => call(routes.sendMoveAsks, { body: { ids } }),
    onSuccess: keep,
  });
  const answer = useMutation({
    mutationFn: ({ id, said }: { id: string; said: "yes" | "no" }) =>
      call(routes.answerMoveAsk, { params: { id }, body: { answer: said } }),
    onSuccess: keep,
    onError: () => void refetch(),
  });
  const asks = data?.asks ?? [];
  const ready = asks.filter((ask) => askState(ask, now) === "ready" && ask.recipient !== null);
  const toCall = asks.filter((ask) => isToCall(ask, now));
  const others = asks.filter((ask) => !isToCall(ask, now));
  const fault = find.error ?? send.error ?? answer.error;
  const rows = { business, now, onAnswer: (id: string, said: "yes" | "no") => answer.mutate({ id, said }) };
  const foot =
    ready.length > 0 ? (
      <Button
        kind="next"
        label={`Send ${countOf(ready.length, "message")}`}
        busy={send.isPending}
        onPress={() => send.mutate(ready.map(({ id }) => id))}
        testID="send-asks"
      />
    ) : date !== null ? (
      <Button
        kind="next"
        label={`Find dry times for ${showDay(date, today)}`}
        busy={find.isPending}
        onPress={() => find.mutate(date)}
        testID="find-times"
      />
    ) : undefined;
  return (
    <Screen title="A wet day" measured foot={foot}>
      <Heading level={1}>{date === null ? "Rain: who was asked" : `Rain, ${showDay(date, today)}`}</Heading>
      <Words tone="muted">
        Each stop that needs it dry gets the soonest dry time, held until they answer. Who says yes is moved; who is
        silent at the hour is listed for a call. Locked visits stay.
      </Words>
      <NeedsSignal what="Finding times and asking" />
      {fault ? <Notice text={errorWords(fault)} /> : null}
      {find.data?.without.map(({ visitId, customerName }) => (
        <Notice key={visitId} text={`No dry time was found for ${customerName}. Call, or look further ahead.`} />
      ))}
      {find.data?.asks.length === 0 && find.data.without.length === 0 ? (
        <Notice kind="note" text="No stop of this day needs it dry where rain is likely." />
      ) : null}
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {!data && !error ? <WaitingRows label="Loading" /> : null}
      {data && asks.length === 0 && !find.data ? <Words>Nobody was asked in the last two weeks.</Words> : null}
      {toCall.length > 0 ? <Heading level={2}>{`To call, ${toCall.length}`}</Heading> : null}
      {toCall.map((ask) => (
        <AskRow key={ask.id} ask={ask} {...rows} />
      ))}
      {toCall.length > 0 && others.length > 0 ? <Heading level={2}>Asked</Heading> : null}
      {others.map((ask) => (
        <AskRow key={ask.id} ask={ask} {...rows} />
      ))}
    </Screen>
  );
}

interface AskRowProps {
  ask: MoveAsk;
  business: BusinessView;
  now: string;
  onAnswer: (id: string, said: "yes" | "no") => void;
}

function AskRow({ ask, business, now, onAnswer }: AskRowProps) {
  const colors = useColors();
  const today = useToday();
  const { timeZone: zone, people } = business;
  const who = people.find(({ id }) => id === ask.mechanicId)?.name.split(" ")[0] ?? "";
  const state = askState(ask, now);
  const { phone } = ask;
  return (
    <View style={[styles.ask, { borderColor: colors.hairline }]} role="group" aria-label={ask.customerName}>
      <Words strong>{ask.customerName}</Words>
      <Words figures>
        {`${showMoment(ask.fromStartsAt, zone, today)} → ${showMoment(ask.startsAt, zone, today)}, ${who}`}
      </Words>
      <Words size="small" strong tone={state === "silent" ? "alarm" : "muted"} figures>
        {state === "waits" ? `Asked, until ${showTime(ask.answerBy, zone)}` : ASK_WORDS[state]}
      </Words>
      {state === "ready" ? <Words size="small">{ask.message}</Words> : null}
      {ask.answer === null ? (
        <View style={styles.acts}>
          {phone === null ? null : (
            <Button
              kind="quiet"
              label={`Call ${showPhone(phone)}`}
              onPress={() => void Linking.openURL(`tel:${phone}`)}
            />
          )}
          <Button
            label="They said yes"
            spoken={`They said yes, ${ask.customerName}`}
            onPress={() => onAnswer(ask.id, "yes")}
          />
          <Button
            label="They said no"
            spoken={`They said no, ${ask.customerName}`}
            onPress={() => onAnswer(ask.id, "no")}
          />
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  ask: { borderTopWidth: 1, paddingTop: SPACE.s, gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
