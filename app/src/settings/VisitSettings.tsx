import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useForm, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { QUESTION_WORDS } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
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
import { readVisits, typedVisits, typedVisitsOf, visitsOf, type TypedVisits } from "./typedVisits";
import { useSettingsList } from "./useSettingsList";

type VisitControl = Control<TypedVisits, unknown, z.output<typeof readVisits>>;

const ON = [
  { value: "first", label: "On the first car" },
  { value: "shared", label: "Shared by the cars" },
] as const;

/** What stands about visits: set-up, call-out, calling off, rain, and what answers at the call mean. */
export function VisitSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Visits">
        <WaitingRows label="Loading" />
      </Screen>
    );
  return <Visits business={business} />;
}

function Visits({ business }: { business: Business }) {
  const form = useForm<TypedVisits, unknown, z.output<typeof readVisits>>({
    resolver: zodResolver(readVisits),
    defaultValues: typedVisitsOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/visits", form, {}, typedVisits);
  const list = useSettingsList(
    "visits",
    () => getValues("base"),
    (_base, newest) => reset({ ...getValues(), base: newest }),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) =>
          call(routes.changeVisits, { body: { version, visits: [{ from: base.visits, to: visitsOf(read) }] } }),
        "Saved. Visits booked from now on go by this.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  return (
    <Screen title="Visits" measured foot={<SaveFoot said={said} onSave={save} testID="save-visits" />}>
      <Heading level={1}>Visits</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedVisitsOf(business.settings));
        }}
      />
      <FormField control={control} name="setUp" label="Set-up at each visit, minutes" inputMode="numeric" />
      <Heading level={2}>Coming out</Heading>
      <FormField
        control={control}
        name="callOut"
        label="Call-out, once for each trip; empty: nothing"
        inputMode="decimal"
      />
      <FormField
        control={control}
        name="callOutByMiles"
        label="By miles from the shop instead"
        hint="10: 35.00, 25: 60.00, any: 90.00; empty: the same everywhere"
      />
      <Controller
        control={control}
        name="callOutOn"
        render={({ field }) => (
          <Choices label="With several cars on one trip" options={ON} value={field.value} onChoose={field.onChange} />
        )}
      />
      <Heading level={2}>Called off late, or nobody there</Heading>
      <FormField control={control} name="fee" label="Fee; empty: none" inputMode="decimal" />
      <FormField control={control} name="notice" label="Late is less notice than so many hours" inputMode="numeric" />
      <FormField
        control={control}
        name="terms"
        label="The terms, as the customer is told them"
        multiline
        maxLength={500}
      />
      <Heading level={2}>Rain</Heading>
      <FormField control={control} name="wet" label="Wet is rain at least so likely, percent" inputMode="numeric" />
      <FormField control={control} name="answerBy" label="Who has not answered by then is called" maxLength={12} />
      <Heading level={2}>What an answer at the call means</Heading>
      <Rules control={control} />
    </Screen>
  );
}

function Rules({ control }: { control: VisitControl }) {
  const rules = useWatch({ control, name: "rules" });
  const [open, setOpen] = useState<number | null>(null);
  return rules.map(({ question, on, minutes, skill, isUrgent }, index) => {
    const { asks, yes, no } = QUESTION_WORDS[question];
    const means = [
      minutes === "0" || minutes === "" ? "" : `+${minutes} min`,
      skill.trim() === "" ? "" : `takes ${skill.trim()}`,
      isUrgent ? "urgent" : "",
    ].filter(Boolean);
    const name = on ? yes : no;
    if (open !== index)
      return (
        <Button
          key={`${question} ${on}`}
          kind="quiet"
          label={`${asks} ${on ? "Yes" : "No"}: ${means.join(", ") || "nothing more"}`}
          onPress={() => setOpen(index)}
        />
      );
    return (
      <View key={`${question} ${on}`} style={styles.rule} role="group" aria-label={name}>
        <Words strong>{`${asks} ${on ? "Yes" : "No"}`}</Words>
        <FormField
          control={control}
          name={`rules.${index}.minutes`}
          label="Minutes more"
          aria-label={`Minutes more, ${name}`}
          inputMode="numeric"
        />
        <FormField
          control={control}
          name={`rules.${index}.skill`}
          label="Skill it takes"
          aria-label={`Skill it takes, ${name}`}
          maxLength={60}
        />
        <Controller
          control={control}
          name={`rules.${index}.isUrgent`}
          render={({ field }) => <Tick label="Urgent: soonest first" value={field.value} onChange={field.onChange} />}
        />
      </View>
    );
  });
}

const styles = StyleSheet.create({ rule: { gap: SPACE.s } });
