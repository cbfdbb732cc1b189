import { View } from "react-native";
import { countOf, refusalWords } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";
import { syncWords } from "./syncWords";
import { dismissRefusal, dropPending, overlapAnyway, retryNow, useSync } from "./store";

/** Tells what is saved, what waits to be sent, and what was refused. */
export function SyncLine() {
  const { pending, photos, online, stuck, personId } = useSync();
  const mine = pending.filter(({ by }) => by === personId);
  const others = pending.length - mine.length;
  const waiting = mine.length + photos.length;
  if (stuck !== null) {
    return (
      <View>
        <Notice
          text={`${stuck} ${countOf(waiting, "change")} kept on this device.`}
          action={{ label: "Send again", onPress: retryNow }}
        />
        {mine.length > 0 ? (
          <Button kind="quiet" label="Give up the oldest change" onPress={() => void dropPending()} />
        ) : null}
      </View>
    );
  }
  return (
    <Words size="small" tone="muted" align="center" role="status">
      {[
        syncWords(waiting, online),
        others > 0 ? `${countOf(others, "change")} of somebody else kept here until they sign in` : "",
      ]
        .filter(Boolean)
        .join(". ")}
    </Words>
  );
}

/** What the server refused on one work order, with the way out. */
export function Refusals({ workOrderId }: { workOrderId: string }) {
  const refused = useSync((state) => state.refused);
  return refused
    .filter(({ target }) => target === workOrderId)
    .map((refusal) => (
      <View key={refusal.id}>
        <Notice
          text={refusalWords(refusal.code)}
          action={{ label: "Understood", onPress: () => dismissRefusal(refusal.id) }}
        />
        {refusal.code === "visit/overlaps" ? (
          <Button kind="quiet" label="Do it anyway" onPress={() => overlapAnyway(refusal)} />
        ) : null}
      </View>
    ));
}
