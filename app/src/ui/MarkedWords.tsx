import type { Mark } from "@mechanon/core";
import { Text } from "react-native";
import { useColors } from "./face";
import { FONT } from "./theme";
import { Words, type WordsProps } from "./Words";

/** A text with the parts that a search matched set off: heavier and underlined, so that color is not needed. */
export function MarkedWords({
  text,
  marks,
  ...rest
}: Omit<WordsProps, "children"> & { text: string; marks: readonly Mark[] }) {
  const colors = useColors();
  const marked = { fontFamily: FONT.strong, textDecorationLine: "underline" as const, backgroundColor: colors.inset };
  const pieces = marks.flatMap(({ start, end }, index) => [
    text.slice(marks[index - 1]?.end ?? 0, start),
    <Text key={start} style={marked}>
      {text.slice(start, end)}
    </Text>,
  ]);
  return (
    <Words {...rest}>
      {pieces}
      {text.slice(marks.at(-1)?.end ?? 0)}
    </Words>
  );
}
