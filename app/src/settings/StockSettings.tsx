import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { PART_KINDS, PART_KIND_TITLES, changesOfList, idOf, mergeLists } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, useMe, useRight, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Row } from "../ui/Row";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { readStock, stockOf, typedStock, typedStockOf, type TypedStock } from "./typedStock";
import { useSettingsList } from "./useSettingsList";

/** What is on each van, and what it cost. */
export function StockSettings() {
  const business = useBusiness();
  const seesCost = useRight("seeCost");
  if (!business)
    return (
      <Screen title="On the vans">
        <WaitingRows label="Loading the vans" />
      </Screen>
    );
  if (!seesCost)
    return (
      <Screen title="On the vans">
        <Notice
          kind="note"
          text="What is on the vans is kept with its cost, which you may not see. Whoever may sets it."
        />
      </Screen>
    );
  return <Stock business={business} />;
}

function Stock({ business }: { business: Business }) {
  const colors = useColors();
  const { me } = useMe();
  const form = useForm<TypedStock, unknown, z.output<typeof readStock>>({
    resolver: zodResolver(readStock),
    defaultValues: typedStockOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/stock", form, {}, typedStock);
  const { fields, append, remove } = useFieldArray({ control, name: "items", keyName: "key" });
  const items = useWatch({ control, name: "items" });
  const [open, setOpen] = useState<string | null>(null);
  const list = useSettingsList(
    "stock",
    () => getValues("base"),
    (base, newest) => {
      const theirs = typedStockOf(newest);
      reset({ ...theirs, items: mergeLists(getValues("items"), typedStockOf(base).items, theirs.items, idOf) });
    },
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) =>
          call(routes.changeStock, { body: { version, stock: changesOfList(base.stock, stockOf(read), idOf) } }),
        "Saved. Quotes take parts from the vans at these costs from now on.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  const vans = business.people.filter(({ isMechanic }) => isMechanic);
  return (
    <Screen
      title="On the vans"
      measured
      foot={
        <SaveFoot
          said={said}
          what="Saving what is on the vans"
          label="Save the vans"
          onSave={save}
          testID="save-stock"
        />
      }
    >
      <Heading level={1}>On the vans</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedStockOf(business.settings));
        }}
      />
      {fields.length === 0 ? (
        <Words tone="muted">
          Nothing is kept of any van yet. Add the parts that ride along; quotes take them from there.
        </Words>
      ) : null}
      {fields.map(({ key }, index) => {
        const item = items[index];
        if (!item) return null;
        const name = item.title.trim() || "new part";
        const van = vans.find(({ id }) => id === item.personId)?.name ?? "Nobody’s van";
        const isOpen = open === item.id;
        return (
          <View key={key} style={[styles.item, { borderColor: colors.hairline }]} role="group" aria-label={name}>
            <Press
              label={`${name}, ${item.count} on ${van}’s van, change`}
              aria-expanded={isOpen}
              onPress={() => setOpen(isOpen ? null : item.id)}
            >
              <Row left={name} right={`${item.count || "0"} ×`} />
              <Words
                size="small"
                tone="muted"
              >{`${van}${item.partNumber ? `, ${item.brand} ${item.partNumber}` : ""}`}</Words>
            </Press>
            {isOpen ? (
              <>
                <FormField control={control} name={`items.${index}.title`} label="What it is" maxLength={200} />
                <View style={styles.row}>
                  {(["count", "cost", "price"] as const).map((part) => (
                    <View key={part} style={styles.field}>
                      <FormField
                        control={control}
                        name={`items.${index}.${part}`}
                        label={FIGURES[part]}
                        aria-label={`${FIGURES[part]}, ${name}`}
                        placeholder={part === "price" ? "by the table" : undefined}
                        inputMode="decimal"
                      />
                    </View>
                  ))}
                </View>
                <View style={styles.row}>
                  <View style={styles.field}>
                    <FormField control={control} name={`items.${index}.brand`} label="Brand" maxLength={60} />
                  </View>
                  <View style={styles.field}>
                    <FormField
                      control={control}
                      name={`items.${index}.partNumber`}
                      label="Part number"
                      maxLength={60}
                    />
                  </View>
                </View>
                <FormField
                  control={control}
                  name={`items.${index}.codes`}
                  label="Barcodes"
                  hint="several with commas"
                  maxLength={400}
                />
                <Controller
                  control={control}
                  name={`items.${index}.partKind`}
                  render={({ field }) => (
                    <Choices
                      label={`Kind of ${name}`}
                      options={PART_KINDS.map((value) => ({ value, label: PART_KIND_TITLES[value] }))}
                      value={field.value}
                      onChoose={field.onChange}
                    />
                  )}
                />
                <Controller
                  control={control}
                  name={`items.${index}.personId`}
                  render={({ field }) => (
                    <Choices
                      label={`Whose van, ${name}`}
                      options={vans.map(({ id, name: label }) => ({ value: id, label }))}
                      value={field.value}
                      onChoose={field.onChange}
                    />
                  )}
                />
                <Button kind="quiet" label={`Take ${name} off the van`} onPress={() => remove(index)} />
              </>
            ) : null}
          </View>
        );
      })}
      <Button
        label="Add a part"
        onPress={() => {
          const id = uuid();
          const personId = vans.find((van) => van.id === me?.id)?.id ?? vans[0]?.id ?? "";
          append({
            ...{ id, personId, title: "", brand: "", partNumber: "", codes: "" },
            ...{ partKind: "aftermarket", cost: "", price: "", count: "1" },
          });
          setOpen(id);
        }}
      />
    </Screen>
  );
}

const FIGURES = { count: "How many", cost: "Cost each", price: "Price of its own" } as const;

const styles = StyleSheet.create({
  item: { borderTopWidth: 1, paddingTop: SPACE.s, gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.m },
  field: { flexGrow: 1, flexBasis: 100 },
});
