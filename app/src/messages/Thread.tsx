import { View } from "react-native";
import { showMoment } from "@mechanon/core";
import type { Message } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useBusiness } from "../session/useSession";
import { Words } from "../ui/Words";
import { stateWords } from "./messageWords";

/** Messages to and from a customer, each with where it stands. */
export function Thread({ messages }: { messages: readonly Message[] }) {
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  return messages.map((message) => {
    const { id, text, at, status, isIncoming, lastError } = message;
    const isFault = status === "failed" || (status === "waiting" && lastError !== null);
    return (
      <View key={id}>
        <Words strong={isIncoming}>{text === "" ? "Sent a photo" : text}</Words>
        <Words size="small" tone={isFault ? "alarm" : "muted"} figures>
          {`${showMoment(at, zone, today)} · ${stateWords(message)}`}
        </Words>
      </View>
    );
  });
}
