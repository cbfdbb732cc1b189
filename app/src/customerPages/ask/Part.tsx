import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { useColors } from "../../ui/face";
import { Heading } from "../../ui/Heading";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";

interface PartProps {
  title: string;
  /** What is missing in it. */
  fault?: string | undefined;
  children: ReactNode;
}

/** One question of the page, with what is missing in its answer. */
export function Part({ title, fault, children }: PartProps) {
  const colors = useColors();
  return (
    <View style={[styles.part, { borderColor: colors.hairline }]} role="group" aria-label={title}>
      <Heading level={2}>{title}</Heading>
      {children}
      {fault ? <Words size="small" tone="alarm" role="alert">{`✕ ${fault}`}</Words> : null}
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: SPACE.m, borderTopWidth: 1, paddingTop: SPACE.l } });
