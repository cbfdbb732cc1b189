import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Pressable, StyleSheet, View } from "react-native";
import Svg, { Circle, Line, Polyline } from "react-native-svg";
import type { Spot } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { boundsOf, gone, mapAround, pixelOf, pointAt, zoomed, type Point } from "./mapView";

const WIDTH = 340;
const HEIGHT = 260;
const ROUND = 1000;
/** How thick a road is drawn, in pixels. */
const THICKNESS = { highway: 5, main: 3, street: 1.5, lane: 1, ferry: 2 } as const;
const STEPS = [
  { label: "West", east: -1, north: 0 },
  { label: "East", east: 1, north: 0 },
  { label: "North", east: 0, north: 1 },
  { label: "South", east: 0, north: -1 },
] as const;

interface PinMapProps {
  at: Spot;
  /** Where the map begins while nothing is known. */
  home: Point;
  onPin: (point: Point) => void;
  onClose: () => void;
}

/** The roads around, drawn; the pin stands in the middle, and the map goes under it by taps and buttons. */
export function PinMap({ at, home, onPin, onClose }: PinMapProps) {
  const colors = useColors();
  const frame = useRef<View>(null);
  const [view, setView] = useState(() => mapAround(at, home));
  const { south, west, north, east } = boundsOf(view, WIDTH, HEIGHT);
  const rounded = (degrees: number): string => String(Math.round(degrees * ROUND) / ROUND);
  const query = { south: rounded(south), west: rounded(west), north: rounded(north), east: rounded(east) };
  const { data, error } = useQuery({
    queryKey: ["mapRoads", query],
    queryFn: () => call(routes.mapRoads, { query }),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  const pixel = (point: readonly [number, number]): [number, number] => pixelOf(view, WIDTH, HEIGHT, point);
  const names = [
    ...new Set(
      (data?.roads ?? []).flatMap(({ name, points }) => (name !== null && points.some(isNearMiddle) ? name : [])),
    ),
  ];
  function isNearMiddle(point: readonly [number, number]): boolean {
    const [x, y] = pixel(point);
    return Math.hypot(x - WIDTH / 2, y - HEIGHT / 2) < NEAR_PIXELS;
  }
  return (
    <View style={styles.list} role="group" aria-label="Map">
      {error ? <Notice text={errorWords(error)} /> : null}
      <Pressable
        ref={frame}
        role="button"
        aria-label="The roads around; press where it is, or go there by the buttons"
        onPress={({ nativeEvent }) => {
          // Pressed by the keyboard it has no place: the buttons go there.
          if (!(nativeEvent instanceof MouseEvent) || nativeEvent.detail === 0) return;
          const { left, top } = leftTopOf(frame.current);
          const { clientX, clientY } = nativeEvent;
          setView({ ...view, middle: pointAt(view, WIDTH, HEIGHT, clientX - left, clientY - top) });
        }}
        style={[styles.frame, { borderColor: colors.ink, backgroundColor: colors.inset }]}
      >
        <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
          {(data?.roads ?? []).map(({ points, class: kind }, index) => (
            <Polyline
              key={index}
              points={points.map((point) => pixel(point).join(",")).join(" ")}
              fill="none"
              stroke={kind === "ferry" ? colors.petrol : colors.ink}
              strokeWidth={THICKNESS[kind]}
              strokeDasharray={kind === "ferry" ? "6 5" : undefined}
            />
          ))}
          <Line
            x1={WIDTH / 2}
            x2={WIDTH / 2}
            y1={HEIGHT / 2 - 26}
            y2={HEIGHT / 2}
            stroke={colors.alarm}
            strokeWidth={3}
          />
          <Circle cx={WIDTH / 2} cy={HEIGHT / 2 - 28} r={8} fill={colors.alarm} />
        </Svg>
      </Pressable>
      <Words size="small" tone="muted">
        {names.length > 0 ? `At the pin: ${names.slice(0, MOST_NAMES).join(", ")}` : "No named road is at the pin."}
      </Words>
      <View style={styles.row}>
        {STEPS.map(({ label, east: toEast, north: toNorth }) => (
          <Button key={label} label={label} onPress={() => setView(gone(view, toEast, toNorth))} />
        ))}
        <Button label="Nearer" onPress={() => setView(zoomed(view, 0.5))} />
        <Button label="Farther" onPress={() => setView(zoomed(view, 2))} />
      </View>
      <View style={styles.row}>
        <Button label="It is at the pin" testID="pin-here" onPress={() => onPin(view.middle)} />
        <Button kind="quiet" label="Leave the map" onPress={onClose} />
      </View>
    </View>
  );
}

/** Where an element stands in the window; a browser knows. */
function leftTopOf(element: unknown): { left: number; top: number } {
  return element instanceof HTMLElement ? element.getBoundingClientRect() : { left: 0, top: 0 };
}

const NEAR_PIXELS = 24;
const MOST_NAMES = 3;

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  frame: { width: WIDTH + 2, height: HEIGHT + 2, borderWidth: 1 },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
