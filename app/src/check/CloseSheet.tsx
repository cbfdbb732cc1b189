import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { countOf, openConcerns, type InspectionPoint, type SheetAtHand } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Undo2 } from "../ui/icons";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { OdometerField } from "../work/OdometerField";

interface CloseSheetProps {
  view: WorkOrderView;
  sheet: SheetAtHand;
  open: readonly InspectionPoint[];
  onDone: () => void;
  /** Takes the last grade back; undefined: there is none. */
  undo: (() => void) | undefined;
  /** null: there is nothing to go back to. */
  onBack: (() => void) | null;
}

const WHY = ["No time today", "No access here", "Not wanted"];

/** Closes a sheet: what nobody saw gets its reason, and concerns that are open are said, not in the way. */
export function CloseSheet({ view, sheet, open, onDone, undo, onBack }: CloseSheetProps) {
  const { state } = view;
  const [why, setWhy] = useState<string | null>(null);
  const ungraded = open.filter(({ id }) => !state.findings.some(({ pointId }) => pointId === id));
  const concerns = openConcerns(state.concerns, state.jobs);
  const close = (): void => {
    if (!sheet.isStarted) sendCommand(state.id, { type: "startSheet", sheetId: sheet.sheetId });
    sendCommand(state.id, {
      type: "closeSheet",
      sheetId: sheet.sheetId,
      notSeen: ungraded.map(({ id }) => id),
      why: why ?? "",
    });
    onDone();
  };
  return (
    <View style={styles.list}>
      {concerns.length > 0 ? (
        <Notice
          kind="note"
          text={`${countOf(concerns.length, "concern is", "concerns are")} open: ${concerns.map(({ text }) => `“${text}”`).join(", ")}. It stays visible until somebody answers.`}
        />
      ) : null}
      {ungraded.length > 0 ? (
        <>
          <Words strong>{`${countOf(ungraded.length, "point")} nobody saw. Why?`}</Words>
          <Choices
            label="Why they were not seen"
            options={WHY.map((value) => ({ value, label: value }))}
            value={why}
            onChoose={setWhy}
          />
        </>
      ) : null}
      {state.odometerMiles === null ? <OdometerField view={view} /> : null}
      <Button
        kind="next"
        label={`Close ${sheet.title.toLowerCase()}`}
        disabled={ungraded.length > 0 && why === null}
        onPress={close}
        testID="close-sheet-sure"
      />
      <View style={styles.row}>
        {onBack ? <Button kind="quiet" label="Back to the points" onPress={onBack} /> : null}
        {undo ? <Button kind="quiet" icon={Undo2} label="Undo" onPress={undo} testID="undo" /> : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s }, row: { flexDirection: "row", gap: SPACE.l } });
