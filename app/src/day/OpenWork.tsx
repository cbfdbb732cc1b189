import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { WAITS, showWhole, type Wait } from "@mechanon/core";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { useOpenWork } from "./useOpenWork";
import { WAIT_WORDS } from "./waitWords";
import { WorkOrderLine } from "./WorkOrderLine";

type Filter = Wait | "all";

/** Everything open across all days and people, by what it waits for, oldest first. */
export function OpenWork({ title }: { title: string }) {
  const isWide = useIsWide();
  const [filter, setFilter] = useState<Filter>("all");
  const { groups, error, refetch, more, busy } = useOpenWork();
  const total = (groups ?? []).reduce((sum, { count }) => sum + count, 0);
  const shown = (groups ?? []).filter(({ waitsFor, count }) => (filter === "all" ? count > 0 : waitsFor === filter));
  const options = [
    { value: "all" as Filter, label: `All ${showWhole(total)}` },
    ...WAITS.map((wait) => {
      const count = groups?.find(({ waitsFor }) => waitsFor === wait)?.count ?? 0;
      return { value: wait, label: `${WAIT_WORDS[wait].title} ${showWhole(count)}` };
    }),
  ];
  return (
    <Screen title={title}>
      <Heading level={1}>Open work</Heading>
      <Choices label="Waits for" options={options} value={filter} onChoose={setFilter} />
      {error && !groups ? <Notice text={errorWords(error)} action={{ label: "Try again", onPress: refetch }} /> : null}
      {!groups && !error ? <Waiting label="Loading open work" /> : null}
      {groups && total === 0 ? (
        <Notice kind="note" text="Nothing is open. A new call becomes a work order under New." />
      ) : null}
      <View style={isWide ? styles.columns : undefined}>
        {shown.map(({ waitsFor, count, workOrders }) => (
          <View key={waitsFor} style={isWide ? styles.column : styles.group}>
            <Heading level={2}>{WAIT_WORDS[waitsFor].line}</Heading>
            {count === 0 ? <Words tone="muted">{WAIT_WORDS[waitsFor].empty}</Words> : null}
            {workOrders.map((order) => (
              <WorkOrderLine key={order.id} order={order} />
            ))}
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

const styles = StyleSheet.create({
  columns: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.xl, rowGap: SPACE.l },
  column: { flexBasis: 340, flexGrow: 1, maxWidth: 520 },
  group: { paddingTop: SPACE.m },
});
