import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { businessSettings, fillGaps, gapsOf, mergeLists, type ConcernGap, type ConcernPhrase } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedState } from "../unsaved/useUnsavedState";
import { listed, readListed } from "./listed";
import { useSettingsList } from "./useSettingsList";

/** A gap as it is typed: its choices on one line. */
const typedGap = ({ name, choices }: ConcernGap): { name: string; choices: string } => ({
  name,
  choices: listed(choices),
});
const asItem = <Gap extends { name: string }>(gap: Gap): Gap & { id: string } => ({ ...gap, id: gap.name });

const typedConcerns = z.object({
  base: businessSettings,
  phrases: businessSettings.shape.concerns,
  gaps: z.array(z.object({ name: z.string(), choices: z.string() })),
});

const KINDS = [
  { value: "fault", label: "Fault" },
  { value: "wish", label: "Wish" },
] as const;

/** The library of concerns: its phrases by area, and what their gaps are filled with. */
export function ConcernSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Ready phrases">
        <Waiting label="Loading the phrases" />
      </Screen>
    );
  return <Library settings={business.settings} />;
}

function Library({ settings }: { settings: Business["settings"] }) {
  const colors = useColors();
  const unsaved = useUnsavedState("settings/concerns", typedConcerns, {
    base: settings,
    phrases: settings.concerns,
    gaps: settings.concernGaps.map(typedGap),
  });
  const { phrases, gaps, base: begunFrom } = unsaved.value;
  type Typed = typeof unsaved.value;
  const setPhrases = (next: Typed["phrases"] | ((mine: Typed["phrases"]) => Typed["phrases"])): void =>
    unsaved.set((typed) => ({ ...typed, phrases: typeof next === "function" ? next(typed.phrases) : next }));
  const setGaps = (next: Typed["gaps"] | ((mine: Typed["gaps"]) => Typed["gaps"])): void =>
    unsaved.set((typed) => ({ ...typed, gaps: typeof next === "function" ? next(typed.gaps) : next }));
  const [wanted, setWanted] = useState("");
  const [openId, setOpenId] = useState<string | null>(null);
  const { said, save: saveList } = useSettingsList("concerns", begunFrom, (base, newest) => {
    setPhrases((mine) => mergeLists(mine, base.concerns, newest.concerns));
    setGaps((mine) =>
      mergeLists(
        mine.map(asItem),
        base.concernGaps.map(typedGap).map(asItem),
        newest.concernGaps.map(typedGap).map(asItem),
      ).map(({ name, choices }) => ({ name, choices })),
    );
    unsaved.set((typed) => ({ ...typed, base: newest }));
  });
  const change = (id: string, part: Partial<ConcernPhrase>): void =>
    setPhrases(phrases.map((phrase) => (phrase.id === id ? { ...phrase, ...part } : phrase)));
  const shown = phrases.filter(({ text, area }) =>
    `${text} ${area}`.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  const areas = [...new Set(shown.map(({ area }) => area))];
  const unknown = [...new Set(phrases.flatMap(({ text }) => gapsOf(text)))].filter(
    (name) => !gaps.some((gap) => gap.name === name),
  );
  const save = (): Promise<void> => {
    const concernGaps = gaps.map(({ name, choices }) => ({ name, choices: readListed(choices) }));
    return saveList(
      (version) => call(routes.changeConcerns, { body: { version, concerns: phrases, concernGaps } }),
      "Saved. New work orders offer these phrases from now on.",
      unsaved.drop,
    );
  };
  const add = (): void => {
    const id = uuid();
    setPhrases([...phrases, { id, text: "", kind: "fault", area: areas[0] ?? "Service" }]);
    setWanted("");
    setOpenId(id);
  };
  return (
    <Screen
      title="Ready phrases"
      measured
      foot={
        <>
          {said ? <Notice kind={said.kind} text={said.text} /> : null}
          <Button kind="next" label="Save the phrases" onPress={() => void save()} testID="save-concerns" />
        </>
      }
    >
      <Heading level={1}>Ready phrases</Heading>
      <BackAgain isBack={unsaved.isBack} onGiveUp={unsaved.drop} />
      <Words tone="muted">
        A gap is written in braces, such as “Hums {"{when}"}”. Whoever writes a concern down fills it by touch, or
        leaves it open.
      </Words>
      <Field label="Search the phrases" value={wanted} onChangeText={setWanted} maxLength={60} autoComplete="off" />
      <Button label="Add a phrase" onPress={add} testID="add-phrase" />
      {areas.map((area) => (
        <View key={area} style={styles.list}>
          <Heading level={2}>{area}</Heading>
          {shown
            .filter((phrase) => phrase.area === area)
            .map((phrase) =>
              openId === phrase.id ? (
                <View key={phrase.id} style={[styles.open, { borderColor: colors.petrol }]}>
                  <Field
                    label="Phrase"
                    value={phrase.text}
                    onChangeText={(text) => change(phrase.id, { text })}
                    hint={`Without its gaps: ${fillGaps(phrase.text, {}) || "nothing yet"}`}
                    maxLength={200}
                  />
                  <Choices
                    label="Kind"
                    options={KINDS}
                    value={phrase.kind}
                    onChoose={(kind) => change(phrase.id, { kind })}
                  />
                  <Area value={phrase.area} onChange={(next) => change(phrase.id, { area: next })} />
                  <View style={styles.row}>
                    <Button label="Done" onPress={() => setOpenId(null)} />
                    <Button
                      kind="quiet"
                      label="Take it out"
                      onPress={() => setPhrases(phrases.filter(({ id }) => id !== phrase.id))}
                    />
                  </View>
                </View>
              ) : (
                <Press key={phrase.id} label={`Change ${phrase.text}`} onPress={() => setOpenId(phrase.id)}>
                  <Words tone="petrol">{phrase.text}</Words>
                </Press>
              ),
            )}
        </View>
      ))}
      {shown.length === 0 ? <Words tone="muted">No phrase has that in it.</Words> : null}
      <Heading level={2}>What gaps are filled with</Heading>
      {unknown.length > 0 ? (
        <Notice
          kind="note"
          text={`Nothing is offered yet for: ${unknown.join(", ")}.`}
          action={{
            label: "Add them below",
            onPress: () => setGaps([...gaps, ...unknown.map((name) => ({ name, choices: "" }))]),
          }}
        />
      ) : null}
      {gaps.map(({ name, choices }) => (
        <Field
          key={name}
          label={name}
          hint="Separated by commas"
          value={choices}
          onChangeText={(text) => setGaps(gaps.map((gap) => (gap.name === name ? { ...gap, choices: text } : gap)))}
          maxLength={1500}
        />
      ))}
    </Screen>
  );
}

/** The area is taken over when it is left, so that a phrase does not jump away with each letter. */
function Area({ value, onChange }: { value: string; onChange: (area: string) => void }) {
  const [typed, setTyped] = useState(value);
  return (
    <Field
      label="Area"
      value={typed}
      onChangeText={setTyped}
      onBlur={() => typed.trim() !== "" && onChange(typed.trim())}
      maxLength={60}
    />
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  open: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s },
});
