import { zodResolver } from "@hookform/resolvers/zod";
import { useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { changesOfList, mergeLists, showMoney, type PersonPay } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, useRight, type Business } from "../session/useSession";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { PAY_CHOICES, readPay, typedPay, typedPayOf, type TypedPay } from "./typedPay";
import { useSettingsList } from "./useSettingsList";

const personOf = ({ personId }: { personId: string }): string => personId;

/** How each person is paid for labor; for who may see cost. */
export function PaySettings() {
  const business = useBusiness();
  const seesCost = useRight("seeCost");
  if (!business)
    return (
      <Screen title="Pay">
        <WaitingRows label="Loading" />
      </Screen>
    );
  if (!seesCost)
    return (
      <Screen title="Pay">
        <Notice kind="note" text="How people are paid is for who may see cost. The owner can give you that right." />
      </Screen>
    );
  return <Pay business={business} />;
}

function Pay({ business }: { business: Business }) {
  const colors = useColors();
  const { people, settings } = business;
  const form = useForm<TypedPay, unknown, z.output<typeof readPay>>({
    resolver: zodResolver(readPay),
    defaultValues: typedPayOf(settings, people),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/pay", form, {}, typedPay);
  const typed = useWatch({ control, name: "people" });
  const list = useSettingsList(
    "pay",
    () => getValues("base"),
    (base, newest) => {
      const theirs = typedPayOf(newest, people);
      const mine = getValues("people");
      reset({ ...theirs, people: mergeLists(mine, typedPayOf(base, people).people, theirs.people, personOf) });
    },
  );
  const save = handleSubmit(({ people: read }) => {
    const pay = read.filter((each): each is PersonPay => each !== null);
    return list.save(
      (base, version) =>
        call(routes.changePay, { body: { version, pay: changesOfList(base.rules.pay ?? [], pay, personOf) } }),
      "Saved. Work orders from now on go by this; open ones keep the pay they were opened with.",
      (newest) => {
        setValue("base", newest);
        drop();
      },
    );
  }, list.doesNotFit);
  const { said } = list;
  return (
    <Screen
      title="Pay"
      measured
      foot={<SaveFoot said={said} what="Saving how people are paid" onSave={save} testID="save-pay" />}
    >
      <Heading level={1}>How people are paid</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedPayOf(settings, people));
        }}
      />
      <Words tone="muted" figures>
        {`For the labor they do: it is what the margin counts. The house’s wage is ${showMoney(settings.rules.wageCents ?? 0)} for a credited hour.`}
      </Words>
      {typed.map(({ personId, name, by }, index) => (
        <View key={personId} style={[styles.person, { borderColor: colors.hairline }]} role="group" aria-label={name}>
          <Words strong>{name}</Words>
          <Choices
            label={`How ${name} is paid`}
            options={PAY_CHOICES}
            value={by}
            onChoose={(value) => setValue(`people.${index}.by`, value, { shouldDirty: true, shouldTouch: true })}
          />
          {by === "house" ? null : (
            <FormField
              control={control}
              name={`people.${index}.figure`}
              label={by === "commission" ? `Percent of the labor, ${name}` : `An hour, ${name}`}
              inputMode="decimal"
            />
          )}
        </View>
      ))}
    </Screen>
  );
}

const styles = StyleSheet.create({ person: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s } });
