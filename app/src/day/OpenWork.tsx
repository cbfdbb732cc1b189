import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { WAITS, idOf, showWhole, type Wait } from "@mechanon/core";
import type { WorkOrderSummary } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { AsOf } from "../offline/AsOf";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { LongList } from "../ui/LongList";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { CallList } from "./CallList";
import { useOpenWork } from "./useOpenWork";
import { WAIT_WORDS } from "./waitWords";
import { WorkOrderLine } from "./WorkOrderLine";

/** About, in pixels: three lines and what stands around them. */
const LINE_HEIGHT = 96;

type Filter = Wait | "all";

/** Everything open across all days and people, by what it waits for, oldest first. */
export function OpenWork({ title }: { title: string }) {
  const isWide = useIsWide();
  const [filter, setFilter] = useState<Filter>("all");
  const { groups, isAnswered, answeredAt, error, refetch, more, busy } = useOpenWork();
  const total = (groups ?? []).reduce((sum, { count }) => sum + count, 0);
  const shown = (groups ?? []).filter(({ waitsFor, count }) => (filter === "all" ? count > 0 : waitsFor === filter));
  const options = [
    { value: "all" as Filter, label: counted("All", known(groups && total, isAnswered)) },
    ...WAITS.map((wait) => ({
      value: wait,
      label: counted(
        WAIT_WORDS[wait].title,
        known(groups?.find(({ waitsFor }) => waitsFor === wait)?.count, isAnswered),
      ),
    })),
  ];
  return (
    <Screen title={title}>
      <Heading level={1}>Open work</Heading>
      <AsOf answeredAt={answeredAt} />
      <CallList />
      <Choices label="Waits for" options={options} value={filter} onChoose={setFilter} />
      {error && !isAnswered ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} />
      ) : null}
      {!groups ? <WaitingRows label="Loading open work" /> : null}
      {isAnswered && total === 0 ? (
        <Notice kind="note" text="Nothing is open. A new call becomes a work order under New." />
      ) : null}
      <View style={isWide ? styles.columns : undefined}>
        {shown.map(({ waitsFor, count, workOrders }) => (
          <View key={waitsFor} style={isWide ? styles.column : styles.group}>
            <Heading level={2}>{WAIT_WORDS[waitsFor].line}</Heading>
            {count === 0 ? <Words tone="muted">{WAIT_WORDS[waitsFor].empty}</Words> : null}
            <LongList
              items={workOrders}
              keyOf={idOf}
              draw={drawOrder}
              label={WAIT_WORDS[waitsFor].line}
              itemHeight={LINE_HEIGHT}
              onEnd={workOrders.length < count && busy === null ? () => more(waitsFor) : undefined}
            />
            {workOrders.length < count ? (
              <>
                <Words tone="muted" figures>
                  {`The oldest ${showWhole(workOrders.length)} of ${showWhole(count)}`}
                </Words>
                <Button label="Show more" busy={busy === waitsFor} onPress={() => more(waitsFor)} />
              </>
            ) : null}
          </View>
        ))}
      </View>
    </Screen>
  );
}

const drawOrder = (order: WorkOrderSummary): ReactNode => <WorkOrderLine order={order} />;

/** A count; where no answer was ever here, none of what this device knows by itself is not "none". */
function known(count: number | undefined, isAnswered: boolean): number | undefined {
  return isAnswered || count ? count : undefined;
}

/** A name with how many there are, once that is known. */
function counted(name: string, count: number | undefined): string {
  return count === undefined ? name : `${name} ${showWhole(count)}`;
}

const styles = StyleSheet.create({
  columns: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.xl, rowGap: SPACE.l },
  column: { flexBasis: 340, flexGrow: 1, maxWidth: 520 },
  group: { paddingTop: SPACE.m },
});
