import { useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useRef, useState } from "react";
import { StyleSheet, View, type TextInput } from "react-native";
import { v7 as uuid } from "uuid";
import { accessAt, accessNotesAt, needsOfVisit, showTime, withKnownPlace } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { CallQuestions } from "../booking/CallQuestions";
import { letTimesGo } from "../booking/letTimesGo";
import { PlaceCheck } from "../booking/PlaceCheck";
import { SlotPicker } from "../booking/SlotPicker";
import { CarFinder } from "../carFinder/CarFinder";
import { carSheetKey } from "../cars/useCarSheet";
import { ConcernPicker } from "../concerns/ConcernPicker";
import { useToday } from "../day/useDay";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { nowhere } from "../work/nowhere";
import { CallerForm } from "./CallerForm";
import { CarAlong } from "./CarAlong";
import { isBegun, useDraft, type Draft } from "./draft";
import { draftConcerns } from "./draftConcerns";
import { missingWords } from "./missingWords";
import { placeOfCall, readDraft, type DraftAround } from "./readDraft";
import { saveDraft } from "./saveDraft";
import { useWanted } from "./useWanted";
import { WantedJobs } from "./WantedJobs";

/** The call, written down on one sheet: who, what, which car, when. Any part may come first. */
export function NewWork() {
  const business = useBusiness();
  return business ? <CallSheet business={business} /> : null;
}

function CallSheet({ business }: { business: Business }) {
  const router = useRouter();
  const isWide = useIsWide();
  const queries = useQueryClient();
  const today = useToday();
  const { draft, asked, change, decide, clear } = useDraft();
  const concern = useRef<TextInput>(null);
  const [isTried, setTried] = useState(false);
  const [isStartingOver, setStartingOver] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const wanted = useWanted(draft, business);

  const needs = needsOfVisit(
    { jobs: wanted.fitter.quote.jobs, concerns: draftConcerns(draft) },
    business.library,
    business.settings.visits,
    draft.arranged,
  );
  const place = placeOfCall(draft) ?? nowhere();
  const around = (): DraftAround => {
    const car =
      draft.car?.kind === "kept"
        ? queries.getQueryData<VehicleSheetView>(carSheetKey(draft.car.vehicle.id))
        : undefined;
    const unfit = wanted.rows.flatMap(({ title, fault }) => (fault === null ? [] : [title]));
    return { today, unfit, quotesOpen: car?.openWork.filter(({ waitsFor }) => waitsFor === "answer").length ?? 0 };
  };
  // Read as it stands, so that what is missing is told until it is there, and no longer.
  const faults = isTried ? (readDraft(draft, around()).faults ?? {}) : {};
  const save = async (): Promise<void> => {
    const { bodies } = readDraft(draft, around());
    setTried(true);
    setFailed(null);
    if (!bodies) return;
    setBusy(true);
    try {
      await saveDraft(draft, bodies, wanted.around);
      const { workOrderId } = draft;
      clear();
      router.replace(`/work/${workOrderId}`);
    } catch (error) {
      setFailed(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  const fault = missingWords(faults) ?? failed;
  const label = draft.slot
    ? `Save and book ${draft.slot.dayName}, ${showTime(draft.slot.startsAt, business.timeZone)}`
    : "Save work order";
  const foot = (
    <>
      {fault ? <Notice text={fault} /> : null}
      <Button kind="next" busy={busy} label={label} onPress={() => void save()} testID="save-work" />
    </>
  );
  const changeCar = (part: Partial<Draft>): void =>
    change("car" in part ? { ...part, openQuote: null, takeAlong: [] } : part);
  return (
    <Screen title="New work order" foot={foot}>
      <View style={styles.head}>
        <Heading level={1}>New work order</Heading>
        {isStartingOver ? (
          <View style={styles.row}>
            <Button
              label="Throw it away"
              onPress={() => {
                letTimesGo(draft.visitId);
                clear();
                setTried(false);
                setFailed(null);
                setStartingOver(false);
              }}
            />
            <Button kind="quiet" label="Keep it" onPress={() => setStartingOver(false)} />
          </View>
        ) : (
          <Button kind="quiet" label="Start over" disabled={!isBegun(draft)} onPress={() => setStartingOver(true)} />
        )}
      </View>
      {asked ? (
        <View style={styles.part}>
          <Notice
            kind="note"
            text={`A call of ${draft.known?.name ?? draft.name} stands here half written. Which one goes on?`}
          />
          <Button label={`Go on with ${draft.known?.name ?? draft.name}`} onPress={() => decide("before")} />
          <Button
            label={`Throw that away, and write down ${asked.known?.name ?? "the other"}`}
            onPress={() => decide("asked")}
          />
        </View>
      ) : null}
      <View style={isWide ? styles.columns : styles.stack}>
        <View style={[styles.part, isWide && styles.column]}>
          <Heading level={2}>Who calls</Heading>
          <CallerForm
            key={draft.customerId}
            business={business}
            faults={faults}
            onDone={() => concern.current?.focus()}
          />
          <Heading level={2}>What for</Heading>
          <ConcernPicker
            phrases={business.settings.concerns}
            gaps={business.settings.concernGaps}
            field={concern}
            picked={draft.concerns}
            typed={draft.concernTyped}
            onChange={({ picked, typed }) => change({ concerns: picked, concernTyped: typed })}
          />
          {draft.copiesFrom ? (
            <Notice
              kind="note"
              text={`The jobs of quote ${draft.copiesFrom.number} come along, fitted to the car and at the prices of today.`}
              action={{ label: "Leave them", onPress: () => change({ copiesFrom: null }) }}
            />
          ) : null}
          <WantedJobs draft={draft} business={business} wanted={wanted} change={change} />
          {faults.jobs ? <Notice text={faults.jobs} /> : null}
        </View>
        <View style={[styles.part, isWide && styles.column]}>
          <Heading level={2}>Which car</Heading>
          <CarFinder
            business={business}
            search={draft}
            change={changeCar}
            caller={{ id: draft.known?.id ?? null, name: draft.known?.name ?? draft.name.trim() }}
            onOwner={(known) => change({ known })}
            fault={faults.car}
            along={(car) => <CarAlong car={car} fault={faults.car} />}
          />
          {draft.car ? null : (
            <Words size="small" tone="muted">
              Not known yet? Leave it empty: the car can be put in later.
            </Words>
          )}
          <Heading level={2}>When</Heading>
          <SlotPicker
            business={business}
            wish={draft.wish}
            slot={draft.slot}
            noVisit="No visit yet"
            asked={{
              place,
              needs,
              notBefore: null,
              heldFor: draft.visitId,
              isBegun: isBegun(draft),
              movesVisitId: null,
            }}
            jobMinutes={needs.minutes}
            onChange={(picked) => change({ ...picked, bookCommandId: uuid() })}
            fault={faults.when}
          />
          <PlaceCheck
            business={business}
            needs={needs}
            agreed={withKnownPlace(draft.arranged, draft.known && accessNotesAt(draft.known, place))}
            place={place}
            when={draft.slot}
          />
          <CallQuestions
            business={business}
            agreed={draft.arranged}
            known={draft.known ? accessAt(draft.known, place) : ""}
            onChange={(said) => change({ arranged: { ...draft.arranged, ...said } })}
          />
        </View>
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", justifyContent: "space-between", alignItems: "center", flexWrap: "wrap" },
  row: { flexDirection: "row", gap: SPACE.s },
  stack: { gap: SPACE.xl },
  columns: { flexDirection: "row", gap: SPACE.xxl },
  part: { gap: SPACE.m },
  column: { flex: 1, minWidth: 0 },
});
