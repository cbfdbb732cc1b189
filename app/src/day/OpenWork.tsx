import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { WAITS, type Wait } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { WAIT_WORDS } from "./waitWords";
import { WorkOrderLine } from "./WorkOrderLine";

type Filter = Wait | "all";

/** Everything open across all days and people, by what it waits for, oldest first. */
export function OpenWork({ title }: { title: string }) {
  const isWide = useIsWide();
  const [filter, setFilter] = useState<Filter>("all");
  const { data, error, refetch } = useQuery({
    queryKey: ["openWork"],
    queryFn: () => call(routes.openWork, {}),
    refetchInterval: 60_000,
  });
  const orders = data?.workOrders ?? [];
  const groups = WAITS.map((wait) => ({ wait, orders: orders.filter(({ waitsFor }) => waitsFor === wait) }));
  const shown = groups.filter(({ wait, orders: own }) => (filter === "all" ? own.length > 0 : wait === filter));
  const options = [
    { value: "all" as Filter, label: `All ${orders.length}` },
    ...groups.map(({ wait, orders: own }) => ({ value: wait, label: `${WAIT_WORDS[wait].title} ${own.length}` })),
  ];
  return (
    <Screen title={title}>
      <Heading level={1}>Open work</Heading>
      <Choices label="Waits for" options={options} value={filter} onChoose={setFilter} />
      {error && !data ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {!data && !error ? <Waiting label="Loading open work" /> : null}
      {data && orders.length === 0 ? (
        <Notice kind="note" text="Nothing is open. A new call becomes a work order under New." />
      ) : null}
      <View style={isWide ? styles.columns : undefined}>
        {shown.map(({ wait, orders: own }) => (
          <View key={wait} style={isWide ? styles.column : styles.group}>
            <Heading level={2}>{WAIT_WORDS[wait].line}</Heading>
            {own.length === 0 ? <Words tone="muted">{WAIT_WORDS[wait].empty}</Words> : null}
            {own.map((order) => (
              <WorkOrderLine key={order.id} order={order} />
            ))}
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
