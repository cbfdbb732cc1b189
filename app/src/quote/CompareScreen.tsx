import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { compareQuotes, showMoney, showVehicle, type ComparedLine } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { SheetWaits } from "../sheet/SheetWaits";
import { useWorkOrder } from "../sync/useWorkOrder";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { showNumber } from "../work/showNumber";

/** Two quotes beside each other, line by line. */
export function CompareScreen({ id, otherId }: { id: string; otherId: string }) {
  const router = useRouter();
  const one = useWorkOrder(id);
  const other = useWorkOrder(otherId);
  if (one.view && other.view) return <Compared views={[one.view, other.view]} />;
  return (
    <SheetWaits
      title="Two quotes"
      error={one.error ?? other.error}
      onRetry={() => {
        one.refetch();
        other.refetch();
      }}
    >
      <Button kind="quiet" label="To the work order" onPress={() => router.navigate(`/work/${id}`)} />
    </SheetWaits>
  );
}

function Compared({ views }: { views: readonly [WorkOrderView, WorkOrderView] }) {
  const router = useRouter();
  const colors = useColors();
  const [one, other] = views;
  const { jobs, totals } = compareQuotes(views.map(({ state }) => state));
  const [first = 0, second = 0] = totals;
  const difference = Math.abs(first - second);
  return (
    <Screen title="Two quotes">
      <Heading level={1}>Two quotes beside each other</Heading>
      {one.vehicle?.id !== other.vehicle?.id ? (
        <Notice
          kind="note"
          text={`They are of two cars: ${showVehicle(one.vehicle)} and ${showVehicle(other.vehicle)}.`}
        />
      ) : null}
      <View style={styles.pair}>
        {views.map((view, index) => (
          <View key={view.state.id} style={styles.side}>
            <Button
              kind="quiet"
              label={`Quote ${showNumber(view.number)}`}
              onPress={() => router.navigate(`/work/${view.state.id}`)}
            />
            <Words strong size="lead" figures>
              {showMoney(totals[index] ?? 0)}
            </Words>
          </View>
        ))}
      </View>
      <Words figures strong>
        {difference === 0
          ? "Both come to the same."
          : `Quote ${showNumber((first < second ? one : other).number)} is ${showMoney(difference)} cheaper.`}
      </Words>
      {jobs.map(({ key, title, cents, lines }) => (
        <View key={key} style={[styles.job, { borderColor: colors.ink }]} role="group" aria-label={title}>
          <Words strong>{title}</Words>
          <View style={styles.pair}>
            {cents.map((each, index) => (
              <Words key={index} strong figures style={styles.side}>
                {each === null ? "Not on it" : showMoney(each)}
              </Words>
            ))}
          </View>
          {lines.map((line) => (
            <LinePair key={line.key} line={line} />
          ))}
        </View>
      ))}
    </Screen>
  );
}

function LinePair({ line: { sides } }: { line: ComparedLine }) {
  const colors = useColors();
  const [one, other] = sides;
  const isSame = one?.words === other?.words && one?.cents === other?.cents;
  return (
    <View style={[styles.pair, styles.line, { borderColor: colors.hairline }]}>
      {sides.map((side, index) => (
        <View key={index} style={styles.side}>
          <Words tone={isSame ? "muted" : "ink"}>{side?.words ?? "—"}</Words>
          {side ? (
            <Words figures tone={isSame ? "muted" : "ink"} strong={!isSame}>
              {showMoney(side.cents)}
            </Words>
          ) : null}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: "row", gap: SPACE.m },
  side: { flex: 1, minWidth: 0 },
  job: { borderTopWidth: 1.5, paddingTop: SPACE.s, gap: SPACE.xs },
  line: { borderTopWidth: 1, paddingVertical: SPACE.xs },
});
