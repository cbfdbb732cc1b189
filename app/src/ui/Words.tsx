import { Text, type TextProps, type TextStyle } from "react-native";
import { useColors } from "./face";
import { FONT, TEXT_SIZE, type Colors } from "./theme";

export interface WordsProps extends TextProps {
  size?: keyof typeof TEXT_SIZE;
  tone?: keyof Pick<Colors, "ink" | "muted" | "petrol" | "alarm" | "onLime" | "onPetrol">;
  strong?: boolean;
  /** VINs, plates, part numbers. */
  mono?: boolean;
  /** Money and times: digits of one width. */
  figures?: boolean;
  align?: TextStyle["textAlign"];
}

/** All text of the app. */
export function Words({
  size = "body",
  tone = "ink",
  strong = false,
  mono = false,
  figures = false,
  align,
  style,
  ...rest
}: WordsProps) {
  const colors = useColors();
  const fontFamily = mono ? FONT.mono : strong ? FONT.strong : FONT.regular;
  const fontSize = TEXT_SIZE[size];
  return (
    <Text
      {...rest}
      style={[
        { color: colors[tone], fontFamily, fontSize, lineHeight: Math.round(fontSize * 1.38), textAlign: align },
        figures && { fontVariant: ["tabular-nums"] },
        style,
      ]}
    />
  );
}
