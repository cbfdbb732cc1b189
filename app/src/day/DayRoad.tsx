import { useRouter } from "expo-router";
import { ChevronLeft, ChevronRight } from "../ui/icons";
import { useState } from "react";
import { ScrollView, StyleSheet, View } from "react-native";
import Svg, { Circle, Line, Path } from "react-native-svg";
import { addDays, countOf, showDay, showMoney, showTime } from "@mechanon/core";
import { errorWords } from "../api/problem";
import { AsOf } from "../offline/AsOf";
import { NewerVersion } from "../offline/NewerVersion";
import { placeLine } from "../places/placeLine";
import { useBusiness, useMe } from "../session/useSession";
import { useColors } from "../ui/face";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { lateWords } from "./lateWords";
import { WAIT_WORDS } from "./waitWords";
import { roadOf, type RoadPiece } from "./road";
import { useDay, useToday } from "./useDay";
import { useNow } from "./useNow";

/** The day drawn as a road, for one van or the other. `compact` beside a sheet. */
export function DayRoad({ compact = false }: { compact?: boolean }) {
  const colors = useColors();
  const business = useBusiness();
  const { me } = useMe();
  const today = useToday();
  const now = useNow();
  const [offset, setOffset] = useState(0);
  const mechanics = business?.people.filter((person) => person.isMechanic) ?? [];
  const [chosen, setChosen] = useState<string | null>(null);
  const mechanicId = chosen ?? mechanics.find(({ id }) => id === me?.id)?.id ?? mechanics[0]?.id ?? "";
  const date = addDays(today, offset);
  const { visits: stops, isAnswered, error, refetch, answeredAt } = useDay(date);
  if (!business) return null;
  const visits = stops?.filter(({ visit }) => visit.mechanicId === mechanicId) ?? [];
  const pieces = roadOf(visits, business.settings.home, offset === 0 ? now : null);
  return (
    <ScrollView contentContainerStyle={compact ? styles.compact : styles.content}>
      <View style={styles.days}>
        <Press label="Day before" onPress={() => setOffset(offset - 1)} style={styles.arrow}>
          <ChevronLeft size={26} color={colors.petrol} />
        </Press>
        <Heading level={compact ? 2 : 1} size="lead" align="center" style={styles.grow}>
          {showDay(date, today)}
        </Heading>
        <Press label="Day after" onPress={() => setOffset(offset + 1)} style={styles.arrow}>
          <ChevronRight size={26} color={colors.petrol} />
        </Press>
      </View>
      {mechanics.length > 1 ? (
        <Choices
          label="Van"
          even
          options={mechanics.map(({ id, name }) => ({ value: id, label: name.split(" ")[0] ?? name }))}
          value={mechanicId}
          onChoose={setChosen}
        />
      ) : null}
      {error && !isAnswered ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      <AsOf answeredAt={answeredAt} align="center" />
      {!stops ? <WaitingRows label="Loading the day" /> : null}
      {isAnswered && visits.length === 0 ? (
        <Notice
          kind="note"
          text="No visit on this day. Open a new work order and give it a time, or book one from what is open."
        />
      ) : null}
      <NewerVersion />
      <View role="list" aria-label="Stops">
        {pieces.map((piece) => (
          <Piece key={piece.key} piece={piece} zone={business.timeZone} now={now} />
        ))}
      </View>
    </ScrollView>
  );
}

function Piece({ piece, zone, now }: { piece: RoadPiece; zone: string; now: string }) {
  const colors = useColors();
  if (piece.kind === "now") {
    return (
      <View style={styles.piece} role="listitem">
        <Words size="small" strong figures style={styles.time} align="right">
          {showTime(now, zone)}
        </Words>
        <Svg width={ROAD} height={28}>
          <Line x1={MIDDLE} x2={MIDDLE} y1={0} y2={28} stroke={colors.ink} strokeWidth={2} strokeDasharray="5 5" />
          <Path d={`M0 14 L${ROAD} 14`} stroke={colors.ink} strokeWidth={3} />
          <Path d={`M${ROAD - 10} 7 L${ROAD} 14 L${ROAD - 10} 21 Z`} fill={colors.ink} />
        </Svg>
        <Words size="small" strong style={styles.grow}>
          Now
        </Words>
      </View>
    );
  }
  if (piece.kind === "drive") {
    const words = [
      piece.minutes === null ? "drive unknown" : `${piece.minutes} min drive`,
      ...(piece.late > 0 ? [`${piece.late} min late`] : []),
    ].join(", ");
    return (
      <View style={styles.piece} role="listitem">
        <View style={styles.time} />
        <Svg width={ROAD} height={32}>
          <Line x1={MIDDLE} x2={MIDDLE} y1={0} y2={32} stroke={colors.ink} strokeWidth={2} strokeDasharray="5 5" />
        </Svg>
        <Words
          size="small"
          tone={piece.late > 0 ? "alarm" : "muted"}
          strong={piece.late > 0}
          figures
          style={styles.grow}
        >
          {words}
        </Words>
      </View>
    );
  }
  return <Stop piece={piece} zone={zone} />;
}

function Stop({ piece, zone }: { piece: Extract<RoadPiece, { kind: "stop" }>; zone: string }) {
  const colors = useColors();
  const router = useRouter();
  const { visit, workOrders } = piece.stop;
  const isOver = piece.standing === "over";
  const first = workOrders[0];
  const what = workOrders.map((order) => order.concerns.join("; ") || countOf(1, "work order")).join(" + ");
  const wait = first?.waitsFor ? WAIT_WORDS[first.waitsFor].line : "Done";
  const due = first && first.dueCents > 0 ? `, ${showMoney(first.dueCents)} due` : "";
  const label = `${showTime(visit.startsAt, zone)} ${first?.customerName ?? ""}, ${first?.vehicleName ?? ""}, ${visit.place.street}`;
  return (
    <View role="listitem">
      <Press role="link" label={label} onPress={() => first && router.navigate(`/work/${first.id}`)}>
        <View style={[styles.piece, styles.atTop]}>
          <View style={[styles.time, styles.beside]}>
            <Words strong figures align="right">
              {showTime(visit.startsAt, zone).replace(/ (am|pm)/, "")}
            </Words>
            <Words size="small" tone="muted" figures align="right">
              {showTime(visit.endsAt, zone).replace(/ (am|pm)/, "")}
            </Words>
          </View>
          <View style={styles.node}>
            <View style={[styles.lane, { backgroundColor: colors.ink }]} />
            <Svg width={ROAD} height={26} style={styles.mark}>
              <Circle
                cx={MIDDLE}
                cy={13}
                r={9}
                fill={isOver ? colors.ink : colors.paper}
                stroke={colors.ink}
                strokeWidth={3}
              />
              {isOver ? (
                <Path
                  d={`M${MIDDLE - 4.5} 13.5 l3 3 l6 -6.5`}
                  stroke={colors.paper}
                  strokeWidth={2.2}
                  fill="none"
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
              ) : null}
              {piece.standing === "onSite" ? <Circle cx={MIDDLE} cy={13} r={4} fill={colors.ink} /> : null}
              {piece.standing === "driving" ? (
                <Path d={`M${MIDDLE - 3} 8 L${MIDDLE + 5} 13 L${MIDDLE - 3} 18 Z`} fill={colors.ink} />
              ) : null}
            </Svg>
          </View>
          <View style={styles.stop}>
            <Words strong tone={isOver ? "muted" : "ink"}>
              {first?.customerName ?? "Visit"}
            </Words>
            <Words tone={isOver ? "muted" : "ink"}>
              {workOrders.map(({ vehicleName }) => vehicleName).join(" + ")}
            </Words>
            <Words size="small" tone="muted">
              {what}
            </Words>
            <Words size="small" tone="muted">
              {placeLine(visit.place)}
            </Words>
            {visit.note ? <Words size="small">{visit.note}</Words> : null}
            {visit.readyBy === null ? null : (
              <Words size="small" strong tone={piece.slipMinutes > 0 ? "alarm" : "muted"} figures>
                {`Promised by ${showTime(visit.readyBy, zone)}${piece.slipMinutes > 0 ? `: ${lateWords(piece.slipMinutes)} by the plan, call them` : ""}`}
              </Words>
            )}
            {piece.overdueMinutes > 0 ? (
              <Words size="small" strong tone="alarm" figures>
                {lateWords(piece.overdueMinutes)}
              </Words>
            ) : null}
            <Words
              size="small"
              strong
              tone={piece.standing === "driving" || piece.standing === "onSite" ? "petrol" : "muted"}
              figures
            >
              {piece.standing === "driving" ? "On the way" : piece.standing === "onSite" ? "On site" : `${wait}${due}`}
            </Words>
          </View>
        </View>
      </Press>
    </View>
  );
}

const ROAD = 34;
const MIDDLE = ROAD / 2;
const styles = StyleSheet.create({
  content: { gap: SPACE.m },
  compact: { gap: SPACE.m, padding: SPACE.m, paddingBottom: SPACE.xxl },
  days: { flexDirection: "row", alignItems: "center" },
  arrow: { alignItems: "center" },
  grow: { flex: 1 },
  piece: { flexDirection: "row", alignItems: "center", gap: SPACE.s },
  atTop: { alignItems: "flex-start" },
  beside: { paddingTop: SPACE.s },
  time: { width: 62 },
  node: { width: ROAD, alignSelf: "stretch", alignItems: "center" },
  lane: { position: "absolute", top: 0, bottom: 0, left: MIDDLE - 1, width: 2 },
  mark: { marginTop: SPACE.s },
  stop: { flex: 1, paddingVertical: SPACE.s },
});
