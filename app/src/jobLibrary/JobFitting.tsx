import { useState } from "react";
import { StyleSheet, View } from "react-native";
import {
  fitDiffers,
  fitJob,
  positionChoices,
  positionsOfJob,
  showPositions,
  type Job,
  type JobFit,
  type LibraryJob,
  type SpecKey,
} from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { SpecAnswer } from "../cars/SpecAnswer";
import type { Business } from "../session/useSession";
import { give, sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { addFromLibrary } from "./addFromLibrary";
import { askable, specLabel } from "./fitWords";
import { GoesWith } from "./GoesWith";
import { variantChoices } from "./jobChoice";
import { OtherWays } from "./OtherWays";
import { useFitter } from "./useFitter";

interface JobFittingProps {
  job: Job;
  view: WorkOrderView;
  business: Business;
}

/** How a job of the library was fitted to the car: other positions, another quality, what is not known of the car yet. */
export function JobFitting({ job, view, business }: JobFittingProps) {
  const template = business.library.find(({ id }) => id === job.libraryJobId);
  if (!template || !job.fit || job.finishedAt !== null) return null;
  return <Fitting job={job} fit={job.fit} template={template} view={view} business={business} />;
}

function Fitting({
  job,
  fit: kept,
  template,
  view,
  business,
}: JobFittingProps & { fit: Pick<JobFit, "positions" | "variantId">; template: LibraryJob }) {
  const fitter = useFitter(view, business);
  const { facts, isAfterHours } = fitter;
  const fit: JobFit = { facts, isAfterHours, positions: kept.positions, variantId: kept.variantId };
  const refit = (over: Partial<JobFit>): void => {
    const next = { ...fit, ...over };
    sendCommand(view.state.id, { type: "refitJob", jobId: job.id, fit: { ...next, positions: [...next.positions] } });
  };
  const positions = positionChoices(positionsOfJob(template));
  const variants = variantChoices(template, fit, fitter);
  const { unknown, isWithoutHours } = fitJob(template, fit, business.guide);
  return (
    <View style={styles.list}>
      {positions.length > 0 ? (
        <Choices
          label={`Where, ${template.title}`}
          options={positions.map((each) => ({ value: each.join(), label: showPositions(each) }))}
          value={kept.positions.join()}
          onChoose={(value) => refit({ positions: positions.find((each) => each.join() === value) ?? kept.positions })}
        />
      ) : null}
      {variants.length > 0 ? (
        <Choices
          label={`Quality of ${template.title}`}
          options={variants.map(({ id, label }) => ({ value: id ?? "", label }))}
          value={kept.variantId ?? ""}
          onChoose={(value) => refit({ variantId: value === "" ? null : value })}
        />
      ) : null}
      <OtherWays job={job} fit={fit} template={template} view={view} />
      {isWithoutHours ? (
        <Words size="small" tone="muted">
          The guide has no hours for this class of vehicle: the library’s stand.
        </Words>
      ) : null}
      <GoesWith
        job={template}
        library={business.library}
        fitter={fitter}
        onAdd={(other, how) => addFromLibrary(view.state.id, other, { pointIds: [], concernId: null }, how)}
      />
      {view.vehicle ? <Unknown keys={askable(unknown)} vehicleId={view.vehicle.id} /> : null}
      {fitDiffers(view.state, job.id, fit, business.library, business.guide) ? (
        <>
          <Words size="small" tone="alarm">
            The library or what is known of the car says otherwise by now.
          </Words>
          <Button kind="quiet" label={`Fit ${job.title.toLowerCase()} anew`} onPress={() => refit({})} />
        </>
      ) : null}
    </View>
  );
}

/** What is not known of the car: asked once, and kept on it. */
function Unknown({ keys, vehicleId }: { keys: readonly SpecKey[]; vehicleId: string }) {
  const [asked, setAsked] = useState<SpecKey | null>(null);
  const keep = (key: SpecKey, value: string): void => {
    setAsked(null);
    void give([{ kind: "specCorrection", target: vehicleId, key, value }]);
  };
  return keys.map((key) => (
    <View key={key}>
      <Button
        kind="quiet"
        label={`Not known of this car: ${specLabel(key).toLowerCase()}`}
        onPress={() => setAsked(asked === key ? null : key)}
      />
      {asked === key ? <SpecAnswer specKey={key} value="" onSave={(value) => keep(key, value)} onBack={null} /> : null}
    </View>
  ));
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
