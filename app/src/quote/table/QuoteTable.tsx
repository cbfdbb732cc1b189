import { startTransition, useEffect, useState } from "react";
import { StyleSheet, View } from "react-native";
import { marginStanding, type WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useFitter } from "../../jobLibrary/useFitter";
import type { Business } from "../../session/useSession";
import { Button } from "../../ui/Button";
import { useColors } from "../../ui/face";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { DragLines } from "../DragLines";
import { useUsedParts } from "../useUsedParts";
import { cellText } from "./cells";
import { COLUMN_SHARES } from "./columnShares";
import { COLUMNS, COLUMN_TITLES, type TableRow } from "./rows";
import { jobSuggestions, partSuggestions, type Suggestion } from "./suggestionsFor";
import { keyOf } from "./keyOf";
import { PlacedRow } from "./PlacedRow";
import { useCells, type CellFocus } from "./useCells";
import { figuresOf, useTableActs } from "./useTableActs";

const FIRST_ROWS = 40;

interface QuoteTableProps {
  view: WorkOrderView;
  business: Business;
  rows: readonly TableRow[];
  /** The quote with what is being typed. */
  shown: WorkOrderState;
  focus: CellFocus;
  onFocus: (focus: CellFocus) => void;
}

/** The whole quote by the keyboard: arrows go about, typing changes, enter takes it, control and z take it back. */
export function QuoteTable({ view, business, rows, shown, focus, onFocus }: QuoteTableProps) {
  const colors = useColors();
  const acts = useTableActs(view, business);
  const fitter = useFitter(view, business);
  const [fault, setFault] = useState<string | null>(null);
  const [picked, setPicked] = useState(-1);
  // Of a long quote what is in sight is there first, the rest right behind it.
  const [isWhole, setWhole] = useState(rows.length <= FIRST_ROWS);
  useEffect(() => startTransition(() => setWhole(true)), []);
  const drawn = isWhole ? rows : rows.slice(0, FIRST_ROWS);
  const row = rows.find(({ key }) => key === focus.rowKey);
  const typed = focus.typed ?? "";
  const used = useUsedParts(row?.kind === "addLine" && acts.rights.mayPrice ? typed : "");
  const suggestions: Suggestion[] =
    focus.typed === null
      ? []
      : row?.kind === "addLine"
        ? partSuggestions(typed, row.job, { business, view, used })
        : row?.kind === "addJob"
          ? jobSuggestions(typed, view, business, fitter)
          : [];
  const move = (next: CellFocus): void => {
    setFault(null);
    if (next.rowKey !== focus.rowKey || next.typed === null) setPicked(-1);
    onFocus(next);
  };
  const take = (suggestion: Suggestion): void => {
    acts.take(suggestion, typed);
    move({ ...focus, typed: "" });
  };
  const cells = useCells(rows, focus, move, {
    textOf: acts.textOf,
    commit: (at, column, text) => {
      const chosen = suggestions[picked];
      if (chosen) {
        acts.take(chosen, text);
        return true;
      }
      const wrong = acts.commit(at, column, text);
      setFault(wrong);
      return wrong === null;
    },
    suggest: (by) => setPicked(Math.min(suggestions.length - 1, Math.max(-1, picked + by))),
    remove: acts.remove,
    move: acts.move,
    copy: acts.copy,
    undo: acts.undo,
  });
  const figures = figuresOf(shown);
  const target = shown.rules.targetMarginPercent;
  const columns = acts.rights.seesCost ? COLUMNS : COLUMNS.filter((each) => each !== "cost" && each !== "margin");
  const isBelow = (at: TableRow): boolean => {
    const margin =
      at.kind === "line"
        ? figures.margins.lines.get(at.line.id)
        : at.kind === "job"
          ? figures.margins.jobs.get(at.job.id)
          : undefined;
    const standing = margin && marginStanding(margin, target);
    return standing === "below" || standing === "loss";
  };
  // What the browser hears that the type of a view does not tell of.
  const keys = {
    onKeyDown: (event: KeyboardEvent) =>
      cells.onKey({
        ...keyOf(event),
        stop: () => {
          event.preventDefault();
          event.stopPropagation();
        },
      }),
  };
  return (
    <View>
      <DragLines onDrop={acts.drop}>
        <View role="grid" aria-label="The quote" {...keys}>
          <View role="row" style={styles.head}>
            {columns.map((each) => (
              <View key={each} role="columnheader" style={[styles.title, { flex: COLUMN_SHARES[each] }]}>
                <Words size="small" strong tone="muted" align={each === "what" ? "left" : "right"}>
                  {COLUMN_TITLES[each]}
                </Words>
              </View>
            ))}
          </View>
          {drawn.map((at) => {
            const isHere = at.key === focus.rowKey;
            return (
              <View key={at.key}>
                <PlacedRow
                  row={at}
                  texts={COLUMNS.map((each) => cellText(at, each, figures))}
                  columns={columns}
                  column={isHere ? focus.column : null}
                  typed={isHere ? focus.typed : null}
                  fault={isHere ? fault : null}
                  isBelow={isBelow(at)}
                  onCell={cells.at}
                  onType={cells.type}
                  onKey={cells.onKey}
                />
                {isHere && suggestions.length > 0 ? (
                  <View role="group" aria-label="Kept ready" style={[styles.list, { borderColor: colors.petrol }]}>
                    {suggestions.map((suggestion, index) => (
                      <View
                        key={suggestion.key}

                        style={index === picked ? { backgroundColor: colors.inset } : undefined}
                      >
                        <Button
                          kind="quiet"
                          label={`${index === picked ? "▸ " : ""}${suggestion.label}`}
                          onPress={() => take(suggestion)}
                        />
                      </View>
                    ))}
                  </View>
                ) : null}
              </View>
            );
          })}
        </View>
      </DragLines>
      <View style={styles.foot}>
        <Button kind="quiet" label="Take the last change back" disabled={!acts.canUndo} onPress={acts.undo} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", paddingLeft: 22 },
  title: { minWidth: 0, paddingHorizontal: SPACE.xs },
  list: { borderLeftWidth: 3, marginLeft: SPACE.l, paddingLeft: SPACE.s },
  foot: { flexDirection: "row", paddingTop: SPACE.m },
});
