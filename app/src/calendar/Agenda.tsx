import { StyleSheet, View } from "react-native";
import { daylightOf, dayOf, showDay, showTime, visitStanding, type HourOfWeather } from "@mechanon/core";
import type { BusinessView, DayVisit } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { placeLine } from "../places/placeLine";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useCalendar } from "./calendarStore";
import { GapNotice } from "./GapNotice";
import type { OwnTime } from "./useDays";
import { visitLabel } from "./visitName";
import { dayWords, wetHours } from "./weatherWords";
import { WetDayAct } from "./WetDayAct";

interface AgendaProps {
  business: BusinessView;
  days: readonly string[];
  stops: readonly DayVisit[];
  /** Of every mechanic: what filled a gap meanwhile. */
  all: readonly DayVisit[];
  busy: readonly OwnTime[];
  hours: readonly HourOfWeather[];
}

/** Days as a list, each with its weather and light, its visits and the gaps that calling off left. */
export function Agenda({ business, days, stops, all, busy, hours }: AgendaProps) {
  const today = useToday();
  const { timeZone: zone, settings } = business;
  const shown = days.filter(
    (day) => days.length <= 7 || stops.some(({ visit }) => dayOf(visit.startsAt, zone) === day),
  );
  if (shown.length === 0) return <Words tone="muted">No visit in these weeks.</Words>;
  return (
    <View style={styles.days}>
      {shown.map((day) => {
        const here = stops.filter(({ visit }) => dayOf(visit.startsAt, zone) === day);
        const own = busy.filter((time) => dayOf(time.startsAt, zone) === day);
        const standing = here.filter(({ visit }) => visitStanding(visit) !== "cancelled");
        const wet = wetHours(hours, day, zone, settings.visits.wetPercent);
        return (
          <View key={day}>
            <Heading level={2}>{showDay(day, today)}</Heading>
            <Words size="small" tone={wet ? "alarm" : "muted"} figures>
              {dayWords(wet, daylightOf(day, zone, settings.home), zone)}
            </Words>
            {wet ? <WetDayAct date={day} /> : null}
            {standing.length === 0 ? <Words tone="muted">No visit</Words> : null}
            {standing.map((stop) => (
              <AgendaVisit key={stop.visit.id} stop={stop} zone={zone} />
            ))}
            {own.map((time) => (
              <Words key={`${time.mechanicId} ${time.startsAt}`} size="small" tone="muted" figures>
                {`${showTime(time.startsAt, zone)}, ${business.people.find(({ id }) => id === time.mechanicId)?.name ?? ""}: ${time.title || "busy"}`}
              </Words>
            ))}
            {here
              .filter(({ visit }) => visitStanding(visit) === "cancelled")
              .map((stop) => (
                <GapNotice key={stop.visit.id} stop={stop} all={all} business={business} />
              ))}
          </View>
        );
      })}
    </View>
  );
}

function AgendaVisit({ stop, zone }: { stop: DayVisit; zone: string }) {
  const colors = useColors();
  const { selectedId, select } = useCalendar();
  const { visit, workOrders, mechanicName } = stop;
  const isSelected = selectedId === visit.id;
  const isOver = visitStanding(visit) === "over";
  return (
    <Press
      label={visitLabel(stop, zone)}
      aria-current={isSelected ? "true" : undefined}
      onPress={() => select(isSelected ? null : visit.id)}
      style={[
        styles.visit,
        { borderColor: isSelected ? colors.petrol : colors.hairline, borderLeftWidth: isSelected ? 6 : 0 },
      ]}
    >
      <View style={styles.row}>
        <Words strong figures tone={isOver ? "muted" : "ink"} style={styles.time}>
          {showTime(visit.startsAt, zone)}
        </Words>
        <View style={styles.grow}>
          <Words strong tone={isOver ? "muted" : "ink"}>
            {workOrders[0]?.customerName ?? "Visit"}
          </Words>
          <Words size="small" tone="muted">
            {[
              workOrders.map(({ vehicleName }) => vehicleName).join(" + "),
              placeLine(visit.place),
              mechanicName.split(" ")[0],
              visit.isLocked ? "locked" : "",
            ]
              .filter(Boolean)
              .join(" · ")}
          </Words>
        </View>
      </View>
    </Press>
  );
}

const styles = StyleSheet.create({
  days: { gap: SPACE.l },
  visit: { borderTopWidth: 1, paddingVertical: SPACE.xs, paddingHorizontal: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.s },
  time: { width: 84 },
  grow: { flex: 1 },
});
