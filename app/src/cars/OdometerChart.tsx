import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import Svg, { Circle, Line, Polyline } from "react-native-svg";
import { showDate, showMiles } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { chartPoints } from "./chartPoints";

const WIDTH = 320;
const HEIGHT = 96;

/** The odometer over the years: each reading a dot, the way on to today a dashed line. */
export function OdometerChart({ odometer, zone }: { odometer: VehicleSheetView["odometer"]; zone: string }) {
  const colors = useColors();
  const router = useRouter();
  const { readings, doubtful, predictedMiles } = odometer;
  const [first] = readings;
  const last = readings.at(-1);
  if (!first || !last) return <Words tone="muted">No reading yet. It comes with the first visit.</Words>;
  const today = predictedMiles === null ? [] : [{ miles: predictedMiles, at: new Date().toISOString() }];
  const points = chartPoints([...readings, ...today], WIDTH, HEIGHT);
  const read = points.slice(0, readings.length);
  const [from, to] = [points[readings.length - 1], points[readings.length]];
  return (
    <View style={styles.chart}>
      <View
        role="img"
        aria-label={`Odometer from ${showMiles(first.miles)} on ${showDate(first.at, zone)} to ${showMiles(last.miles)} on ${showDate(last.at, zone)}`}
      >
        <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none">
          <Line x1={0} y1={HEIGHT - 1} x2={WIDTH} y2={HEIGHT - 1} stroke={colors.hairline} strokeWidth={1} />
          <Polyline
            points={read.map(({ x, y }) => `${x},${y}`).join(" ")}
            fill="none"
            stroke={colors.petrol}
            strokeWidth={2}
          />
          {from && to ? (
            <Line
              x1={from.x}
              y1={from.y}
              x2={to.x}
              y2={to.y}
              stroke={colors.muted}
              strokeWidth={2}
              strokeDasharray="4 4"
            />
          ) : null}
          {read.map(({ x, y }, index) => (
            <Circle key={index} cx={x} cy={y} r={3.5} fill={colors.petrol} />
          ))}
        </Svg>
      </View>
      <View style={styles.ends}>
        <Words size="small" tone="muted" figures>{`${showDate(first.at, zone)}: ${showMiles(first.miles)}`}</Words>
        <Words
          size="small"
          tone="muted"
          figures
          align="right"
        >{`${showDate(last.at, zone)}: ${showMiles(last.miles)}`}</Words>
      </View>
      {doubtful.map(({ miles, at, workOrderId, number }) => (
        <View key={at}>
          <Words size="small" tone="alarm">
            {`✕ ${showMiles(miles)} on ${showDate(at, zone)} does not fit the others: misread, or another instrument. It is left out.`}
          </Words>
          <Button
            kind="quiet"
            label={`Take it back on ${number}`}
            onPress={() => router.navigate(`/work/${workOrderId}`)}
            style={styles.left}
          />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  chart: { gap: SPACE.xs },
  left: { alignSelf: "flex-start" },
  ends: { flexDirection: "row", justifyContent: "space-between", gap: SPACE.m, flexWrap: "wrap" },
});
