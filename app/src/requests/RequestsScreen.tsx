import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { showAge } from "@mechanon/core";
import type { VisitRequest } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import { useBusiness } from "../session/useSession";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { OpenMessages } from "./OpenMessages";
import { carLine, takenLine, timeLine, wishLine } from "./requestWords";
import { useRequests, useWaiting } from "./useWaiting";

/** Requests and messages that wait for somebody here, and what became of those of the last two weeks. */
export function RequestsScreen() {
  const { data, error, refetch } = useRequests();
  const { messages } = useWaiting();
  const waiting = data?.filter(({ status }) => status === "waiting" || status === "offered") ?? [];
  const over = data?.filter((request) => !waiting.includes(request)) ?? [];
  return (
    <Screen title="Requests" measured>
      <Heading level={1}>Requests and replies</Heading>
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {!data && !error ? <WaitingRows label="Loading the requests" /> : null}
      {data && waiting.length === 0 && messages.length === 0 ? (
        <Words tone="muted">
          Nobody waits for an answer. Who asks for a visit on your page, and who replies to a message, shows up here.
        </Words>
      ) : null}
      {waiting.map((request) => (
        <RequestRow key={request.id} request={request} />
      ))}
      <OpenMessages messages={messages} />
      {over.length > 0 ? <Heading level={2}>Of the last two weeks</Heading> : null}
      {over.map((request) => (
        <RequestRow key={request.id} request={request} />
      ))}
    </Screen>
  );
}

function RequestRow({ request }: { request: VisitRequest }) {
  const router = useRouter();
  const colors = useColors();
  const today = useToday();
  const now = useNow();
  const zone = useBusiness()?.timeZone ?? "utc";
  const { id, asked, status, at } = request;
  const what = [wishLine(request), carLine(request)].filter((each) => each !== "").join(" · ");
  const age = showAge(at, now);
  return (
    <Press
      role="link"
      label={`${asked.name}, ${what}, ${timeLine(request, zone, today)}`}
      onPress={() => router.navigate(`/requests/${id}`)}
      style={[styles.row, { borderColor: colors.hairline }]}
    >
      <View>
        <Words strong>{asked.name}</Words>
        <Words>{what}</Words>
        <Words size="small" tone="muted" figures>
          {status === "waiting" ? `${timeLine(request, zone, today)} · waits ${age}` : takenLine(request)}
        </Words>
      </View>
    </Press>
  );
}

const styles = StyleSheet.create({ row: { borderBottomWidth: 1, paddingVertical: SPACE.s } });
