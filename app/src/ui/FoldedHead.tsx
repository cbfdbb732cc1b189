import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import { ChevronUp } from "./icons";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

/** What a sheet is about, in one line over what scrolls, once its head is out of sight; a touch leads back to it. */
export function FoldedHead({ words, onTop }: { words: string; onTop: () => void }) {
  const colors = useColors();
  return (
    <View style={[styles.bar, { backgroundColor: colors.paper, borderColor: colors.hairline }]} testID="folded-head">
      <Press label={`${words}, to the top`} onPress={onTop}>
        <View style={styles.row}>
          <Words strong numberOfLines={1} style={styles.words}>
            {words}
          </Words>
          <ChevronUp size={20} color={colors.petrol} />
        </View>
      </Press>
    </View>
  );
}

/** How much of what scrolls it covers, in pixels. */
export const FOLDED_HEAD_HEIGHT = 48;

const styles = StyleSheet.create({
  bar: {
    position: "absolute",
    top: 0,
    left: 0,
    right: 0,
    minHeight: FOLDED_HEAD_HEIGHT,
    borderBottomWidth: 1,
    paddingHorizontal: SPACE.l,
  },
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.s },
  words: { flex: 1 },
});
