import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMoment, showPhone, showPlace } from "@mechanon/core";
import { routes, type RequestMatches, type VisitRequest } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { NeedsSignal } from "../offline/NeedsSignal";
import { PhotoStrip } from "../photos/PhotoStrip";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { DeclineRequest } from "./DeclineRequest";
import { MatchChoice } from "./MatchChoice";
import { OfferOthers } from "./OfferOthers";
import { carLine, takenLine, timeLine, wishLine } from "./requestWords";
import { likelyMatch, type Match } from "./likelyMatch";
import { useAgree } from "./useAgree";

/** One request: who may be asking, and agreeing to it, other times, or a no. */
export function RequestScreen({ id }: { id: string }) {
  const business = useBusiness();
  const { data, error, refetch } = useQuery({
    queryKey: ["request", id],
    queryFn: () => call(routes.openRequest, { params: { id } }),
  });
  if (data && business) return <Request key={data.request.id} {...data} business={business} />;
  return (
    <Screen title="Request">
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : (
        <WaitingRows label="Loading the request" />
      )}
    </Screen>
  );
}

interface RequestProps {
  request: VisitRequest;
  matches: RequestMatches;
  business: Business;
}

function Request({ request, matches, business }: RequestProps) {
  const router = useRouter();
  const today = useToday();
  const [match, setMatch] = useState<Match>(() => likelyMatch(matches));
  const [open, setOpen] = useState<"offer" | "decline" | null>(null);
  const agree = useAgree(request.id);
  const { asked, status, isTimeFree, workOrderId } = request;
  const zone = business.timeZone;
  const isOpen = status === "waiting" || status === "offered";
  return (
    <Screen
      title="Request"
      measured
      foot={
        <>
          {agree.error ? <Notice text={errorWords(agree.error)} /> : null}
          <NeedsSignal what="Answering a request" />
          {isOpen && isTimeFree ? (
            <Button
              kind="next"
              label={`Agree: ${timeLine(request, zone, today)}`}
              busy={agree.isPending}
              onPress={() => agree.mutate({ ...match, time: null })}
              testID="agree"
            />
          ) : workOrderId !== null ? (
            <Button kind="next" label="Open the work order" onPress={() => router.navigate(`/work/${workOrderId}`)} />
          ) : isOpen ? (
            <Button kind="next" label="Offer other times" onPress={() => setOpen("offer")} />
          ) : null}
        </>
      }
    >
      <Heading level={1}>{asked.name}</Heading>
      <Words strong>{wishLine(request)}</Words>
      {isOpen ? null : <Notice kind="note" text={takenLine(request)} />}
      <Asked request={request} zone={zone} today={today} />
      {isOpen ? (
        <>
          <MatchChoice matches={matches} value={match} onChange={setMatch} name={asked.name} car={carLine(request)} />
          <View style={styles.acts}>
            <Button
              label="Other times"
              onPress={() => setOpen(open === "offer" ? null : "offer")}
              testID="other-times"
            />
            <Button label="Decline" onPress={() => setOpen(open === "decline" ? null : "decline")} testID="decline" />
          </View>
          {open === "offer" ? (
            <OfferOthers
              request={request}
              business={business}
              isAgreeing={agree.isPending}
              onAgree={(time) => agree.mutate({ ...match, time })}
              onDone={() => router.navigate("/requests")}
            />
          ) : null}
          {open === "decline" ? <DeclineRequest id={request.id} onDone={() => router.navigate("/requests")} /> : null}
        </>
      ) : null}
      <Button kind="quiet" label="All requests and replies" onPress={() => router.navigate("/requests")} />
    </Screen>
  );
}

/** What they said. */
function Asked({ request, zone, today }: { request: VisitRequest; zone: string; today: string }) {
  const { asked, photoIds, at, isTimeFree, minutes, words, offered } = request;
  const { phone, email, place, isThere, keyLies, terms, language } = asked;
  const lines = [
    carLine(request),
    [phone === "" ? "" : showPhone(phone), email].filter((each) => each !== "").join(" · "),
    showPlace(place),
    isThere ? "They are there" : `The key: ${keyLies}`,
    `${timeLine(request, zone, today)}, about ${minutes} min${isTimeFree ? "" : ": taken by now"}`,
    language === "es" ? "Speaks Spanish" : "",
    terms === "" ? "" : `Accepted: “${terms}”`,
    offered.length > 0 ? `Offered: ${offered.map(({ startsAt }) => showMoment(startsAt, zone, today)).join(", ")}` : "",
    words === "" ? "" : `Told: “${words}”`,
  ].filter((line) => line !== "");
  return (
    <View style={styles.asked}>
      {lines.map((line) => (
        <Words key={line} figures>
          {line}
        </Words>
      ))}
      <PhotoStrip pictures={photoIds.map((photoId) => ({ photoId }))} title="From the request" />
      <Words size="small" tone="muted" figures>{`Asked ${showMoment(at, zone, today)}`}</Words>
    </View>
  );
}

const styles = StyleSheet.create({
  asked: { gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
