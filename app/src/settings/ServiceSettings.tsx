import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { businessSettings, mergeLists, type BusinessSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedState } from "../unsaved/useUnsavedState";
import { IntervalFields } from "./IntervalFields";
import { useSettingsList } from "./useSettingsList";
import { intervalFault } from "./intervalFault";
import { wholeNumber } from "./wholeNumber";

/** Services as they are typed; what is open is empty. */
const typed = ({ intervals }: BusinessSettings) =>
  intervals.map((each) => ({
    ...each,
    miles: each.miles === null ? "" : String(each.miles),
    months: each.months === null ? "" : String(each.months),
  }));

const typedServices = z.object({
  base: businessSettings,
  services: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      miles: z.string(),
      months: z.string(),
      jobIds: z.array(z.string()),
    }),
  ),
});

/** The owner's services: how often each is due where the spec sheet is not followed, and which jobs do it. */
export function ServiceSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Services">
        <Waiting label="Loading the services" />
      </Screen>
    );
  return <Services business={business} />;
}

function Services({ business }: { business: Business }) {
  const colors = useColors();
  const unsaved = useUnsavedState("settings/services", typedServices, {
    base: business.settings,
    services: typed(business.settings),
  });
  const { services, base: begunFrom } = unsaved.value;
  const setServices = (next: typeof services): void => unsaved.set((before) => ({ ...before, services: next }));
  const [allJobsOf, setAllJobsOf] = useState<string | null>(null);
  const {
    said,
    say,
    save: saveList,
  } = useSettingsList("intervals", begunFrom, (base, newest) =>
    unsaved.set((mine) => ({ base: newest, services: mergeLists(mine.services, typed(base), typed(newest)) })),
  );
  const change = (id: string, part: Partial<(typeof services)[number]>): void => {
    say(null);
    setServices(services.map((service) => (service.id === id ? { ...service, ...part } : service)));
  };
  const save = async (): Promise<void> => {
    const wrong = services.find(
      ({ miles, months }) => intervalFault("miles", miles) !== null || intervalFault("months", months) !== null,
    );
    if (wrong)
      return say({
        kind: "fault",
        text: `How often ${wrong.title || "a service"} is due does not fit yet. Nothing was saved; put it right.`,
      });
    const intervals = services.map((service) => ({
      ...service,
      miles: wholeNumber(service.miles),
      months: wholeNumber(service.months),
    }));
    await saveList(
      (version) => call(routes.changeIntervals, { body: { version, intervals } }),
      "Saved. What is due goes by this from now on.",
      unsaved.drop,
    );
  };
  return (
    <Screen
      title="Services"
      measured
      foot={
        <>
          {said ? <Notice kind={said.kind} text={said.text} /> : null}
          <Button kind="next" label="Save the services" onPress={() => void save()} testID="save-services" />
        </>
      }
    >
      <Heading level={1}>Services and how often</Heading>
      <BackAgain isBack={unsaved.isBack} onGiveUp={unsaved.drop} />
      <Words tone="muted">
        By miles or months, whichever comes first. Both empty: as the spec sheet of the car says. With a customer it can
        be agreed otherwise, on the car.
      </Words>
      {services.map(({ id, title, miles, months, jobIds }) => (
        <View key={id} style={[styles.service, { borderColor: colors.hairline }]}>
          <Field label="Service" value={title} onChangeText={(text) => change(id, { title: text })} maxLength={80} />
          <IntervalFields miles={miles} months={months} onChange={(typed) => change(id, typed)} of={title} />
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
                onChange={(on) =>
                  change(id, { jobIds: on ? [...jobIds, job.id] : jobIds.filter((each) => each !== job.id) })
                }
              />
            ))}
          {allJobsOf === id ? null : (
            <Button kind="quiet" label={`Other jobs that do ${title || "it"}`} onPress={() => setAllJobsOf(id)} />
          )}
          <Button
            kind="quiet"
            label={`Take ${title || "it"} off the list`}
            onPress={() => setServices(services.filter((each) => each.id !== id))}
          />
        </View>
      ))}
      <Button
        label="Add a service"
        onPress={() => setServices([...services, { id: uuid(), title: "", miles: "", months: "", jobIds: [] }])}
      />
    </Screen>
  );
}

const styles = StyleSheet.create({
  service: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
});
