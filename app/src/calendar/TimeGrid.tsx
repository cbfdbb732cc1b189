import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import { StyleSheet, View } from "react-native";
import {
  daylightOf,
  dayOf,
  hoursOn,
  inZone,
  showDay,
  showTime,
  usualCrewMember,
  type HourOfWeather,
  visitStanding,
} from "@mechanon/core";
import type { BusinessView, DayVisit } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { useCalendar } from "./calendarStore";
import type { Driver } from "./driversOf";
import {
  FIRST_MINUTE,
  freeHalfHours,
  LAST_MINUTE,
  movedBy,
  placeInColumn,
  startingAt,
  type GridColumn,
} from "./gridPlace";
import { GridVisit } from "./GridVisit";
import type { OwnTime } from "./useDays";
import { dayWords, wetHours } from "./weatherWords";
import { WetDayAct } from "./WetDayAct";

const HOUR_MINUTES = 60;
/** A thumb needs a half hour to be as high as anything pressed. */
const PHONE_HOUR = 96;
const WIDE_HOUR = 48;
const DRAG_FROM = 6;
/** Of the columns, and where a wet one says so. */
const HEAD = 24;
const WET_HEAD = 140;

interface TimeGridProps {
  business: BusinessView;
  drivers: readonly Driver[];
  columns: readonly GridColumn[];
  stops: readonly DayVisit[];
  busy: readonly OwnTime[];
  hours: readonly HourOfWeather[];
  /** Its columns are mechanics of one day. */
  isDay: boolean;
}

/** Visits along the hours of a day, a column for each day or mechanic; one is dragged, or tapped and then its new time. */
export function TimeGrid({ business, drivers, columns, stops, busy, hours, isDay }: TimeGridProps) {
  const isWide = useIsWide();
  const { timeZone: zone } = business;
  const propose = useCalendar((state) => state.propose);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }));
  const hourHeight = isWide ? WIDE_HOUR : PHONE_HOUR;
  const perMinute = hourHeight / HOUR_MINUTES;
  const isWet = columns.some(({ date }) => wetHours(hours, date, zone, business.settings.visits.wetPercent) !== null);
  const headHeight = isDay ? HEAD : isWet ? WET_HEAD : HEAD * 2;
  const drop = ({ active, over, delta }: DragEndEvent): void => {
    const stop = stops.find(({ visit }) => visit.id === active.id);
    const column = columns.find(({ key }) => key === over?.id);
    if (stop && column) propose(stop.visit.id, movedBy(stop.visit, delta.y / perMinute, column, zone));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={drop}>
      <View style={styles.grid}>
        <HourScale hourHeight={hourHeight} headHeight={headHeight} />
        {columns.map((column) => (
          <Column
            key={column.key}
            column={column}
            isAlone={columns.length === 1}
            {...{ business, drivers, stops, busy, hours, isDay, perMinute, headHeight }}
          />
        ))}
      </View>
    </DndContext>
  );
}

function HourScale({ hourHeight, headHeight }: { hourHeight: number; headHeight: number }) {
  const hours = Array.from(
    { length: (LAST_MINUTE - FIRST_MINUTE) / HOUR_MINUTES },
    (_, index) => FIRST_MINUTE / HOUR_MINUTES + index,
  );
  return (
    <View style={styles.scale} aria-hidden>
      <View style={{ height: headHeight }} />
      {hours.map((hour) => (
        <View key={hour} style={{ height: hourHeight }}>
          <Words size="small" tone="muted" figures align="right">
            {`${((hour + 11) % 12) + 1} ${hour < 12 ? "am" : "pm"}`}
          </Words>
        </View>
      ))}
    </View>
  );
}

interface ColumnProps extends Omit<TimeGridProps, "columns"> {
  column: GridColumn;
  isAlone: boolean;
  headHeight: number;
  perMinute: number;
}

