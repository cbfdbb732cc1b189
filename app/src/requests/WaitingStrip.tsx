import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { countOf } from "@mechanon/core";
import { useColors } from "../ui/face";
import { Inbox } from "../ui/icons";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { takenLine, wishLine } from "./requestWords";
import { useCalm } from "./useCalm";
import { useWaiting, type Waiting } from "./useWaiting";

/** On every screen: that a request or a reply waits, and who has just taken one. */
export function WaitingStrip() {
  const { line, href } = stripOf(useWaiting());
  const shown = useCalm(line);
  const colors = useColors();
  const router = useRouter();
  if (shown === null) return null;
  return (
    <View style={[styles.strip, { borderColor: colors.hairline, backgroundColor: colors.inset }]} role="status">
      <Press role="link" label={shown} onPress={() => router.navigate(href)} testID="waiting-strip">
        <View style={styles.inside}>
          <Inbox size={20} color={colors.petrol} />
          <Words strong tone="petrol" numberOfLines={1} style={styles.line}>
            {shown}
          </Words>
        </View>
      </Press>
    </View>
  );
}

/** What the strip says and where it leads: to the one request that waits, or to all. */
export function stripOf({ requests, messages, justTaken }: Waiting): {
  line: string | null;
  href: "/requests" | `/requests/${string}`;
} {
  const [first] = requests;
  const taken = justTaken[0];
  // One alone says what it is: an answer to a quote, or a question.
  const incoming = messages.filter(({ isIncoming }) => isIncoming);
  const [message] = incoming;
  const newest = incoming.length === 1 && message?.text !== "" ? message : undefined;
  const others = messages.length - (newest ? 1 : 0);
  const parts = [
    requests.length === 1 && first
      ? `${first.asked.name} asks for a visit: ${wishLine(first)}`
      : requests.length > 1
        ? `${countOf(requests.length, "request")} for a visit`
        : "",
    newest ? `${newest.customerName ?? "A customer"}: ${newest.text}` : "",
    others > 0 ? `${countOf(others, newest ? "other message" : "message")} to see to` : "",
    requests.length === 0 && taken ? takenLine(taken) : "",
  ].filter((part) => part !== "");
  return {
    line: parts.length === 0 ? null : parts.join(" · "),
    href: requests.length === 1 && first ? `/requests/${first.id}` : "/requests",
  };
}

const styles = StyleSheet.create({
  strip: { borderBottomWidth: 1, paddingHorizontal: SPACE.l },
  inside: { flexDirection: "row", alignItems: "center", gap: SPACE.s },
  line: { flex: 1 },
});
