import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { z } from "zod";
import { changesOfList, idOf, type Finding, type InspectionPoint } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness, useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Toggles } from "../ui/Toggles";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";
import { noteWith, noteWithout, notesIn } from "./noteParts";

interface NoteFieldProps {
  workOrderId: string;
  point: InspectionPoint;
  finding: Finding;
  onNote: (note: string) => void;
}

const NOT_SEEN = ["No access", "Too hot", "Wheel stays on", "Covered", "They did not want it"];

/** What was seen, or why it was not: ready notes first, own words behind them, kept for good where wanted. */
export function NoteField({ workOrderId, point, finding, onNote }: NoteFieldProps) {
  const ready = finding.grade === "skipped" ? NOT_SEEN : point.notes;
  const [typed, setTyped, drop] = useUnsaved(`note/${workOrderId}/${point.id}`, z.string());
  const [isTyping, setTyping] = useState(typed !== null);
  const note = typed ?? finding.note;
  const chosen = notesIn(finding.note, ready);
  const toggle = (now: string[]): void => {
    const added = now.find((each) => !chosen.includes(each));
    const gone = chosen.find((each) => !now.includes(each));
    onNote(added ? noteWith(finding.note, added) : noteWithout(finding.note, gone ?? ""));
  };
  return (
    <View style={styles.list}>
      {ready.length > 0 ? (
        <Toggles
          label={`Ready notes, ${point.title}`}
          options={ready.map((each) => ({ value: each, label: each }))}
          chosen={chosen}
          onChange={toggle}
        />
      ) : null}
      {isTyping || ready.length === 0 ? (
        <Field
          label={`Note on ${point.title}`}
          value={note}
          onChangeText={setTyped}
          maxLength={500}
          onBlur={() => {
            if (note !== finding.note) onNote(note.trim());
            drop();
          }}
        />
      ) : (
        <Button kind="quiet" label="In own words" onPress={() => setTyping(true)} style={styles.start} />
      )}
      {finding.grade === "skipped" ? null : <KeepForGood point={point} note={finding.note} />}
    </View>
  );
}

/** Makes own words a ready note of the point, for all who come after. */
function KeepForGood({ point, note }: { point: InspectionPoint; note: string }) {
  const business = useBusiness();
  const maySet = useRight("settings");
  const queries = useQueryClient();
  const [said, say] = useState<string | null>(null);
  const kept = business?.settings.inspection.find(({ id }) => id === point.id);
  if (!maySet || !business || !kept || note.trim() === "" || kept.notes.some((each) => note.includes(each)))
    return said === null ? null : <Words size="small">{said}</Words>;
  const keep = async (): Promise<void> => {
    const { inspection, versions } = business.settings;
    const after = inspection.map((each) =>
      each.id === point.id ? { ...each, notes: [...each.notes, note.trim().slice(0, 200)].slice(-20) } : each,
    );
    try {
      await call(routes.changeInspection, {
        body: { version: versions.inspection, inspection: changesOfList(inspection, after, idOf), sheets: [] },
      });
      await queries.invalidateQueries({ queryKey: ["business"] });
      say("Kept. It is ready with this point from now on.");
    } catch (error) {
      say(errorWords(error));
    }
  };
  return (
    <View>
      <Button kind="quiet" label="Keep it as a ready note" onPress={() => void keep()} style={styles.start} />
      {said === null ? null : <Words size="small">{said}</Words>}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s }, start: { alignSelf: "flex-start" } });
