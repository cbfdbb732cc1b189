import { useHotkeys } from "react-hotkeys-hook";
import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { KEYS } from "./keys";

/** The list of keys. */
export function KeyHelp({ onClose }: { onClose: () => void }) {
  const colors = useColors();
  useHotkeys("escape", onClose);
  return (
    <View
      role="dialog"
      aria-label="Keys"
      aria-modal
      style={[styles.sheet, { backgroundColor: colors.paper, borderColor: colors.ink }]}
    >
      <Heading level={2}>Keys</Heading>
      {KEYS.map(({ key, does }) => (
        <View key={key} style={styles.row}>
          <Words mono strong style={styles.key}>
            {key}
          </Words>
          <Words>{does}</Words>
        </View>
      ))}
      <Button label="Close" onPress={onClose} />
    </View>
  );
}

const styles = StyleSheet.create({
  sheet: {
    position: "absolute",
    right: SPACE.xl,
    bottom: SPACE.xl,
    borderWidth: 1.5,
    borderRadius: 4,
    padding: SPACE.xl,
    gap: SPACE.s,
    minWidth: 300,
  },
  row: { flexDirection: "row", gap: SPACE.l },
  key: { width: 92 },
});
