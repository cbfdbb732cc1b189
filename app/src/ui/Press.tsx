import type { ReactNode } from "react";
import { Pressable, StyleSheet, type PressableProps, type StyleProp, type ViewStyle } from "react-native";
import { useColors } from "./face";
import { MIN_TARGET } from "./theme";

export interface PressProps extends Omit<PressableProps, "style" | "children"> {
  /** What a screen reader says. */
  label: string;
  children: ReactNode;
  style?: StyleProp<ViewStyle>;
}

/** Anything that can be pressed: large enough, named, and it shows that it was pressed. */
export function Press({ label, children, style, role = "button", ...rest }: PressProps) {
  const colors = useColors();
  return (
    <Pressable
      role={role}
      aria-label={label}
      style={({ pressed }) => [styles.base, pressed && { backgroundColor: colors.inset }, style]}
      {...rest}
    >
      {children}
    </Pressable>
  );
}

const styles = StyleSheet.create({ base: { minHeight: MIN_TARGET, minWidth: MIN_TARGET, justifyContent: "center" } });
