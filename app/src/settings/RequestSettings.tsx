import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useFieldArray, useForm, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { AskAddress } from "./AskAddress";
import { PickedField } from "./PickedField";
import { readRequests, requestsOf, typedRequests, typedRequestsOf, type TypedRequests } from "./typedRequests";
import { useSettingsList } from "./useSettingsList";

type RequestControl = Control<TypedRequests, unknown, z.output<typeof readRequests>>;

/** What customers may ask for by themselves, on what terms, and where the page is. */
export function RequestSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Requests">
        <WaitingRows label="Loading" />
      </Screen>
    );
  return <Requests business={business} />;
}

function Requests({ business }: { business: Business }) {
  const form = useForm<TypedRequests, unknown, z.output<typeof readRequests>>({
    resolver: zodResolver(readRequests),
    defaultValues: typedRequestsOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/requests", form, {}, typedRequests);
  const list = useSettingsList(
    "requests",
    () => getValues("base"),
    (_base, newest) => reset({ ...getValues(), base: newest }),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) =>
          call(routes.changeRequests, { body: { version, requests: [{ from: base.requests, to: requestsOf(read) }] } }),
        "Saved. The page says it so from now on.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  return (
    <Screen title="Requests" measured foot={<SaveFoot said={said} onSave={save} testID="save-requests" />}>
      <Heading level={1}>Customers ask for a visit</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedRequestsOf(business.settings));
        }}
      />
      <AskAddress />
      <Controller
        control={control}
        name="isOpen"
        render={({ field }) => (
          <Tick label="Customers can ask on the page now" value={field.value} onChange={field.onChange} />
        )}
      />
      <Heading level={2}>What they may ask for</Heading>
      <Wishes control={control} business={business} />
      <Heading level={2}>On what terms</Heading>
      <FormField
        control={control}
        name="diagnosis"
        label="Finding out what it is; empty: nothing is said"
        inputMode="decimal"
      />
      <Words size="small" tone="muted">
        Coming out, and what calling off costs, stand under “Visits”.
      </Words>
      <FormField
        control={control}
        name="termsSpanish"
        label="The terms for calling off, in Spanish; empty: as in English"
        multiline
        maxLength={500}
      />
      <FormField
        control={control}
        name="changeHours"
        label="They move and call off themselves until so many hours before"
        inputMode="numeric"
      />
      <FormField
        control={control}
        name="holdHours"
        label="A time that was asked for is kept so many hours"
        inputMode="numeric"
      />
      <FormField
        control={control}
        name="linkDays"
        label="Links to their private page open so many days"
        inputMode="numeric"
      />
      <Heading level={2}>Pages that may show it inside</Heading>
      <FormField
        control={control}
        name="origins"
        label="Their fronts, one in each line, like https://www.example.com"
        multiline
        autoCapitalize="none"
      />
    </Screen>
  );
}

function Wishes({ control, business }: { control: RequestControl; business: Business }) {
  const { fields, append, remove } = useFieldArray({ control, name: "wishes", keyName: "key" });
  const wishes = useWatch({ control, name: "wishes" });
  const [open, setOpen] = useState<number | null>(null);
  const { concerns } = business.settings;
  return (
    <View style={styles.list}>
      {fields.map(({ key }, index) => {
        const { en = "", es = "" } = wishes[index] ?? {};
        if (open !== index)
          return (
            <Button
              key={key}
              kind="quiet"
              label={en === "" ? "A new wish" : `${en} / ${es}`}
              onPress={() => setOpen(index)}
            />
          );
        return (
          <View key={key} style={styles.list} role="group" aria-label={en || "A new wish"}>
            <FormField control={control} name={`wishes.${index}.en`} label="In English" maxLength={80} />
            <FormField control={control} name={`wishes.${index}.es`} label="In Spanish" maxLength={80} />
            <Controller
              control={control}
              name={`wishes.${index}.phraseId`}
              render={({ field }) => (
                <PickedField
                  title="The concern it becomes; none: its own words"
                  level={3}
                  label="Find a ready phrase"
                  items={concerns.map(({ id, text }) => ({ id, title: text }))}
                  chosen={field.value === null ? [] : [field.value]}
                  onChange={(ids) => field.onChange(ids.at(-1) ?? null)}
                />
              )}
            />
            <Controller
              control={control}
              name={`wishes.${index}.jobId`}
              render={({ field }) => (
                <PickedField
                  title="The job that does it; none: it is found out first"
                  level={3}
                  label="Find a job"
                  items={business.library.map(({ id, title }) => ({ id, title }))}
                  chosen={field.value === null ? [] : [field.value]}
                  onChange={(ids) => field.onChange(ids.at(-1) ?? null)}
                />
              )}
            />
            <Button
              kind="quiet"
              label="Take it out"
              onPress={() => {
                setOpen(null);
                remove(index);
              }}
            />
          </View>
        );
      })}
      <Button
        label="Add a wish"
        onPress={() => {
          append({ id: uuid(), en: "", es: "", phraseId: null, jobId: null });
          setOpen(fields.length);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
