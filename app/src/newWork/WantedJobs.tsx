import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { offersForConcerns, type JobFit, type LibraryJob } from "@mechanon/core";
import { GoesWith } from "../jobLibrary/GoesWith";
import { JobFinder, type PickedJob } from "../jobLibrary/JobFinder";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { Draft } from "./draft";
import { draftConcerns } from "./draftConcerns";
import type { Wanted } from "./useWanted";
import { wantedOf, type WantedJob } from "./wantedJob";

interface WantedJobsProps {
  draft: Draft;
  business: Business;
  wanted: Wanted;
  change: (part: Pick<Draft, "jobs">) => void;
}

/** Work the caller wants: priced from-to until the car is known, exact then. */
export function WantedJobs({ draft, business, wanted, change }: WantedJobsProps) {
  const colors = useColors();
  const [isPicking, setPicking] = useState(false);
  const { fitter, rows, price } = wanted;
  const concerns = draftConcerns(draft);
  const add = (...jobs: WantedJob[]): void => {
    change({ jobs: [...draft.jobs, ...jobs] });
    setPicking(false);
  };
  const addPicked = (picked: readonly PickedJob[]): void =>
    add(...picked.map(({ offer, fit }) => wantedOf(uuid(), offer, fit, concerns)));
  const addWith = (libraryJob: LibraryJob, fit: JobFit): void =>
    addPicked([{ offer: { libraryJob, pointIds: [], concernId: null }, fit }]);
  return (
    <View style={styles.list}>
      {rows.map(({ job, title, price: one, fault, template }) => (
        <View key={job.id} role="group" aria-label={title} style={[styles.job, { borderColor: colors.hairline }]}>
          <Row strong left={title} right={one ?? ""} />
          {fault ? (
            <Words size="small" tone="alarm">
              {fault}
            </Words>
          ) : null}
          {template && !fault ? (
            <GoesWith job={template} library={business.library} fitter={fitter} onAdd={addWith} />
          ) : null}
          <Button
            kind="quiet"
            label={`Take off ${title.toLowerCase()}`}
            onPress={() => change({ jobs: draft.jobs.filter(({ id }) => id !== job.id) })}
          />
        </View>
      ))}
      {price && rows.length > 1 ? <Row strong rule left="Together, before taxes" right={price} /> : null}
      {draft.car === null && rows.length > 0 ? (
        <Words size="small" tone="muted">
          More exact once the car is known.
        </Words>
      ) : null}
      {isPicking ? (
        <JobFinder
          business={business}
          fitter={fitter}
          offers={offersForConcerns({ concerns, jobs: fitter.quote.jobs }, business.library)}
          concerns={concerns}
          onAdd={addPicked}
          onOperation={(operationId, positions) => add({ id: uuid(), kind: "operation", operationId, positions })}
          onOwn={(title) => add({ id: uuid(), kind: "own", title })}
          onClose={() => setPicking(false)}
        />
      ) : (
        <Button
          kind="quiet"
          label={rows.length === 0 ? "Add a job they want" : "Add another job"}
          onPress={() => setPicking(true)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s }, job: { borderTopWidth: 1, paddingTop: SPACE.xs } });
