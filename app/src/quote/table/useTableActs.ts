import { marginsOf, priceWorkOrder, type ClientWorkOrderCommand, type WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { useFitter } from "../../jobLibrary/useFitter";
import { useRight, type Business } from "../../session/useSession";
import { dropAct } from "../dropAct";
import { moveActs } from "../moveActs";
import { fitOf, partCommand } from "../partChoices";
import { cellAct, typedText, LOOKS_LIKE, type Figures, type TableRights } from "./cells";
import { readTypedLine } from "./readTypedLine";
import type { Column, TableRow } from "./rows";
import type { Suggestion } from "./suggestionsFor";
import { useUndo } from "./useUndo";

/** What cells are shown by: nets, totals and margins of a quote. */
export function figuresOf(state: WorkOrderState): Figures {
  const { lines, jobs } = priceWorkOrder(state, "all");
  const { lines: ofLines, jobs: ofJobs } = marginsOf(state);
  return {
    lines: new Map(lines.map((line) => [line.id, line])),
    totals: new Map(jobs.map(({ id, total }) => [id, total])),
    margins: { lines: ofLines, jobs: ofJobs },
  };
}

/** Everything that is done in the table; each act can be taken back. */
export interface TableActs {
  rights: TableRights;
  canUndo: boolean;
  undo: () => void;
  textOf: (row: TableRow, column: Column) => string | null;
  /** @returns null: it is done; else what does not fit. */
  commit: (row: TableRow, column: Column, typed: string) => string | null;
  take: (suggestion: Suggestion, typed: string) => void;
  remove: (row: TableRow) => void;
  move: (row: TableRow, by: -1 | 1) => void;
  copy: (row: TableRow) => void;
  drop: (lineId: string, on: string) => void;
}

const AMOUNT = /^\s*(\d+(?:\.\d+)?)\s*(?:x|×)?\s+/i;

export function useTableActs(view: WorkOrderView, business: Business): TableActs {
  const { state } = view;
  const rights: TableRights = { mayPrice: useRight("changePrices"), seesCost: useRight("seeCost") };
  const fitter = useFitter(view, business);
  const { act, undo, canUndo } = useUndo(state.id);
  const figures = figuresOf(state);
  const add = (command: ClientWorkOrderCommand, lineId: string): void => act(command, { type: "removeLine", lineId });

  const commit = (row: TableRow, column: Column, typed: string): string | null => {
    if (row.kind === "addLine") {
      if (typed.trim() === "") return null;
      const lineId = uuid();
      const line = readTypedLine(typed, lineId, state.rules, rights);
      if (typeof line === "string") return line;
      add({ type: "addLine", jobId: row.job.id, line }, lineId);
      return null;
    }
    if (row.kind === "addJob") {
      const title = typed.trim();
      if (title === "") return null;
      const jobId = uuid();
      const on = { facts: fitter.facts, isAfterHours: fitter.isAfterHours };
      act({ type: "addOwnJob", jobId, title, concernId: null, on }, { type: "removeJob", jobId });
      return null;
    }
    const done = cellAct(row, column, typed, figures);
    if (done === "fault") return LOOKS_LIKE[column];
    if (done) act(done.command, done.undo);
    return null;
  };
  const take = (suggestion: Suggestion, typed: string): void => {
    if (suggestion.what === "job") {
      const jobId = uuid();
      const { libraryJob, pointIds, concernId } = suggestion.offer;
      act(
        {
          ...{ type: "addJob", jobId, libraryJobId: libraryJob.id, lineIds: libraryJob.lines.map(() => uuid()) },
          ...{ pointIds: [...pointIds], concernId, fit: fitOf(suggestion.fit) },
        },
        { type: "removeJob", jobId },
      );
      return;
    }
    const { choice, job } = suggestion;
    const quantity = Number(AMOUNT.exec(typed)?.[1] ?? 1);
    const lineId = uuid();
    const fit = { facts: fitter.facts, isAfterHours: fitter.isAfterHours };
    add(partCommand(choice, { jobId: job.id, lineId, quantity, rules: state.rules, fit }), lineId);
  };
  const remove = (row: TableRow): void => {
    if (row.kind === "line" && row.job.finishedAt === null)
      act({ type: "removeLine", lineId: row.line.id }, { type: "putBack", id: row.line.id });
    if (row.kind === "job" && row.job.finishedAt === null)
      act({ type: "removeJob", jobId: row.job.id }, { type: "putBack", id: row.job.id });
  };
  const move = (row: TableRow, by: -1 | 1): void => {
    if (row.kind === "line") {
      const { lines, id: jobId } = row.job;
      const { up, down } = moveActs(lines, row.line.id);
      const to = by < 0 ? up : down;
      const after = lines[lines.indexOf(row.line) + 1]?.id ?? null;
      const command = { type: "moveLine" as const, lineId: row.line.id, jobId };
      if (to) act({ ...command, beforeLineId: to.beforeId }, { ...command, beforeLineId: after });
    }
    if (row.kind === "job") {
      const { up, down } = moveActs(state.jobs, row.job.id);
      const to = by < 0 ? up : down;
      const after = state.jobs[state.jobs.indexOf(row.job) + 1]?.id ?? null;
      const command = { type: "moveJob" as const, jobId: row.job.id };
      if (to) act({ ...command, beforeJobId: to.beforeId }, { ...command, beforeJobId: after });
    }
  };
  const copy = (row: TableRow): void => {
    if (row.kind !== "line" || (!rights.mayPrice && row.line.kind !== "labor")) return;
    const newLineId = uuid();
    act({ type: "copyLine", lineId: row.line.id, newLineId }, { type: "removeLine", lineId: newLineId });
  };
  const drop = (lineId: string, on: string): void => {
    const moved = dropAct(state.jobs, lineId, on);
    if (moved) act(moved.command, moved.undo);
  };
  return {
    drop,
    rights,
    canUndo,
    undo,
    textOf: (row, column) => typedText(row, column, figures, rights),
    commit,
    take,
    remove,
    move,
    copy,
  };
}
