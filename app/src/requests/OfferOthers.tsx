import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { showMoment, type AskedTime } from "@mechanon/core";
import { routes, type VisitRequest } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Toggles } from "../ui/Toggles";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";

interface OfferOthersProps {
  request: VisitRequest;
  business: Business;
  isAgreeing: boolean;
  /** One that was settled on the phone. */
  onAgree: (time: AskedTime) => void;
  onDone: () => void;
}

const DAYS = 14;
const SHOWN = 12;
const MOST_OFFERED = 3;

/** Up to three other times: sent for them to pick of, or agreed to at once where it was settled on the phone. */
export function OfferOthers({ request, business, isAgreeing, onAgree, onDone }: OfferOthersProps) {
  const today = useToday();
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<string[]>([]);
  const [words, setWords] = useState("");
  // Looked at, and held by nobody until it is sent.
  const [lookedFor] = useState(() => uuid());
  const { id, asked, minutes } = request;
  const { latitude, longitude } = asked.place;
  const { data, error, refetch } = useQuery({
    queryKey: ["offeredTimes", "request", id],
    queryFn: () =>
      call(routes.offeredTimes, {
        body: {
          place: { latitude, longitude },
          minutes,
          // Of its own: what others hold is not offered, and nothing of theirs is let go.
          heldFor: lookedFor,
          mechanicId: null,
          movesVisitId: null,
          days: DAYS,
        },
      }),
  });
  const offer = useMutation({
    mutationFn: (times: AskedTime[]) =>
      call(routes.offerTimes, { params: { id }, body: { times, words: words.trim() } }),
    onSuccess: onDone,
    onError: () => void refetch(),
    onSettled: () => queries.invalidateQueries({ queryKey: ["requests"] }),
  });
  const nameOf = (mechanicId: string): string =>
    business.people.find((person) => person.id === mechanicId)?.name.split(" ")[0] ?? "";
  const times = (data?.offers ?? [])
    .slice(0, SHOWN)
    .sort((one, other) => (one.startsAt < other.startsAt ? -1 : 1))
    .map(({ mechanicId, startsAt, endsAt }): AskedTime => ({ mechanicId, startsAt, endsAt }));
  const picked = times.filter((time) => chosen.includes(keyOf(time)));
  const [only] = picked;
  return (
    <View style={styles.list}>
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : !data ? (
        <WaitingRows label="Looking for times" rows={3} />
      ) : times.length === 0 ? (
        <Words>Nobody has time in the next two weeks.</Words>
      ) : (
        <Toggles
          label="Times to offer"
          options={times.map((time) => ({
            value: keyOf(time),
            label: `${showMoment(time.startsAt, business.timeZone, today)}, ${nameOf(time.mechanicId)}`,
          }))}
          chosen={chosen}
          onChange={(next) => setChosen(next.slice(-MOST_OFFERED))}
        />
      )}
      <Field label="A word with them, if you like" value={words} onChangeText={setWords} maxLength={300} />
      {offer.error ? <Notice text={errorWords(offer.error)} /> : null}
      <Button
        label={picked.length < 2 ? "Offer this time" : `Offer these ${picked.length} times`}
        disabled={picked.length === 0}
        busy={offer.isPending}
        onPress={() => offer.mutate(picked)}
        testID="send-offer"
      />
      {picked.length === 1 && only ? (
        <Button
          label="Settled on the phone: book it"
          busy={isAgreeing}
          onPress={() => onAgree(only)}
          testID="agree-other"
        />
      ) : null}
    </View>
  );
}

const keyOf = ({ mechanicId, startsAt }: AskedTime): string => `${startsAt} ${mechanicId}`;

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
