import { StyleSheet, View } from "react-native";
import { useColors } from "./face";
import type { IconShape } from "./icons";
import { Press } from "./Press";
import { SPACE } from "./theme";
import { Words } from "./Words";

export interface IconLinkProps {
  icon: IconShape;
  label: string;
  onPress: () => void;
}

/** A way to go, named under its sign; several stand in a row. */
export function IconLink({ icon: Icon, label, onPress }: IconLinkProps) {
  const colors = useColors();
  return (
    <Press role="button" label={label} onPress={onPress} style={styles.link}>
      <View style={styles.inside}>
        <Icon size={20} color={colors.petrol} />
        <Words size="small" tone="petrol">
          {label}
        </Words>
      </View>
    </Press>
  );
}

const styles = StyleSheet.create({
  link: { paddingHorizontal: SPACE.s },
  inside: { alignItems: "center" },
});
