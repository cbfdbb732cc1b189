import { useInfiniteQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { StyleSheet, View } from "react-native";
import { ROW_OUTCOMES, routes, type ImportRowView, type ImportView, type RowOutcome } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { DataTable, type Column } from "../ui/DataTable";
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
  const rows = useMemo(() => data?.pages.flatMap((page) => page.rows) ?? [], [data]);
  const columns = useMemo(() => columnsOf({ left, onLeaveOut }), [left, onLeaveOut]);
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
      <DataTable label="Rows" rows={rows} columns={columns} keyOf={({ row }) => String(row)} />
      {hasNextPage ? <Button busy={isFetching} label="More rows" onPress={() => void fetchNextPage()} /> : null}
    </View>
  );
}

/** What is said of a row; `isLeft`: by hand, null where nothing can be chosen any more. */
interface Told {
  left: ReadonlySet<number> | null;
  onLeaveOut: (row: number) => void;
}

const isLeftOut = (left: Told["left"], row: number): boolean => left?.has(row) ?? false;

function columnsOf({ left, onLeaveOut }: Told): Column<ImportRowView>[] {
  return [
    {
      id: "row",
      header: "Row",
      meta: { share: 0.4 },
      cell: ({ row: { original } }) => (
        <Words figures tone="muted">
          {String(original.row)}
        </Words>
      ),
    },
    {
      id: "name",
      header: "Customer",
      meta: { share: 2 },
      cell: ({ row: { original } }) => <Name {...original} />,
    },
    {
      id: "outcome",
      header: "What becomes of it",
      meta: { share: 1.4 },
      cell: ({ row: { original } }) => (
        <Words size="small">
          {isLeftOut(left, original.row) ? "Left out by you" : original.outcome ? OUTCOME_WORDS[original.outcome] : ""}
        </Words>
      ),
    },
    {
      id: "remarks",
      header: "Why",
      meta: { share: 2.4 },
      cell: ({ row: { original } }) =>
        original.remarks.map((remark) => (
          <Words key={remark} size="small" tone="muted">
            {remark}
          </Words>
        )),
    },
    {
      id: "act",
      header: "",
      meta: { share: 1.4 },
      cell: ({ row: { original } }) => <RowAct row={original} left={left} onLeaveOut={onLeaveOut} />,
    },
  ];
}

function Name({ name, outcome }: ImportRowView) {
  const isFault = outcome === "fault";
  return <Words strong tone={isFault ? "alarm" : "ink"}>{`${isFault ? "✕ " : ""}${name || "No name"}`}</Words>;
}

/** What can be done about a row: left out before it is brought in, opened after. */
function RowAct({ row: { row, outcome, customerId }, left, onLeaveOut }: Told & { row: ImportRowView }) {
  const router = useRouter();
  if (left !== null)
    return outcome === "fault" || outcome === "skips" ? null : (
      <Button
        kind="quiet"
        label={left.has(row) ? `Take row ${row}` : `Leave out row ${row}`}
        onPress={() => onLeaveOut(row)}
      />
    );
  return customerId ? (
    <Button kind="quiet" label="Open" onPress={() => router.navigate(`/customers/${customerId}`)} />
  ) : null;
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
