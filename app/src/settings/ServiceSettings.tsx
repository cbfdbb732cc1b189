import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { changesOfList, idOf, mergeLists, ownersInterval, type BusinessSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
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
import { IntervalFields } from "./IntervalFields";
import { useSettingsList } from "./useSettingsList";
import { begunFrom } from "./begunFrom";
import { intervalField } from "./intervalField";

const typedServices = z.object({
  base: begunFrom,
  services: z.array(ownersInterval.extend({ title: z.string(), miles: z.string(), months: z.string() })),
});
const services = typedServices.extend({
  services: z.array(ownersInterval.extend({ miles: intervalField("miles"), months: intervalField("months") })),
});
type Typed = z.input<typeof services>;

/** Services as they are typed; what is open is empty. */
function typedOf(settings: BusinessSettings): Typed {
  return {
    base: settings,
    services: settings.intervals.map((each) => ({
      ...each,
      miles: each.miles === null ? "" : String(each.miles),
      months: each.months === null ? "" : String(each.months),
    })),
  };
}

/** The owner's services: how often each is due where the spec sheet is not followed, and which jobs do it. */
export function ServiceSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Services">
        <WaitingRows label="Loading the services" />
      </Screen>
    );
  return <Services business={business} />;
}

function Services({ business }: { business: Business }) {
  const colors = useColors();
  const form = useForm<Typed, unknown, z.output<typeof services>>({
    resolver: zodResolver(services),
    defaultValues: typedOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/services", form, {}, typedServices);
  const { fields, append, remove } = useFieldArray({ control, name: "services", keyName: "key" });
  const typed = useWatch({ control, name: "services" });
  const [allJobsOf, setAllJobsOf] = useState<string | null>(null);
  const list = useSettingsList(
    "intervals",
    () => getValues("base"),
    (base, newest) => {
      const theirs = typedOf(newest);
      reset({ ...theirs, services: mergeLists(getValues("services"), typedOf(base).services, theirs.services, idOf) });
    },
  );
  const save = handleSubmit(
    ({ services: intervals }) =>
      list.save(
        (base, version) =>
          call(routes.changeIntervals, {
            body: { version, intervals: changesOfList(base.intervals, intervals, idOf) },
          }),
        "Saved. What is due goes by this from now on.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  return (
    <Screen
      title="Services"
      measured
      foot={
        <SaveFoot
          said={said}
          what="Saving the services"
          label="Save the services"
          onSave={save}
          testID="save-services"
        />
      }
    >
      <Heading level={1}>Services and how often</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedOf(business.settings));
        }}
      />
      <Words tone="muted">
        By miles or months, whichever comes first. Both empty: as the spec sheet of the car says. With a customer it can
        be agreed otherwise, on the car.
      </Words>
      {fields.map(({ key, id }, index) => {
        const { title = "", jobIds = [] } = typed[index] ?? {};
        const setJobs = (next: string[]): void =>
          setValue(`services.${index}.jobIds`, next, { shouldDirty: true, shouldTouch: true });
        return (
          <View key={key} style={[styles.service, { borderColor: colors.hairline }]}>
            <FormField control={control} name={`services.${index}.title`} label="Service" maxLength={80} />
            <IntervalFields
              control={control}
              miles={`services.${index}.miles`}
              months={`services.${index}.months`}
              of={title}
            />
            <Words size="small" strong>
              Done by these jobs
            </Words>
            {business.library
              .filter((job) => allJobsOf === id || job.area === "Service" || jobIds.includes(job.id))
              .map((job) => (
                <Tick
                  key={job.id}
                  label={job.title}
                  value={jobIds.includes(job.id)}
                  onChange={(on) => setJobs(on ? [...jobIds, job.id] : jobIds.filter((each) => each !== job.id))}
                />
              ))}
            {allJobsOf === id ? null : (
              <Button kind="quiet" label={`Other jobs that do ${title || "it"}`} onPress={() => setAllJobsOf(id)} />
            )}
            <Button kind="quiet" label={`Take ${title || "it"} off the list`} onPress={() => remove(index)} />
          </View>
        );
      })}
      <Button
        label="Add a service"
        onPress={() => append({ id: uuid(), title: "", miles: "", months: "", jobIds: [] })}
      />
    </Screen>
  );
}

const styles = StyleSheet.create({
  service: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
});
