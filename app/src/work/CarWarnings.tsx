import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { showDate } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";

/** What whoever works on this car has to know first: it lies apart, or something on it is not safe since before. */
export function CarWarnings({ view, business }: { view: WorkOrderView; business: Business }) {
  const router = useRouter();
  const { state, carBefore } = view;
  const here = state.apart;
  const apart = carBefore?.apart ?? [];
  const unsafe = carBefore?.unsafe ?? [];
  if (!here && apart.length + unsafe.length === 0) return null;
  return (
    <View style={styles.list}>
      {here ? <Notice text={apartWords(here)} /> : null}
      {apart.map((each) => (
        <Notice
          key={each.workOrderId}
          text={`${apartWords(each)} (No. ${each.number})`}
          action={{ label: "Look at it", onPress: () => router.navigate(`/work/${each.workOrderId}`) }}
        />
      ))}
      {unsafe.map((each) => (
        <Notice
          key={`${each.workOrderId} ${each.pointId}`}
          text={`Not safe since ${showDate(each.at, business.timeZone)}: ${each.title}${each.isTold ? "; they were told" : "; nobody was told"} (No. ${each.number})`}
          action={{ label: "Look at it", onPress: () => router.navigate(`/work/${each.workOrderId}`) }}
        />
      ))}
    </View>
  );
}

function apartWords({ isOff, partsLie, isDrivable }: { isOff: string; partsLie: string; isDrivable: boolean }): string {
  return [
    `The car lies apart: ${isOff}`,
    partsLie === "" ? "" : `parts: ${partsLie}`,
    isDrivable ? "it can be driven" : "it must not be driven",
  ]
    .filter(Boolean)
    .join("; ");
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
