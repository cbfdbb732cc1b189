import { StyleSheet, View } from "react-native";
import Svg, { Circle, Line, Path } from "react-native-svg";
import { markupDips, showMoney, type PricingTable } from "@mechanon/core";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { curveOf } from "./curveOf";

const WIDTH = 320;
const HEIGHT = 140;
const PAD = 6;

/** A markup table drawn: what a part sells for over what it costs; where a dearer one would sell for less is marked. */
export function MarkupCurve({ table }: { table: PricingTable }) {
  const colors = useColors();
  const { points, mostCost, mostPrice } = curveOf(table);
  const dips = markupDips(table);
  const x = (cost: number): number => PAD + (cost / mostCost) * (WIDTH - 2 * PAD);
  const y = (price: number): number => HEIGHT - PAD - (price / mostPrice) * (HEIGHT - 2 * PAD);
  const path = points.map(({ cost, price }, index) => `${index === 0 ? "M" : "L"}${x(cost)} ${y(price)}`).join(" ");
  const last = points.at(-1);
  return (
    <View
      role="img"
      aria-label={`Curve of ${table.title}: a part of ${showMoney(last?.cost ?? 0)} sells for ${showMoney(last?.price ?? 0)}`}
      style={styles.curve}
    >
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
        <Line x1={PAD} y1={HEIGHT - PAD} x2={WIDTH - PAD} y2={HEIGHT - PAD} stroke={colors.muted} />
        <Line x1={x(0)} y1={y(0)} x2={x(mostCost)} y2={y(mostCost)} stroke={colors.muted} strokeDasharray="4 4" />
        <Path d={path} stroke={colors.petrol} strokeWidth={2} fill="none" />
        {dips.map(({ cost, price }) => (
          <Circle key={cost} cx={x(cost)} cy={y(price)} r={5} stroke={colors.alarm} strokeWidth={2} fill="none" />
        ))}
      </Svg>
      <View style={styles.ends}>
        <Words size="small" tone="muted" figures>{`Cost ${showMoney(0)}`}</Words>
        <Words size="small" tone="muted" figures>
          {`${showMoney(last?.cost ?? 0)} sells for ${showMoney(last?.price ?? 0)}`}
        </Words>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  curve: { gap: SPACE.xs, maxWidth: 520 },
  ends: { flexDirection: "row", justifyContent: "space-between" },
});
