import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { countOf, showAge, showMoment, showMoney } from "@mechanon/core";
import type { WorkOrderSummary } from "@mechanon/contract";
import { useBusiness } from "../session/useSession";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { showNumber } from "../work/showNumber";
import { useToday } from "./useDay";
import { useNow } from "./useNow";
import { WAIT_WORDS } from "./waitWords";

export interface WorkOrderLineProps {
  order: WorkOrderSummary;
  showWait?: boolean;
  ofCustomer?: boolean;
}

/**
 * A work order in a list: who, which car, what for, since when. `showWait` where the list is not grouped by it,
 * `ofCustomer` where all are of one customer, whose name stands above.
 */
export function WorkOrderLine({ order, showWait = false, ofCustomer = false }: WorkOrderLineProps) {
  const colors = useColors();
  const router = useRouter();
  const now = useNow();
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  const money =
    order.dueCents > 0 ? `${showMoney(order.dueCents)} due` : order.totalCents > 0 ? showMoney(order.totalCents) : "";
  const wait = order.waitsFor === null ? "Closed" : WAIT_WORDS[order.waitsFor].line;
  return (
    <Press
      role="link"
      label={`Work order ${showNumber(order.number)}, ${order.customerName}, ${order.vehicleName}, ${wait}`}
      onPress={() => router.navigate(`/work/${order.id}`)}
      style={[styles.line, { borderColor: colors.hairline }]}
    >
      <View style={styles.row}>
        <Words strong style={styles.grow}>
          {ofCustomer ? order.vehicleName : order.customerName}
        </Words>
        <Words figures strong>
          {money}
        </Words>
      </View>
      <View style={styles.row}>
        <Words style={styles.grow}>{ofCustomer ? order.concerns.join("; ") : order.vehicleName}</Words>
        <Words size="small" tone="muted" figures>
          {order.waitsFor === null ? "" : showAge(order.since, now)}
        </Words>
      </View>
      <Words size="small" tone="muted">
        {[showNumber(order.number), ofCustomer ? "" : order.concerns.join("; ")].filter(Boolean).join(" · ")}
      </Words>
      {order.openConcerns > 0 ? (
        <Words size="small" strong tone="alarm">
          {`${countOf(order.openConcerns, "concern")} still open`}
        </Words>
      ) : null}
      {showWait ? (
        <Words size="small" strong tone="muted">
          {wait}
        </Words>
      ) : null}
      {order.nextVisitAt ? (
        <Words size="small" tone="petrol" figures>{`Visit ${showMoment(order.nextVisitAt, zone, today)}`}</Words>
      ) : null}
      {order.unclearCents > 0 ? (
        <Words size="small" tone="alarm" strong>
          {`? Card ${showMoney(order.unclearCents)} not clear`}
        </Words>
      ) : null}
      {order.conflicts > 0 ? (
        <Words size="small" tone="alarm" strong>
          ✕ Something to settle
        </Words>
      ) : null}
    </Press>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingVertical: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "baseline" },
  grow: { flex: 1 },
});
