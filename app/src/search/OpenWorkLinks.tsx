import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { showMoney } from "@mechanon/core";
import type { FoundCustomer } from "@mechanon/contract";
import { WAIT_WORDS } from "../day/waitWords";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** What is open for a customer that was found, each one press away. */
export function OpenWorkLinks({ found: { customer, openWork } }: { found: FoundCustomer }) {
  const router = useRouter();
  return openWork.map(({ id, number, waitsFor, dueCents, vehicleName }) => {
    const wait = waitsFor ? WAIT_WORDS[waitsFor].line : "Closed";
    return (
      <Press
        key={id}
        role="link"
        label={`Work order ${number}, ${customer.name}, ${vehicleName}, ${wait}`}
        onPress={() => router.navigate(`/work/${id}`)}
      >
        <View style={styles.row}>
          <Words size="small" figures>{`○ ${number}`}</Words>
          <Words size="small" style={styles.grow}>
            {vehicleName}
          </Words>
          <Words size="small" strong>
            {wait}
          </Words>
          {dueCents > 0 ? <Words size="small" strong figures>{`${showMoney(dueCents)} due`}</Words> : null}
        </View>
      </Press>
    );
  });
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s, alignItems: "baseline", paddingLeft: SPACE.m },
  grow: { flexGrow: 1 },
});
