import { useState } from "react";
import { StyleSheet, View } from "react-native";
import {
  jobsToTie,
  offersForFindings,
  pointById,
  positionChoices,
  positionsOfCure,
  positionsOfJob,
  showPositions,
  type InspectionPoint,
  type LibraryJob,
  type Position,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { addFromLibrary } from "../jobLibrary/addFromLibrary";
import { jobChoice } from "../jobLibrary/jobChoice";
import { useFitter } from "../jobLibrary/useFitter";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { CircleCheck, Plus } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { concernAnswered } from "./concernAnswered";

interface CureOffersProps {
  point: InspectionPoint;
  view: WorkOrderView;
  business: Business;
}

/** What cures a finding: one tap to the quote, fitted to the car and where it was found; shared jobs take it along. */
export function CureOffers({ point, view, business }: CureOffersProps) {
  const { state } = view;
  const offers = offersForFindings(state, business.library).filter(({ pointIds }) => pointIds.includes(point.id));
  const curing = state.jobs.filter(({ pointIds }) => pointIds.includes(point.id));
  const tieable = jobsToTie(state, point.id, business.library);
  return (
    <View style={styles.list}>
      {curing.map(({ id, title }) => (
        <View key={id} style={styles.row}>
          <CircleCheck size={20} />
          <Words size="small">{`On the quote: ${title}`}</Words>
        </View>
      ))}
      {tieable.map(({ id, title }) => (
        <Button
          key={id}
          label={`${title} cures this, too`}
          onPress={() => sendCommand(state.id, { type: "tieFindings", jobId: id, pointIds: [point.id] })}
        />
      ))}
      {curing.length > 0
        ? null
        : offers.map(({ libraryJob, pointIds }) => (
            <Cure key={libraryJob.id} job={libraryJob} pointIds={pointIds} view={view} business={business} />
          ))}
    </View>
  );
}

interface CureProps {
  job: LibraryJob;
  /** All findings it cures. */
  pointIds: string[];
  view: WorkOrderView;
  business: Business;
}

function Cure({ job, pointIds, view, business }: CureProps) {
  const { state } = view;
  const fitter = useFitter(view, business);
  const [isAsking, setAsking] = useState(false);
  const { fitted, fit, price } = jobChoice(job, fitter);
  if (fitted.doesNotApply) return null;
  const points = pointIds.flatMap((id) => pointById(id, state, business.settings.inspection) ?? []);
  const meant = positionsOfCure(job, points);
  const all = positionChoices(positionsOfJob(job));
  const add = (positions: readonly Position[] | null): void =>
    addFromLibrary(
      state.id,
      job,
      { pointIds, concernId: concernAnswered(state, job.answersConcerns) },
      positions === null ? fit : { ...fit, positions: [...positions] },
    );
  // Where the findings have no place, whoever looked knows it.
  const isAsked = all.length > 0 && meant.length === 0;
  const where = meant.length > 0 ? `, ${showPositions(meant)}` : "";
  return (
    <View>
      <Button
        icon={Plus}
        label={`${job.title}${where} · ${price}`}
        spoken={`${job.title}${where} · ${price} to the quote`}
        testID={`cure-${job.id}`}
        onPress={() => (isAsked ? setAsking(!isAsking) : add(all.length === 0 ? null : meant))}
      />
      {isAsking ? (
        <Choices
          label={`Where, ${job.title}`}
          options={all.map((each) => ({ value: each.join(), label: showPositions(each) }))}
          value={null}
          onChoose={(value) => add(all.find((each) => each.join() === value) ?? [])}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "center" },
});
