import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import {
  offersForConcerns,
  offersForFindings,
  priceWorkOrder,
  showMoney,
  type LibraryJob,
  type Offer,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/store";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { addFromLibrary } from "./addFromLibrary";
import type { Business } from "../session/useSession";

/** Jobs kept ready: what fits the findings and concerns first, then all, found by a few letters. */
export function JobLibrary({
  view,
  business,
  onDone,
}: {
  view: WorkOrderView;
  business: Business;
  onDone: () => void;
}) {
  const [typed, setTyped] = useState("");
  const { state } = view;
  const wanted = typed.trim().toLowerCase();
  const offers = [...offersForFindings(state, business.library), ...offersForConcerns(state, business.library)];
  const fitting = offers.filter(
    ({ libraryJob }, index) => offers.findIndex((other) => other.libraryJob.id === libraryJob.id) === index,
  );
  const others = business.library
    .filter((job) => !fitting.some(({ libraryJob }) => libraryJob.id === job.id))
    .map((libraryJob): Offer => ({ libraryJob, pointId: null, concernId: null }));
  const shown = [...fitting, ...others].filter(
    ({ libraryJob: { title, area } }) => wanted === "" || `${title} ${area}`.toLowerCase().includes(wanted),
  );
  const addOwn = (): void => {
    sendCommand(state.id, { type: "addOwnJob", jobId: uuid(), title: typed.trim(), concernId: null });
    onDone();
  };
  return (
    <View style={styles.list}>
      <Field
        label="Find a job"
        value={typed}
        onChangeText={setTyped}
        placeholder="brakes, oil, battery"
        maxLength={120}
      />
      <View role="list" aria-label="Jobs of the library">
        {shown.map((offer) => (
          <LibraryLine key={offer.libraryJob.id} offer={offer} view={view} onAdded={onDone} />
        ))}
      </View>
      {wanted !== "" ? <Button label={`Add “${typed.trim()}” as a job of its own`} onPress={addOwn} /> : null}
      {state.jobs.length > 0 ? <Button kind="quiet" label="Close the library" onPress={onDone} /> : null}
    </View>
  );
}

function LibraryLine({
  offer: { libraryJob, pointId, concernId },
  view,
  onAdded,
}: {
  offer: Offer;
  view: WorkOrderView;
  onAdded: () => void;
}) {
  const colors = useColors();
  const concern = view.state.concerns.find(({ id }) => id === concernId);
  const why = pointId !== null ? "Cures what was found" : concern ? `Answers “${concern.text}”` : libraryJob.area;
  const add = (): void => {
    addFromLibrary(view.state.id, libraryJob, { pointId, concernId });
    onAdded();
  };
  return (
    <View role="listitem">
      <Press label={`Add ${libraryJob.title}`} onPress={add} style={[styles.line, { borderColor: colors.hairline }]}>
        <View style={styles.row}>
          <View style={styles.grow}>
            <Words strong tone="petrol">
              {libraryJob.title}
            </Words>
            <Words size="small" tone="muted">
              {why}
            </Words>
          </View>
          <Words figures>{showMoney(priceOf(libraryJob, view))}</Words>
        </View>
      </Press>
    </View>
  );
}

/** What a library job would cost on this work order, before taxes. */
function priceOf(job: LibraryJob, { state }: WorkOrderView): number {
  const alone = {
    id: job.id,
    title: job.title,
    libraryJobId: job.id,
    concernId: null,
    pointId: null,
    lines: job.lines,
    addedAt: state.openedAt,
    answer: null,
    finishedAt: null,
  };
  return priceWorkOrder({ ...state, jobs: [alone] }, "all").jobs[0]?.total ?? 0;
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  line: { borderTopWidth: 1, paddingVertical: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.m },
  grow: { flex: 1 },
});
