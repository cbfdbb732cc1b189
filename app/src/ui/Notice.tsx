import { StyleSheet, View } from "react-native";
import { Info, TriangleAlert } from "./icons";
import { Button } from "./Button";
import { useColors } from "./face";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface NoticeProps {
  text: string;
  kind?: "fault" | "note";
  action?: { label: string; onPress: () => void };
}

/** Tells what happened, what was kept, what to do. */
export function Notice({ text, kind = "fault", action }: NoticeProps) {
  const colors = useColors();
  const Icon = kind === "fault" ? TriangleAlert : Info;
  return (
    <View
      role={kind === "fault" ? "alert" : "status"}
      style={[styles.box, { borderColor: kind === "fault" ? colors.alarm : colors.muted }]}
    >
      <View style={styles.row}>
        <Icon size={22} color={kind === "fault" ? colors.alarm : colors.muted} />
        <Words style={styles.text}>{text}</Words>
      </View>
      {action ? <Button label={action.label} onPress={action.onPress} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderLeftWidth: 4, paddingLeft: SPACE.m, paddingVertical: SPACE.xs, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s },
  text: { flex: 1 },
});