function Column({ business, drivers, column, isAlone, isDay, headHeight, stops, busy, hours, perMinute }: ColumnProps) {
  const colors = useColors();
  const today = useToday();
  const isWide = useIsWide();
  const { setNodeRef, isOver } = useDroppable({ id: column.key });
  const { selectedId, proposed } = useCalendar();
  const { timeZone: zone, settings } = business;
  const { date, mechanicId } = column;
  const mechanics = drivers.filter(({ id }) => mechanicId === null || id === mechanicId);
  const here = (span: { startsAt: string; endsAt: string }): boolean =>
    dayOf(span.startsAt, zone) <= date && dayOf(span.endsAt, zone) >= date;
  const shown = stops.filter(
    ({ visit }) =>
      here(visit) && visitStanding(visit) !== "cancelled" && mechanics.some(({ id }) => id === visit.mechanicId),
  );
  const selected = stops.find(({ visit }) => visit.id === selectedId);
  const wet = wetHours(hours, date, zone, settings.visits.wetPercent);
  const light = daylightOf(date, zone, settings.home);
  const laneOf = (id: string): { left: `${number}%`; width: `${number}%` } => {
    const lane = Math.max(
      0,
      mechanics.findIndex((each) => each.id === id),
    );
    return { left: `${(lane * 100) / mechanics.length}%`, width: `${100 / mechanics.length}%` };
  };
  const at = (span: { startsAt: string; endsAt: string }, id: string) => {
    const { top, height } = placeInColumn(span, date, zone);
    return { top: top * perMinute, height: height * perMinute, ...laneOf(id) };
  };
  const isNarrow = isWide && !isAlone && mechanics.length > 1;
  return (
    <View style={styles.column}>
      <View style={[styles.columnHead, { height: headHeight }]}>
        {isAlone && !isDay ? null : (
          <Words size="small" strong numberOfLines={1}>
            {isDay ? (mechanics[0]?.name.split(" ")[0] ?? "") : showDay(date, today).replace(/^\w+, /, "")}
          </Words>
        )}
        {isDay ? null : (
          <Words size="small" tone={wet ? "alarm" : "muted"} figures numberOfLines={2}>
            {dayWords(wet, isWide ? null : light, zone)}
          </Words>
        )}
        {wet && !isDay ? <WetDayAct date={date} isShort={isNarrow} /> : null}
        {isNarrow ? (
          <View style={styles.lanes}>
            {mechanics.map(({ id, name }) => (
              <Words key={id} size="small" tone="muted" numberOfLines={1} style={styles.lane}>
                {name.split(" ")[0] ?? ""}
              </Words>
            ))}
          </View>
        ) : null}
      </View>
      <View
        ref={(node) => setNodeRef(node as unknown as HTMLElement | null)}
        style={[
          styles.hours,
          { height: (LAST_MINUTE - FIRST_MINUTE) * perMinute, borderColor: isOver ? colors.petrol : colors.hairline },
        ]}
      >
        {mechanics.map(({ id }) => (
          <OffHours key={id} {...{ business, column, perMinute }} personId={id} lane={laneOf(id)} />
        ))}
        <HourLines perMinute={perMinute} />
        {mechanics.map(({ id }) => (
          <Road
            key={id}
            spans={shown
              .map(({ visit }) => visit)
              .filter((visit) => visit.mechanicId === id)
              .map((visit) => at(visit, id))}
          />
        ))}
        {busy
          .filter((time) => here(time) && mechanics.some(({ id }) => id === time.mechanicId))
          .map((time) => (
            <View
              key={`${time.mechanicId} ${time.startsAt}`}
              style={[styles.own, { borderColor: colors.muted }, at(time, time.mechanicId)]}
            >
              <Words size="small" tone="muted" numberOfLines={2}>
                {time.title}
              </Words>
            </View>
          ))}
        {selected && !isWide && visitStanding(selected.visit) === "booked" && !selected.visit.isLocked ? (
          <FreeTimes {...{ column, business, shown, busy, perMinute }} stop={selected} />
        ) : null}
        {shown.map((stop) => (
          <GridVisit
            key={stop.visit.id}
            stop={stop}
            zone={zone}
            place={at(stop.visit, stop.visit.mechanicId)}
            isDraggable={isWide}
          />
        ))}
        {selected &&
        proposed &&
        dayOf(proposed.startsAt, zone) === date &&
        mechanics.some(({ id }) => id === proposed.mechanicId) ? (
          <View
            pointerEvents="none"
            style={[
              styles.proposed,
              { borderColor: colors.petrol, backgroundColor: colors.paper },
              at(proposed, proposed.mechanicId),
            ]}
          >
            <Words size="small" strong tone="petrol" figures>
              {showTime(proposed.startsAt, zone)}
            </Words>
          </View>
        ) : null}
        {date === today ? <NowMark zone={zone} perMinute={perMinute} /> : null}
      </View>
    </View>
  );
}

/** The way from the first stop of a day to the last, as the day's own road draws it. */
function Road({ spans }: { spans: readonly { top: number; height: number; left: `${number}%` }[] }) {
  const colors = useColors();
  const [first] = spans;
  if (!first || spans.length < 2) return null;
  const top = Math.min(...spans.map((span) => span.top));
  const bottom = Math.max(...spans.map((span) => span.top + span.height));
  return (
    <View style={[styles.road, { left: first.left, top, height: bottom - top, borderColor: colors.ink }]} aria-hidden />
  );
}

