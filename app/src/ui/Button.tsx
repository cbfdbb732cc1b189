import { ActivityIndicator, Pressable, StyleSheet, View, type StyleProp, type ViewStyle } from "react-native";
import type { IconShape } from "./icons";
import { useColors } from "./face";
import { MIN_TARGET, SPACE } from "./theme";
import { Words } from "./Words";

export interface ButtonProps {
  label: string;
  /** What is read aloud, where the label says which one only by where it stands; begins with the label. */
  spoken?: string;
  onPress: () => void;
  /** `next`: the one next act of the screen; `plain`: any other. */
  kind?: "next" | "plain" | "quiet";
  icon?: IconShape;
  busy?: boolean;
  disabled?: boolean;
  style?: StyleProp<ViewStyle>;
  testID?: string;
}

/** A button that says what happens. */
export function Button({
  label,
  spoken = label,
  onPress,
  kind = "plain",
  icon: Icon,
  busy = false,
  disabled = false,
  style,
  testID,
}: ButtonProps) {
  const colors = useColors();
  const isNext = kind === "next";
  const tone = isNext ? "onLime" : "petrol";
  return (
    <Pressable
      role="button"
      aria-label={spoken}
      aria-disabled={disabled || busy}
      aria-busy={busy}
      disabled={disabled || busy}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [
        styles.base,
        isNext && [styles.next, { backgroundColor: colors.lime }],
        kind === "quiet" && styles.quiet,
        kind === "plain" && { borderWidth: 1.5, borderColor: colors.petrol },
        pressed && { opacity: 0.75 },
        disabled && styles.disabled,
        style,
      ]}
    >
      <View style={[styles.row, kind === "quiet" && styles.atStart]}>
        {busy ? (
          <ActivityIndicator color={isNext ? colors.onLime : colors.petrol} />
        ) : Icon ? (
          <Icon size={22} color={isNext ? colors.onLime : colors.petrol} />
        ) : null}
        <Words strong tone={tone} size={isNext ? "lead" : "body"} align="center">
          {label}
        </Words>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  base: {
    minHeight: MIN_TARGET,
    borderRadius: 4,
    paddingHorizontal: SPACE.l,
    paddingVertical: SPACE.s,
    justifyContent: "center",
  },
  next: { minHeight: 60 },
  // Its words begin where the words begin that it acts on.
  quiet: { paddingHorizontal: SPACE.s, marginLeft: -SPACE.s },
  atStart: { justifyContent: "flex-start" },
  row: { flexDirection: "row", alignItems: "center", justifyContent: "center", gap: SPACE.s },
  disabled: { opacity: 0.55 },
});
