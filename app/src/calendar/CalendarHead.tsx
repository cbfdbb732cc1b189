import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { ChevronLeft, ChevronRight } from "../ui/icons";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { useCalendar } from "./calendarStore";
import type { Driver } from "./driversOf";
import { CALENDAR_VIEWS, turned, viewTitle } from "./calendarView";

const TITLES = { day: "Day", week: "Week", list: "List" } as const;
const VIEWS = CALENDAR_VIEWS.map((value) => ({ value, label: TITLES[value] }));
const ALL = "all";

/** Which days, how, and of whom. */
export function CalendarHead({ drivers, date, today }: { drivers: readonly Driver[]; date: string; today: string }) {
  const colors = useColors();
  const { view, mechanicId, change } = useCalendar();
  return (
    <View style={styles.head}>
      <View style={styles.days}>
        <Press label="Before" onPress={() => change({ date: turned(view, date, -1) })} style={styles.arrow}>
          <ChevronLeft size={26} color={colors.petrol} />
        </Press>
        <Heading level={1} size="lead" align="center" style={styles.grow}>
          {viewTitle(view, date, today)}
        </Heading>
        <Press label="After" onPress={() => change({ date: turned(view, date, 1) })} style={styles.arrow}>
          <ChevronRight size={26} color={colors.petrol} />
        </Press>
        {date === today ? null : <Button kind="quiet" label="Today" onPress={() => change({ date: null })} />}
      </View>
      <View style={styles.choices}>
        <Choices label="Shown as" options={VIEWS} value={view} onChoose={(next) => change({ view: next })} />
        {drivers.length > 1 ? (
          <Choices
            label="Of whom"
            options={[
              { value: ALL, label: "All" },
              ...drivers.map(({ id, name }) => ({ value: id, label: name.split(" ")[0] ?? name })),
            ]}
            value={mechanicId ?? ALL}
            onChoose={(id) => change({ mechanicId: id === ALL ? null : id })}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  head: { gap: SPACE.s },
  days: { flexDirection: "row", alignItems: "center" },
  arrow: { alignItems: "center" },
  grow: { flex: 1 },
  choices: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, justifyContent: "space-between" },
});
