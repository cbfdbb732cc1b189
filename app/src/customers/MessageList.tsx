import { View } from "react-native";
import { showMoment } from "@mechanon/core";
import type { CustomerSheetView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useBusiness } from "../session/useSession";
import { Words } from "../ui/Words";

/** What was texted to them, newest first. */
export function MessageList({ messages }: { messages: CustomerSheetView["messages"] }) {
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  if (messages.length === 0) return <Words tone="muted">Nothing was texted yet.</Words>;
  return messages.map(({ id, text, status, at }) => (
    <View key={id}>
      <Words>{text}</Words>
      <Words size="small" tone="muted" figures>
        {`${showMoment(at, zone, today)}, ${status === "sent" ? "sent" : "waiting to go out"}`}
      </Words>
    </View>
  ));
}
