import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { fillGaps, gapsOf, type ConcernGap, type ConcernPhrase } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness, useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { PickedConcern } from "./pickedConcern";

export interface PhraseEditorProps {
  concern: PickedConcern;
  /** The library's phrase it was picked from. */
  phrase: ConcernPhrase | undefined;
  gaps: readonly ConcernGap[];
  areas: readonly string[];
  onChange: (concern: PickedConcern) => void;
  onRemove: () => void;
}

const KINDS: readonly { value: PickedConcern["kind"]; label: string }[] = [
  { value: "fault", label: "Something is wrong" },
  { value: "wish", label: "They want it done" },
];

/** One picked concern: its gaps filled by touch, its words changed for this once, or kept for good. */
export function PhraseEditor({ concern, phrase, gaps, areas, onChange, onRemove }: PhraseEditorProps) {
  const colors = useColors();
  const [filled, setFilled] = useState<Record<string, string>>({});
  const [isEditing, setEditing] = useState(false);
  const open = phrase ? gapsOf(phrase.text).flatMap((name) => gaps.find((gap) => gap.name === name) ?? []) : [];
  const fill = (name: string, value: string): void => {
    const next = { ...filled, [name]: filled[name] === value ? "" : value };
    setFilled(next);
    onChange({ ...concern, text: fillGaps(phrase?.text ?? concern.text, next) });
  };
  const isPlain = phrase !== undefined && open.length === 0 && !isEditing;
  return (
    <View style={[styles.box, { borderColor: colors.petrol }]}>
      <View style={styles.row}>
        <Words strong style={styles.grow}>
          “{concern.text}”
        </Words>
        <Button kind="quiet" label={isEditing ? "Done" : "Change the words"} onPress={() => setEditing(!isEditing)} />
        {phrase ? null : <Button kind="quiet" label="Remove" onPress={onRemove} />}
      </View>
      {isPlain
        ? null
        : open.map(({ name, choices }) => (
            <Choices
              key={name}
              label={name}
              options={choices.map((value) => ({ value, label: value }))}
              value={filled[name] || null}
              onChoose={(value) => fill(name, value)}
            />
          ))}
      {phrase ? null : (
        <Choices
          label="What kind of concern"
          options={KINDS}
          value={concern.kind}
          onChoose={(kind) => onChange({ ...concern, kind })}
        />
      )}
      {isEditing ? (
        <Field
          label="Words for this once"
          value={concern.text}
          onChangeText={(text) => onChange({ ...concern, text })}
          maxLength={500}
          autoFocus
        />
      ) : null}
      {isEditing || !phrase ? <KeepForGood concern={concern} phrase={phrase} areas={areas} /> : null}
    </View>
  );
}

/** Keeps changed or own words in the library, for all. */
function KeepForGood({
  concern: { text, kind },
  phrase,
  areas,
}: Pick<PhraseEditorProps, "concern" | "phrase" | "areas">) {
  const queries = useQueryClient();
  const version = useBusiness()?.settings.versions.concerns ?? 1;
  const mayChange = useRight("settings");
  const [isAsking, setAsking] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const keep = async (area: string): Promise<void> => {
    try {
      if (phrase && mayChange) {
        const concerns = [{ from: phrase, to: { ...phrase, text: text.trim() } }];
        await call(routes.changeConcerns, { body: { version, concerns, concernGaps: [] } });
      } else await call(routes.keepPhrase, { body: { id: uuid(), text: text.trim(), kind, area } });
      setSaid("Kept in the library.");
      await queries.invalidateQueries({ queryKey: ["business"] });
    } catch (error) {
      setSaid(errorWords(error));
    }
    setAsking(false);
  };
  if (said)
    return (
      <Words size="small" tone="muted" role="status">
        {said}
      </Words>
    );
  if (text.trim() === "" || (phrase && text === fillGaps(phrase.text, {}))) return null;
  if (phrase && mayChange)
    return <Button kind="quiet" label="Change it for every call" onPress={() => void keep(phrase.area)} />;
  if (!isAsking) return <Button kind="quiet" label="Offer these words next time" onPress={() => setAsking(true)} />;
  return (
    <>
      <Words size="small" strong>
        In which area?
      </Words>
      <Choices
        label="Area of the new phrase"
        options={areas.map((value) => ({ value, label: value }))}
        value={null}
        onChoose={(area) => void keep(area)}
      />
    </>
  );
}

const styles = StyleSheet.create({
  box: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.xs },
  row: { flexDirection: "row", alignItems: "center", flexWrap: "wrap", columnGap: SPACE.l },
  grow: { flex: 1, minWidth: 140 },
});
