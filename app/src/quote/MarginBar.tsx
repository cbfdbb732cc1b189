import { StyleSheet, View } from "react-native";
import Svg, { Line, Rect } from "react-native-svg";
import { marginStanding, showMoney, type Margin } from "@mechanon/core";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { marginWords } from "./marginWords";

interface MarginBarProps {
  /** What it is the margin of, where it does not stand beside it. */
  label?: string;
  margin: Margin;
  targetPercent: number | undefined;
}

const WIDTH = 72;
const HEIGHT = 14;
const SHAPES = { met: "▲", below: "▼", loss: "✕" } as const;

/** What is left of a price against the owner's target: a bar with the target as a mark, a shape, and the figures. */
export function MarginBar({ label, margin, targetPercent }: MarginBarProps) {
  const colors = useColors();
  const standing = marginStanding(margin, targetPercent);
  const filled = Math.min(100, Math.max(0, margin.percent ?? 0));
  const words = marginWords(margin, targetPercent);
  return (
    <View style={styles.row} role="img" aria-label={label ? `${label}: ${words}` : words}>
      <Svg width={WIDTH} height={HEIGHT} aria-hidden>
        <Rect x={0} y={4} width={WIDTH} height={6} fill={colors.hairline} />
        <Rect
          x={0}
          y={4}
          width={(WIDTH * filled) / 100}
          height={6}
          fill={standing === "met" || standing === null ? colors.petrol : colors.alarm}
        />
        {targetPercent === undefined ? null : (
          <Line
            x1={(WIDTH * targetPercent) / 100}
            x2={(WIDTH * targetPercent) / 100}
            y1={0}
            y2={HEIGHT}
            stroke={colors.ink}
            strokeWidth={2}
          />
        )}
      </Svg>
      <Words
        size="small"
        figures
        tone={standing === "below" || standing === "loss" ? "alarm" : "muted"}
        style={styles.words}
      >
        {`${standing ? `${SHAPES[standing]} ` : ""}${margin.percent ?? "–"} %, ${showMoney(margin.leftCents)}`}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.s },
  words: { flexShrink: 1 },
});