/** The times somebody does not work, set off from the others. */
function OffHours({
  business,
  column: { date },
  personId,
  lane,
  perMinute,
}: Pick<ColumnProps, "business" | "column" | "perMinute"> & {
  personId: string;
  lane: { left: `${number}%`; width: `${number}%` };
}) {
  const colors = useColors();
  const member = business.settings.crew.find((each) => each.personId === personId) ?? usualCrewMember(personId);
  const hours = hoursOn(member, date, inZone(`${date}T12:00:00.000Z`, "utc").weekday);
  const spans = hours
    ? [
        [FIRST_MINUTE, hours.fromMinute],
        [hours.untilMinute, LAST_MINUTE],
        ...(member.pause ? [[member.pause.fromMinute, member.pause.untilMinute]] : []),
      ]
    : [[FIRST_MINUTE, LAST_MINUTE]];
  return spans.map(([from = 0, until = 0]) =>
    until <= from ? null : (
      <View
        key={from}
        style={[
          styles.off,
          lane,
          {
            top: (from - FIRST_MINUTE) * perMinute,
            height: (until - from) * perMinute,
            backgroundColor: colors.inset,
          },
        ]}
      />
    ),
  );
}

function HourLines({ perMinute }: { perMinute: number }) {
  const colors = useColors();
  const count = (LAST_MINUTE - FIRST_MINUTE) / HOUR_MINUTES;
  return Array.from({ length: count }, (_, index) => (
    <View key={index} style={[styles.line, { top: index * HOUR_MINUTES * perMinute, borderColor: colors.hairline }]} />
  ));
}

function NowMark({ zone, perMinute }: { zone: string; perMinute: number }) {
  const colors = useColors();
  const now = useNow();
  const { top } = placeInColumn({ startsAt: now, endsAt: now }, dayOf(now, zone), zone);
  return <View style={[styles.now, { top: top * perMinute, backgroundColor: colors.ink }]} aria-hidden />;
}

/** The half hours a tapped visit can go to with a second tap. */
function FreeTimes({
  column,
  business,
  stop,
  shown,
  busy,
  perMinute,
}: Pick<ColumnProps, "column" | "business" | "busy" | "perMinute"> & { stop: DayVisit; shown: readonly DayVisit[] }) {
  const colors = useColors();
  const now = useNow();
  const propose = useCalendar((state) => state.propose);
  const { timeZone: zone } = business;
  const mechanicId = column.mechanicId ?? stop.visit.mechanicId;
  const taken = [
    ...shown.map(({ visit }) => visit).filter((visit) => visit.id !== stop.visit.id && visit.mechanicId === mechanicId),
    ...busy.filter((time) => time.mechanicId === mechanicId),
  ];
  return freeHalfHours(stop.visit, taken, column.date, { zone, now }).map((start) => {
    const { top } = placeInColumn({ startsAt: start, endsAt: start }, column.date, zone);
    return (
      <Press
        key={start}
        label={`Move to ${showTime(start, zone)}`}
        onPress={() => propose(stop.visit.id, startingAt({ ...stop.visit, mechanicId }, start))}
        style={[styles.free, { top: top * perMinute, borderColor: colors.petrol }]}
      >
        <Words size="small" tone="petrol" figures>
          {showTime(start, zone)}
        </Words>
      </Press>
    );
  });
}

const styles = StyleSheet.create({
  grid: { flexDirection: "row" },
  scale: { width: 52, paddingRight: SPACE.s },
  column: { flex: 1, minWidth: 0 },
  lanes: { flexDirection: "row", marginTop: "auto" },
  lane: { flex: 1 },
  columnHead: { paddingHorizontal: SPACE.xs, overflow: "hidden" },
  hours: { borderLeftWidth: 1 },
  off: { position: "absolute" },
  road: { position: "absolute", width: 4, borderLeftWidth: 2, borderStyle: "dashed", marginLeft: 2 },
  line: { position: "absolute", left: 0, right: 0, borderTopWidth: 1 },
  now: { position: "absolute", left: 0, right: 0, height: 3 },
  own: { position: "absolute", borderWidth: 1, borderStyle: "dashed", padding: 2, overflow: "hidden" },
  proposed: { position: "absolute", borderWidth: 2, borderStyle: "dashed", padding: 2 },
  free: {
    position: "absolute",
    right: 0,
    width: 96,
    height: 48,
    borderWidth: 1,
    borderStyle: "dashed",
    alignItems: "center",
  },
});
