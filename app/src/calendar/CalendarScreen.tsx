import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { daylightOf, visitStanding, type HourOfWeather } from "@mechanon/core";
import type { BusinessView } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { useWeather } from "../booking/useWeather";
import { useToday } from "../day/useDay";
import { useNow } from "../day/useNow";
import { AsOf } from "../offline/AsOf";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { Agenda } from "./Agenda";
import { CalendarHead } from "./CalendarHead";
import { useCalendar } from "./calendarStore";
import { daysOfView, eachDay } from "./calendarView";
import { driversOf, type Driver } from "./driversOf";
import { GapNotice } from "./GapNotice";
import type { GridColumn } from "./gridPlace";
import { MovePanel } from "./MovePanel";
import { TimeGrid } from "./TimeGrid";
import { useCalendarKeys } from "./useCalendarKeys";
import { useDays } from "./useDays";
import { dayWords, wetHours } from "./weatherWords";
import { WetDayAct } from "./WetDayAct";

const FORECAST_DAYS = 8;

/** Who is where when: a day, a week or a list, of one mechanic or all; visits are moved here. */
export function CalendarScreen() {
  const business = useBusiness();
  return business ? <Calendar business={business} /> : null;
}

function Calendar({ business }: { business: BusinessView }) {
  const colors = useColors();
  const router = useRouter();
  const isWide = useIsWide();
  const today = useToday();
  const now = useNow();
  const { view, date: shown, mechanicId, selectedId } = useCalendar();
  const date = shown ?? today;
  const range = daysOfView(view, date);
  const { visits, busy, error, answeredAt, refetch } = useDays(range.from, range.to);
  const hours = useWeather(today, FORECAST_DAYS, business.settings.home) ?? NO_HOURS;
  const mine = (visits ?? []).filter(({ visit }) => mechanicId === null || visit.mechanicId === mechanicId);
  const selected = visits?.find(({ visit }) => visit.id === selectedId);
  useCalendarKeys(visits ?? [], business.timeZone);
  const drivers = driversOf(business, visits ?? []);
  const stranded = drivers.filter(({ hasLeft }) => hasLeft);
  const off = mine.filter(({ visit }) => visitStanding(visit) === "cancelled" && visit.endsAt > now);
  const panel = <MovePanel business={business} stop={selected} stops={visits ?? []} />;
  const common = { business, stops: mine, busy, hours };
  // A phone has room for one day as a grid; more are a list.
  const isGrid = view === "day" || (view === "week" && isWide);
  return (
    <View style={styles.columns}>
      <Screen title="Calendar" foot={isWide ? undefined : panel}>
        <CalendarHead drivers={drivers} date={date} today={today} />
        <AsOf answeredAt={answeredAt} />
        {error && !visits ? (
          <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
        ) : null}
        {!visits && !error ? <WaitingRows label="Loading the calendar" /> : null}
        {stranded.length > 0 ? (
          <Notice
            text={`${stranded.map(({ name }) => name).join(", ")} drives no more, and visits are still booked there. Move them to somebody else.`}
          />
        ) : null}
        {view === "day" ? <DayLine {...{ business, date, hours }} /> : null}
        {visits && isGrid ? (
          <TimeGrid
            {...common}
            isDay={view === "day"}
            drivers={drivers}
            columns={columnsOf(eachDay(range), mechanicId, view === "day", drivers)}
          />
        ) : null}
        {visits && !isGrid ? <Agenda {...common} days={eachDay(range)} all={visits} /> : null}
        {isGrid
          ? off.map((stop) => <GapNotice key={stop.visit.id} stop={stop} all={visits ?? []} business={business} />)
          : null}
        <View style={styles.more}>
          <Button kind="quiet" label="Rain: who was asked" onPress={() => router.navigate("/wet-day")} />
          <Button kind="quiet" label="In other calendars" onPress={() => router.navigate("/calendars")} />
        </View>
      </Screen>
      {isWide ? (
        <View style={[styles.right, { borderColor: colors.hairline }]} role="complementary" aria-label="The visit">
          {panel}
        </View>
      ) : null}
    </View>
  );
}

const NO_HOURS: never[] = [];

/** A single day's weather and light. */
function DayLine({ business, date, hours }: { business: BusinessView; date: string; hours: readonly HourOfWeather[] }) {
  const { timeZone: zone, settings } = business;
  const wet = wetHours(hours, date, zone, settings.visits.wetPercent);
  return (
    <View style={styles.more}>
      <Words size="small" tone={wet ? "alarm" : "muted"} figures>
        {dayWords(wet, daylightOf(date, zone, settings.home), zone)}
      </Words>
      {wet ? <WetDayAct date={date} /> : null}
    </View>
  );
}

/** A day has a column for each mechanic, a week one for each day. */
function columnsOf(
  days: readonly string[],
  mechanicId: string | null,
  isDay: boolean,
  drivers: readonly Driver[],
): GridColumn[] {
  if (!isDay) return days.map((date) => ({ key: date, date, mechanicId }));
  return drivers
    .filter(({ id }) => mechanicId === null || mechanicId === id)
    .map(({ id }) => ({ key: id, date: days[0] ?? "", mechanicId: id }));
}

const styles = StyleSheet.create({
  columns: { flex: 1, flexDirection: "row" },
  more: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s, alignItems: "center" },
  right: { width: 260, maxWidth: 260, borderLeftWidth: 1, padding: SPACE.l },
});
