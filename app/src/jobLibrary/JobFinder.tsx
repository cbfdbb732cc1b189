import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { isWholeOrder, type Concern, type JobFit, type Offer, type Position } from "@mechanon/core";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { LongList } from "../ui/LongList";
import { SPACE } from "../ui/theme";
import { CommonJobs } from "./CommonJobs";
import { GuideLabor } from "./GuideLabor";
import { guideMatches } from "./guideMatches";
import type { Fitter } from "./jobChoice";
import { LibraryLine } from "./LibraryLine";
import { shownOffers } from "./shownOffers";
import { useLibraryUsage } from "./useLibraryUsage";
import { WholeOrderLine } from "./WholeOrderLine";

/** About, in pixels. */
const LINE_HEIGHT = 72;
const ALL = "";

/** A job of the library as it was picked. */
export interface PickedJob {
  offer: Offer;
  fit: JobFit;
}

interface JobFinderProps {
  business: Business;
  fitter: Fitter;
  /** What fits findings and concerns; it stands first. */
  offers: readonly Offer[];
  concerns: readonly Pick<Concern, "id" | "text">[];
  /** One job, or all of a whole order. */
  onAdd: (picked: readonly PickedJob[]) => void;
  onOperation: (operationId: string, positions: Position[]) => void;
  /** A job the library does not have. */
  onOwn: (title: string) => void;
  /** Left out: it cannot be closed. */
  onClose?: (() => void) | undefined;
}

/** Jobs kept ready, fitted to the car: what fits findings and concerns first, then all, by area or a few letters. */
export function JobFinder(props: JobFinderProps) {
  const { business, fitter, offers, concerns, onAdd, onOperation, onOwn, onClose } = props;
  const [typed, setTyped] = useState("");
  const [area, setArea] = useState(ALL);
  const usage = useLibraryUsage();
  const shown = shownOffers(offers, business.library, typed, area, usage.last);
  const areas = [...new Set(business.library.map((job) => job.area))];
  const why = ({ pointIds, concernId, libraryJob }: Offer): string => {
    const concern = concerns.find(({ id }) => id === concernId);
    if (pointIds.length > 0) return "Cures what was found";
    if (concern) return `Answers “${concern.text}”`;
    if (libraryJob.isFavorite) return `Favorite · ${libraryJob.area}`;
    return usage.last.includes(libraryJob.id) ? `Used last · ${libraryJob.area}` : libraryJob.area;
  };
  const add = (offer: Offer, fit: JobFit): void => onAdd([{ offer, fit }]);
  const draw = (offer: Offer): ReactNode =>
    isWholeOrder(offer.libraryJob) ? (
      <WholeOrderLine order={offer.libraryJob} library={business.library} fitter={fitter} onAdd={onAdd} />
    ) : (
      <LibraryLine offer={offer} why={why(offer)} fitter={fitter} onAdd={add} />
    );
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
          onAdd={(libraryJob, fit) => add({ libraryJob, pointIds: [], concernId: null }, fit)}
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
      <GuideLabor matches={guideMatches(business.guide, typed, fitter.facts)} onAdd={onOperation} />
      {typed.trim() !== "" ? (
        <Button label={`Add “${typed.trim()}” as a job of its own`} onPress={() => onOwn(typed.trim())} />
      ) : null}
      {onClose ? <Button kind="quiet" label="Close the library" onPress={onClose} /> : null}
    </View>
  );
}

const keyOf = ({ libraryJob }: Offer): string => libraryJob.id;

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
