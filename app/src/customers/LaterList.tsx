import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { showAge, showMoney } from "@mechanon/core";
import type { CustomerSheetView } from "@mechanon/contract";
import { useNow } from "../day/useNow";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** Work they put off, with its price as it was then. */
export function LaterList({ later }: { later: CustomerSheetView["later"] }) {
  const router = useRouter();
  const now = useNow();
  if (later.length === 0) return <Words tone="muted">Jobs answered with “later” wait here.</Words>;
  return later.map(({ workOrderId, jobId, title, vehicleName, totalCents, at }) => (
    <Press
      key={jobId}
      role="link"
      label={`Later: ${title}, ${showMoney(totalCents)}`}
      onPress={() => router.navigate(`/work/${workOrderId}`)}
    >
      <View style={styles.row}>
        <Words strong tone="petrol" style={styles.grow}>
          {title}
        </Words>
        <Words figures>{showMoney(totalCents)}</Words>
      </View>
      <Words size="small" tone="muted">{`${vehicleName}, put off ${showAge(at, now)} ago`}</Words>
    </Press>
  ));
}

const styles = StyleSheet.create({ row: { flexDirection: "row", gap: SPACE.m }, grow: { flex: 1 } });
