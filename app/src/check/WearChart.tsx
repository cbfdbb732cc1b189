import { StyleSheet, View } from "react-native";
import Svg, { Circle, Line, Polyline, Text as SvgText } from "react-native-svg";
import type { WearReading } from "@mechanon/core";
import { useColors } from "../ui/face";
import { FONT } from "../ui/theme";
import { wearLine } from "./wearLine";

const WIDTH = 320;
const HEIGHT = 120;
/** Room a figure needs to its right. */
const LABEL = 60;

interface WearChartProps {
  /** Oldest first. */
  readings: readonly WearReading[];
  limit: number;
  /** null: no line can be drawn ahead. */
  milesLeft: number | null;
  /** What it shows, in words. */
  label: string;
  unitWords: (value: number) => string;
}

/** What was measured over the miles, and the line on to the limit. */
export function WearChart({ readings, limit, milesLeft, label, unitWords }: WearChartProps) {
  const colors = useColors();
  const drawn = wearLine(readings, limit, milesLeft, { width: WIDTH, height: HEIGHT });
  const [first] = readings;
  const last = readings.at(-1);
  if (!drawn || !first || !last) return null;
  const text = { fill: colors.muted, fontSize: 12, fontFamily: FONT.regular };
  return (
    <View role="img" aria-label={label} style={styles.chart}>
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
        <Line
          x1={0}
          x2={WIDTH}
          y1={drawn.limitY}
          y2={drawn.limitY}
          stroke={colors.alarm}
          strokeWidth={1.5}
          strokeDasharray="2 3"
        />
        <SvgText x={2} y={drawn.limitY - 4} {...text} fill={colors.alarm}>
          {unitWords(limit)}
        </SvgText>
        <Polyline points={drawn.line} fill="none" stroke={colors.petrol} strokeWidth={2.5} />
        {drawn.ahead ? (
          <Polyline points={drawn.ahead} fill="none" stroke={colors.petrol} strokeWidth={2} strokeDasharray="6 5" />
        ) : null}
        {drawn.dots.map(({ x, y, value }, place) => (
          <Circle
            key={`${x} ${value}`}
            cx={x}
            cy={y}
            r={place === drawn.dots.length - 1 ? 5 : 3.5}
            fill={colors.petrol}
          />
        ))}
        <SvgText x={drawn.dots[0]?.x ?? 0} y={(drawn.dots[0]?.y ?? 0) - 8} {...text}>
          {unitWords(first.value)}
        </SvgText>
        <SvgText
          x={Math.min(WIDTH, (drawn.dots.at(-1)?.x ?? 0) + 6)}
          y={(drawn.dots.at(-1)?.y ?? 0) - 8}
          {...text}
          textAnchor={(drawn.dots.at(-1)?.x ?? 0) > WIDTH - LABEL ? "end" : "start"}
        >
          {unitWords(last.value)}
        </SvgText>
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({ chart: { maxWidth: WIDTH, width: "100%" } });
