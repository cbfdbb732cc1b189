import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { offersForConcerns, offersForFindings, type JobFit, type Offer } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { LongList } from "../ui/LongList";
import { SPACE } from "../ui/theme";
import { addFromLibrary } from "./addFromLibrary";
import { CommonJobs } from "./CommonJobs";
import { GuideLabor } from "./GuideLabor";
import { guideMatches } from "./guideMatches";
import { LibraryLine } from "./LibraryLine";
import { shownOffers } from "./shownOffers";
import { useLibraryUsage } from "./useLibraryUsage";
import { useFitter } from "./useFitter";

/** About, in pixels. */
const LINE_HEIGHT = 72;
const ALL = "";

interface JobLibraryProps {
  view: WorkOrderView;
  business: Business;
  onDone: () => void;
}

/** Jobs kept ready, fitted to the car: what fits the findings and concerns first, then all, by area or a few letters. */
export function JobLibrary({ view, business, onDone }: JobLibraryProps) {
  const [typed, setTyped] = useState("");
  const [area, setArea] = useState(ALL);
  const { state } = view;
  const fitter = useFitter(view, business);
  const { facts, isAfterHours } = fitter;
  const offers = [...offersForFindings(state, business.library), ...offersForConcerns(state, business.library)];
  const usage = useLibraryUsage();
  const shown = shownOffers(offers, business.library, typed, area, usage.last);
  const areas = [...new Set(business.library.map((job) => job.area))];
  const add = ({ libraryJob, pointId, concernId }: Offer, fit: JobFit): void => {
    addFromLibrary(state.id, libraryJob, { pointId, concernId }, fit);
    onDone();
  };
  const addOwn = (): void => {
    sendCommand(state.id, {
      type: "addOwnJob",
      jobId: uuid(),
      title: typed.trim(),
      concernId: null,
      on: { facts, isAfterHours },
    });
    onDone();
  };
  const why = ({ pointId, concernId, libraryJob }: Offer): string => {
    const concern = state.concerns.find(({ id }) => id === concernId);
    if (pointId !== null) return "Cures what was found";
    if (concern) return `Answers “${concern.text}”`;
    if (libraryJob.isFavorite) return `Favorite · ${libraryJob.area}`;
    return usage.last.includes(libraryJob.id) ? `Used last · ${libraryJob.area}` : libraryJob.area;
  };
  const draw = (offer: Offer): ReactNode => <LibraryLine offer={offer} why={why(offer)} fitter={fitter} onAdd={add} />;
  return (
    <View style={styles.list}>
      <Field
        label="Find a job"
        value={typed}
        onChangeText={setTyped}
        placeholder="brakes, oil, battery"
        maxLength={120}
      />
      {typed.trim() === "" && area === ALL ? (
        <CommonJobs
          jobs={usage.common.flatMap((id) => business.library.filter((job) => job.id === id))}
          fitter={fitter}
          onAdd={(libraryJob, fit) => add({ libraryJob, pointId: null, concernId: null }, fit)}
        />
      ) : null}
      {typed.trim() === "" ? (
        <Choices
          label="Area"
          options={[{ value: ALL, label: "All" }, ...areas.map((each) => ({ value: each, label: each }))]}
          value={area}
          onChoose={setArea}
        />
      ) : null}
      <LongList items={shown} keyOf={keyOf} draw={draw} label="Jobs of the library" itemHeight={LINE_HEIGHT} />
      <GuideLabor
        workOrderId={state.id}
        matches={guideMatches(business.guide, typed, facts)}
        fitter={fitter}
        onAdded={onDone}
      />
      {typed.trim() !== "" ? <Button label={`Add “${typed.trim()}” as a job of its own`} onPress={addOwn} /> : null}
      {state.jobs.length > 0 ? <Button kind="quiet" label="Close the library" onPress={onDone} /> : null}
    </View>
  );
}

const keyOf = ({ libraryJob }: Offer): string => libraryJob.id;

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
