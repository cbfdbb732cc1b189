import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import {
  changesOfList,
  concernPhrase,
  fillGaps,
  gapsOf,
  idOf,
  mergeLists,
  nameOf,
  type BusinessSettings,
} from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { begunFrom } from "./begunFrom";
import { LinesField } from "./LinesField";
import { listed, readListed } from "./listed";
import { useSettingsList } from "./useSettingsList";

const typedConcerns = z.object({
  base: begunFrom,
  // Half typed they have no words yet.
  phrases: z.array(concernPhrase.extend({ text: z.string(), area: z.string() })),
  gaps: z.array(z.object({ name: z.string(), choices: z.string() })),
});
const concerns = typedConcerns.extend({
  phrases: z.array(concernPhrase),
  gaps: z.array(z.object({ name: z.string(), choices: z.string().transform(readListed) })),
});
type Typed = z.input<typeof concerns>;

/** Phrases and gaps as they are typed: the choices of a gap on one line. */
function typedOf(settings: BusinessSettings): Typed {
  return {
    base: settings,
    phrases: settings.concerns,
    gaps: settings.concernGaps.map(({ name, choices }) => ({ name, choices: listed(choices) })),
  };
}

/** Of ready causes and corrections. */
const READY = { length: 200, lines: 20 };

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
        <WaitingRows label="Loading the phrases" />
      </Screen>
    );
  return <Library settings={business.settings} />;
}

function Library({ settings }: { settings: Business["settings"] }) {
  const colors = useColors();
  const form = useForm<Typed, unknown, z.output<typeof concerns>>({
    resolver: zodResolver(concerns),
    defaultValues: typedOf(settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/concerns", form, {}, typedConcerns);
  const phraseList = useFieldArray({ control, name: "phrases", keyName: "key" });
  const gapList = useFieldArray({ control, name: "gaps", keyName: "key" });
  const phrases = useWatch({ control, name: "phrases" });
  const gaps = useWatch({ control, name: "gaps" });
  const [wanted, setWanted] = useState("");
  const [openId, setOpenId] = useState<string | null>(null);
  const list = useSettingsList(
    "concerns",
    () => getValues("base"),
    (before, newest) => {
      const [mine, base, theirs] = [getValues(), typedOf(before), typedOf(newest)];
      reset({
        base: newest,
        phrases: mergeLists(mine.phrases, base.phrases, theirs.phrases, idOf),
        gaps: mergeLists(mine.gaps, base.gaps, theirs.gaps, nameOf),
      });
    },
  );
  const shown = phrases
    .map((phrase, index) => ({ phrase, index }))
    .filter(({ phrase: { text, area } }) => `${text} ${area}`.toLowerCase().includes(wanted.trim().toLowerCase()));
  const areas = [...new Set(shown.map(({ phrase }) => phrase.area))];
  const unknown = [...new Set(phrases.flatMap(({ text }) => gapsOf(text)))].filter(
    (name) => !gaps.some((gap) => gap.name === name),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) =>
          call(routes.changeConcerns, {
            body: {
              version,
              concerns: changesOfList(base.concerns, read.phrases, idOf),
              concernGaps: changesOfList(base.concernGaps, read.gaps, nameOf),
            },
          }),
        "Saved. New work orders offer these phrases from now on.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    ({ phrases: faults }) => {
      // The phrase that does not fit may be folded.
      const first = Array.isArray(faults) ? faults.findIndex(Boolean) : -1;
      setWanted("");
      setOpenId(phrases[first]?.id ?? openId);
      list.doesNotFit();
    },
  );
  const { said } = list;
  const add = (): void => {
    const id = uuid();
    phraseList.append({ id, text: "", kind: "fault", area: areas[0] ?? "Service", causes: [], corrections: [] });
    setWanted("");
    setOpenId(id);
  };
  return (
    <Screen
      title="Ready phrases"
      measured
      foot={
        <SaveFoot said={said} what="Saving the phrases" label="Save the phrases" onSave={save} testID="save-concerns" />
      }
    >
      <Heading level={1}>Ready phrases</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedOf(settings));
        }}
      />
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
            .filter(({ phrase }) => phrase.area === area)
            .map(({ phrase: { id, text }, index }) =>
              openId === id ? (
                <View key={id} style={[styles.open, { borderColor: colors.petrol }]}>
                  <FormField
                    control={control}
                    name={`phrases.${index}.text`}
                    label="Phrase"
                    hint={`Without its gaps: ${fillGaps(text, {}) || "nothing yet"}`}
                    maxLength={200}
                  />
                  <Controller
                    control={control}
                    name={`phrases.${index}.kind`}
                    render={({ field }) => (
                      <Choices label="Kind" options={KINDS} value={field.value} onChoose={field.onChange} />
                    )}
                  />
                  <LinesField
                    label="What it usually turns out to be"
                    value={phrases[index]?.causes ?? []}
                    onChange={(causes) => setValue(`phrases.${index}.causes`, causes)}
                    most={READY}
                  />
                  <LinesField
                    label="What sets it right"
                    value={phrases[index]?.corrections ?? []}
                    onChange={(corrections) => setValue(`phrases.${index}.corrections`, corrections)}
                    most={READY}
                  />
                  <Area value={area} onChange={(next) => setValue(`phrases.${index}.area`, next)} />
                  <View style={styles.row}>
                    <Button label="Done" onPress={() => setOpenId(null)} />
                    <Button kind="quiet" label="Take it out" onPress={() => phraseList.remove(index)} />
                  </View>
                </View>
              ) : (
                <Press key={id} label={`Change ${text}`} onPress={() => setOpenId(id)}>
                  <Words tone="petrol">{text}</Words>
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
            onPress: () => gapList.append(unknown.map((name) => ({ name, choices: "" }))),
          }}
        />
      ) : null}
      {gapList.fields.map(({ key, name }, index) => (
        <FormField
          key={key}
          control={control}
          name={`gaps.${index}.choices`}
          label={name}
          hint="Separated by commas"
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
