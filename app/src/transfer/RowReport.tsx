import { useInfiniteQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { ROW_OUTCOMES, routes, type ImportRowView, type ImportView, type RowOutcome } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { OUTCOME_WORDS } from "./fieldWords";

export interface RowReportProps {
  file: ImportView;
  /** Rows left out by hand; null when nothing can be chosen any more. */
  left: ReadonlySet<number> | null;
  onLeaveOut: (row: number) => void;
}

/** What becomes of each row, with why. */
export function RowReport({ file, left, onLeaveOut }: RowReportProps) {
  const { id, counts, rowCount, status } = file;
  const [outcome, setOutcome] = useState<RowOutcome | "all">("all");
  const { data, error, hasNextPage, fetchNextPage, isFetching } = useInfiniteQuery({
    queryKey: ["importRows", id, outcome, status],
    queryFn: ({ pageParam }) =>
      call(routes.importRows, {
        params: { id },
        query: { from: String(pageParam), ...(outcome === "all" ? {} : { outcome }) },
      }),
    initialPageParam: 0,
    getNextPageParam: ({ count }, pages) => {
      const shown = pages.reduce((sum, { rows }) => sum + rows.length, 0);
      return shown < count ? shown : undefined;
    },
  });
  const options = [
    { value: "all" as const, label: `All ${rowCount}` },
    ...ROW_OUTCOMES.filter((each) => counts[each] > 0).map((value) => ({
      value,
      label: `${OUTCOME_WORDS[value]} ${counts[value]}`,
    })),
  ];
  return (
    <View style={styles.list}>
      <Heading level={3}>Row by row</Heading>
      <Choices<RowOutcome | "all"> label="Which rows" options={options} value={outcome} onChoose={setOutcome} />
      {error ? <Notice text={errorWords(error)} /> : null}
      <View role="list" aria-label="Rows">
        {data?.pages
          .flatMap(({ rows }) => rows)
          .map((row) => (
            <Line key={row.row} row={row} isLeft={left?.has(row.row) ?? null} onLeaveOut={onLeaveOut} />
          ))}
      </View>
      {hasNextPage ? <Button busy={isFetching} label="More rows" onPress={() => void fetchNextPage()} /> : null}
    </View>
  );
}

function Line({
  row,
  isLeft,
  onLeaveOut,
}: {
  row: ImportRowView;
  isLeft: boolean | null;
  onLeaveOut: (row: number) => void;
}) {
  const colors = useColors();
  const router = useRouter();
  const { row: number, name, outcome, remarks, customerId } = row;
  const canChoose = isLeft !== null && outcome !== "fault" && outcome !== "skips";
  return (
    <View role="listitem" style={[styles.line, { borderColor: colors.hairline }]}>
      <View style={styles.row}>
        <Words figures tone="muted">
          {String(number)}
        </Words>
        <View style={styles.grow}>
          <Words strong tone={outcome === "fault" ? "alarm" : "ink"}>
            {`${outcome === "fault" ? "✕ " : ""}${name || "No name"}`}
          </Words>
          <Words size="small">{isLeft ? "Left out by you" : outcome ? OUTCOME_WORDS[outcome] : ""}</Words>
          {remarks.map((remark) => (
            <Words key={remark} size="small" tone="muted">
              {remark}
            </Words>
          ))}
        </View>
        {canChoose ? (
          <Button
            kind="quiet"
            label={isLeft ? `Take row ${number}` : `Leave out row ${number}`}
            onPress={() => onLeaveOut(number)}
          />
        ) : null}
        {isLeft === null && customerId ? (
          <Button kind="quiet" label="Open" onPress={() => router.navigate(`/customers/${customerId}`)} />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  line: { borderTopWidth: 1, paddingVertical: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "center" },
  grow: { flex: 1, minWidth: 0 },
});
