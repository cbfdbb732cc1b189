import { useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { refusalWords, showTime } from "@mechanon/core";
import type { VehicleSheet } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { carSheetKey } from "../cars/useCarSheet";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { CallerForm } from "./CallerForm";
import { CarForm } from "./CarForm";
import { ConcernPicker } from "../concerns/ConcernPicker";
import { useDraft } from "./draft";
import { readDraft, type DraftFaults } from "./readDraft";
import { saveDraft } from "./saveDraft";
import { SlotPicker } from "./SlotPicker";

/** The call, written down on one sheet: who, what, which car, when. Any part may come first. */
export function NewWork() {
  const router = useRouter();
  const isWide = useIsWide();
  const queries = useQueryClient();
  const business = useBusiness();
  const { draft, change, clear } = useDraft();
  const [faults, setFaults] = useState<DraftFaults>({});
  const [fault, setFault] = useState<string | null>(null);
  const [overlaps, setOverlaps] = useState(false);
  const [busy, setBusy] = useState(false);
  const [isBooking, setBooking] = useState(draft.slot !== null);
  if (!business) return null;

  const save = async (allowOverlap: boolean): Promise<void> => {
    const car =
      draft.car?.kind === "kept" ? queries.getQueryData<VehicleSheet>(carSheetKey(draft.car.vehicle.id)) : undefined;
    const quotesOpen = car?.openWork.filter(({ waitsFor }) => waitsFor === "answer").length ?? 0;
    const read = readDraft(draft, quotesOpen);
    setFaults(read.faults ?? {});
    setFault(read.faults ? "Something is missing above; what you typed is kept." : null);
    if (read.faults) return;
    setBusy(true);
    try {
      const refusal = await saveDraft(draft, read.bodies, allowOverlap);
      if (refusal !== null) {
        setOverlaps(refusal === "visit/overlaps");
        setFault(refusalWords(refusal));
        // What is put right is another command.
        change(refusal.startsWith("visit/") ? { bookCommandId: uuid() } : { openCommandId: uuid() });
        return;
      }
      const { workOrderId } = draft;
      clear();
      void queries.invalidateQueries();
      router.replace(`/work/${workOrderId}`);
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  const label = draft.slot
    ? `Open and book ${draft.slot.dayName}, ${showTime(draft.slot.startsAt, business.timeZone)}`
    : "Open work order";
  const foot = (
    <>
      {fault ? <Notice text={fault} /> : null}
      {overlaps ? <Button label="Book it anyway" onPress={() => void save(true)} /> : null}
      <Button kind="next" busy={busy} label={label} onPress={() => void save(false)} testID="save-work" />
    </>
  );
  return (
    <Screen title="New work order" foot={foot}>
      <View style={styles.head}>
        <Heading level={1}>New work order</Heading>
        <Button
          kind="quiet"
          label="Start over"
          onPress={() => {
            clear();
            setFaults({});
            setFault(null);
            setBooking(false);
          }}
        />
      </View>
      <View style={isWide ? styles.columns : styles.stack}>
        <View style={[styles.part, isWide && styles.column]}>
          <Heading level={2}>Who calls</Heading>
          <CallerForm business={business} faults={faults} />
          <Heading level={2}>What for</Heading>
          <ConcernPicker
            phrases={business.settings.concerns}
            gaps={business.settings.concernGaps}
            picked={draft.concerns}
            onChange={(concerns) => change({ concerns })}
          />
        </View>
        <View style={[styles.part, isWide && styles.column]}>
          <Heading level={2}>Which car</Heading>
          <CarForm business={business} fault={faults.car} />
          <Heading level={2}>When</Heading>
          {isBooking ? (
            <>
              <SlotPicker
                business={business}
                slot={draft.slot}
                onChange={(slot) => change({ slot, bookCommandId: uuid() })}
              />
              <Button
                kind="quiet"
                label="No visit yet, only a price"
                onPress={() => {
                  change({ slot: null });
                  setBooking(false);
                }}
              />
            </>
          ) : (
            <Button label="Book a visit now" onPress={() => setBooking(true)} testID="book-now" />
          )}
        </View>
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", justifyContent: "space-between", alignItems: "center", flexWrap: "wrap" },
  stack: { gap: SPACE.xl },
  columns: { flexDirection: "row", gap: SPACE.xxl },
  part: { gap: SPACE.m },
  column: { flex: 1, minWidth: 0 },
});
