import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { laborSettingsOf } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { RateWhen } from "./RateWhen";
import { laborOf, NEW_RATE, readRates, typedRates, typedRatesOf, type TypedRates } from "./typedRates";
import { whenWords } from "./whenWords";
import { WEEKDAYS } from "./typedCrew";
import { useSettingsList } from "./useSettingsList";

/** What an hour of labor costs, and when; what a diagnosis takes off the repair. */
export function RateSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Labor rates">
        <WaitingRows label="Loading the rates" />
      </Screen>
    );
  return <Rates business={business} />;
}

function Rates({ business }: { business: Business }) {
  const colors = useColors();
  const form = useForm<TypedRates, unknown, z.output<typeof readRates>>({
    resolver: zodResolver(readRates),
    defaultValues: typedRatesOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/rates", form, {}, typedRates);
  const { fields, append, remove, move } = useFieldArray({ control, name: "rates", keyName: "key" });
  const [typed, weekdays] = useWatch({ control, name: ["rates", "weekdays"] });
  const list = useSettingsList(
    "labor",
    () => getValues("base"),
    (_base, newest) => reset({ ...getValues(), base: newest }),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) => {
          const labor = [{ from: laborSettingsOf(base.rules), to: laborOf(read) }];
          return call(routes.changeLabor, { body: { version, labor } });
        },
        "Saved. Work orders from now on go by this; open ones keep the rates they were opened with.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  const [open, setOpen] = useState<string | null>(null);
  const add = (): void => {
    const id = uuid();
    append({ ...NEW_RATE, id });
    setOpen(id);
  };
  return (
    <Screen
      title="Labor rates"
      measured
      foot={<SaveFoot said={said} what="Saving the rates" label="Save the rates" onSave={save} testID="save-rates" />}
    >
      <Heading level={1}>Labor rates</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedRatesOf(business.settings));
        }}
      />
      <FormField control={control} name="general" label="General, an hour" inputMode="decimal" />
      <Words tone="muted">
        Of the rates below the first one that fits stands by itself; it says why, and another is a tap away on the line.
      </Words>
      {fields.map(({ key }, index) => {
        const rate = typed[index];
        const name = rate?.title || "this rate";
        return (
          <View key={key} style={[styles.rate, { borderColor: colors.hairline }]} role="group" aria-label={name}>
            <View style={styles.pair}>
              <View style={styles.title}>
                <FormField control={control} name={`rates.${index}.title`} label="Rate" maxLength={60} />
              </View>
              <View style={styles.price}>
                <FormField
                  control={control}
                  name={`rates.${index}.price`}
                  label="An hour"
                  aria-label={`An hour, ${name}`}
                  inputMode="decimal"
                />
              </View>
            </View>
            {rate ? (
              <Press
                label={`${name}: ${whenWords(rate.when, rate.years)}, change`}
                aria-expanded={open === rate.id}
                onPress={() => setOpen(open === rate.id ? null : rate.id)}
              >
                <Words tone="petrol">{whenWords(rate.when, rate.years)}</Words>
              </Press>
            ) : null}
            {rate && open === rate.id ? (
              <>
                <RateWhen
                  when={rate.when}
                  onChange={(when) => setValue(`rates.${index}.when`, when, { shouldDirty: true, shouldTouch: true })}
                />
                <FormField
                  control={control}
                  name={`rates.${index}.years`}
                  label="Only cars older than so many years"
                  inputMode="numeric"
                />
              </>
            ) : null}
            <View style={styles.acts}>
              {index > 0 ? (
                <Button kind="quiet" label={`Move ${name} up`} onPress={() => move(index, index - 1)} />
              ) : null}
              <Button kind="quiet" label={`Take ${name} off the list`} onPress={() => remove(index)} />
            </View>
          </View>
        );
      })}
      <Button label="Add a rate" onPress={() => add()} />
      <Heading level={2}>Hours of work</Heading>
      <Words tone="muted">A visit outside them is after hours; without a day none is.</Words>
      <View style={styles.days}>
        {WEEKDAYS.map((label, index) => (
          <Tick
            key={label}
            label={label}
            value={weekdays.includes(index + 1)}
            onChange={(on) =>
              setValue(
                "weekdays",
                WEEKDAYS.map((_, other) => other + 1).filter((day) =>
                  day === index + 1 ? on : weekdays.includes(day),
                ),
                { shouldDirty: true, shouldTouch: true },
              )
            }
          />
        ))}
      </View>
      <FormField control={control} name="from" label="From" />
      <FormField control={control} name="until" label="Until" />
      <Heading level={2}>Diagnosis</Heading>
      <FormField
        control={control}
        name="credit"
        label="Taken off the repair it led to, percent of the diagnosis"
        inputMode="numeric"
      />
    </Screen>
  );
}

const styles = StyleSheet.create({
  rate: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
  pair: { flexDirection: "row", gap: SPACE.s },
  title: { flex: 2 },
  price: { flex: 1 },
  days: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l },
});
