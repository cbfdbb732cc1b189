import { useRouter } from "expo-router";
import { StyleSheet } from "react-native";
import { showTime } from "@mechanon/core";
import { useReachable } from "../api/reachable";
import { useBusiness } from "../session/useSession";
import { Press } from "../ui/Press";
import { Words } from "../ui/Words";
import { useSync } from "./state";
import { syncWords } from "./syncWords";

/**
 * Tells what is saved, what waits to be sent, and that something was not taken; touched, which.
 * @param asOf - when the server last said how what is shown here is.
 */
export function SyncLine({ asOf = null }: { asOf?: string | null }) {
  const router = useRouter();
  const zone = useBusiness()?.timeZone ?? "utc";
  const isReachable = useReachable((state) => state.isReachable);
  const { pending, photos, refused, online, keeping, halted } = useSync();
  const notTaken = refused.length + photos.filter(({ refusal }) => refusal !== null).length;
  const waiting = pending.length + photos.filter(({ refusal }) => refusal === null).length;
  const isCalm = notTaken === 0 && halted === null && keeping === "kept";
  const words = syncWords({
    waiting,
    refused: notTaken,
    online: online && isReachable,
    keeping,
    halted,
    asOf: asOf === null ? null : showTime(asOf, zone),
  });
  return (
    <Press
      role="link"
      label={`${words}. See what waits`}
      onPress={() => router.navigate("/waiting")}
      style={styles.line}
    >
      <Words size="small" tone={isCalm ? "muted" : "alarm"} strong={!isCalm} align="center" role="status">
        {words}
      </Words>
    </Press>
  );
}

const styles = StyleSheet.create({
  // As high whatever it says: the act above it does not move.
  line: { minHeight: 32 },
});
