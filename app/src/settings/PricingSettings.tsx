import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { countOf, pricingSettingsOf } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import { call } from "../api/call";
import { useBusiness, useRight, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Fold } from "../ui/Fold";
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
import { FeeFields } from "./FeeFields";
import { OfferFields } from "./OfferFields";
import { TableFields } from "./TableFields";
import { TaxFields } from "./TaxFields";
import { pricingOf, readPricing, typedPricing, typedPricingOf, type TypedPricing } from "./typedPricing";
import { useSettingsList } from "./useSettingsList";

/** How prices are made: markup tables, fees, discounts, taxes, the target margin. */
export function PricingSettings() {
  const business = useBusiness();
  const seesCost = useRight("seeCost");
  if (!business)
    return (
      <Screen title="Prices">
        <WaitingRows label="Loading the prices" />
      </Screen>
    );
  if (!seesCost)
    return (
      <Screen title="Prices">
        <Notice kind="note" text="Prices are made of costs, which you may not see. Whoever may sets them." />
      </Screen>
    );
  return <Prices business={business} />;
}

type Part = "tables" | "fees" | "offers" | "taxes" | "places";

function Prices({ business }: { business: Business }) {
  const colors = useColors();
  const form = useForm<TypedPricing, unknown, z.output<typeof readPricing>>({
    resolver: zodResolver(readPricing),
    defaultValues: typedPricingOf(business.settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/prices", form, {}, typedPricing);
  const tables = useFieldArray({ control, name: "tables", keyName: "key" });
  const fees = useFieldArray({ control, name: "fees", keyName: "key" });
  const offers = useFieldArray({ control, name: "offers", keyName: "key" });
  const places = useFieldArray({ control, name: "taxPlaces", keyName: "key" });
  const [typedPlaces, typedTaxes] = useWatch({ control, name: ["taxPlaces", "taxes"] });
  const [open, setOpen] = useState<Part | null>("tables");
  const list = useSettingsList(
    "pricing",
    () => getValues("base"),
    (_base, newest) => reset({ ...getValues(), base: newest }),
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base, version) => {
          const pricing = [{ from: pricingSettingsOf(base.rules), to: pricingOf(read) }];
          return call(routes.changePricing, { body: { version, pricing } });
        },
        "Saved. Quotes from now on go by this; open ones keep their rules and say where today’s differ.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    list.doesNotFit,
  );
  const { said } = list;
  const fold = (part: Part): { open: boolean; onToggle: () => void } => ({
    open: open === part,
    onToggle: () => setOpen(open === part ? null : part),
  });
  return (
    <Screen
      title="Prices"
      measured
      foot={
        <SaveFoot said={said} what="Saving the prices" label="Save the prices" onSave={save} testID="save-prices" />
      }
    >
      <Heading level={1}>Prices</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedPricingOf(business.settings));
        }}
      />
      <View style={styles.row}>
        <View style={styles.field}>
          <FormField
            control={control}
            name="target"
            label="Margin to reach, percent"
            hint="below it is said, never forbidden"
            inputMode="decimal"
          />
        </View>
        <View style={styles.field}>
          <FormField
            control={control}
            name="days"
            label="A quote is good for, days"
            hint="empty: no end"
            inputMode="numeric"
          />
        </View>
        <View style={styles.field}>
          <FormField
            control={control}
            name="tolerancePercent"
            label="A yes holds so much above its price, percent"
            hint="empty: to the cent"
            inputMode="decimal"
          />
        </View>
        <View style={styles.field}>
          <FormField
            control={control}
            name="toleranceAmount"
            label="and at most so much above"
            hint="empty: by the percent alone"
            inputMode="decimal"
          />
        </View>
      </View>
      <Fold title="Markup tables" line={countOf(tables.fields.length, "table")} {...fold("tables")}>
        <Words tone="muted">Of the tables that fit a part the first stands by itself.</Words>
        {tables.fields.map(({ key }, index) => (
          <TableFields
            key={key}
            control={control}
            index={index}
            suppliers={business.suppliers}
            onUp={index > 0 ? () => tables.move(index, index - 1) : null}
            onRemove={() => tables.remove(index)}
          />
        ))}
        <Button
          label="Add a table"
          onPress={() =>
            tables.append({
              ...{ id: uuid(), title: "", kinds: [], supplierIds: [], neverCheaper: true, ending: "", mayDip: false },
              bands: [{ from: "0.00", upTo: "", times: "1.5" }],
            })
          }
        />
      </Fold>
      <Fold title="Fees" line={countOf(fees.fields.length, "fee")} {...fold("fees")}>
        <Words tone="muted">They come and go with what they hang on.</Words>
        {fees.fields.map(({ key }, index) => (
          <FeeFields key={key} control={control} index={index} onRemove={() => fees.remove(index)} />
        ))}
        <Button
          label="Add a fee"
          onPress={() =>
            fees.append({ id: uuid(), title: "", price: "", what: "part", kinds: [], each: true, isUntaxed: false })
          }
        />
        <Heading level={2}>Shop supplies</Heading>
        <View style={styles.row}>
          <View style={styles.field}>
            <FormField
              control={control}
              name="suppliesPercent"
              label="Percent of labor"
              hint="empty: none"
              inputMode="decimal"
            />
          </View>
          <View style={styles.field}>
            <FormField
              control={control}
              name="suppliesCap"
              label="At most"
              hint="empty: no limit"
              inputMode="decimal"
            />
          </View>
        </View>
      </Fold>
      <Fold title="Discounts" line={countOf(offers.fields.length, "discount")} {...fold("offers")}>
        <Words tone="muted">By a code, by how the customer came; with neither one is chosen by hand.</Words>
        {offers.fields.map(({ key }, index) => (
          <OfferFields
            key={key}
            control={control}
            index={index}
            ways={business.settings.newcomers.foundUsBy}
            onRemove={() => offers.remove(index)}
          />
        ))}
        <Button
          label="Add a discount"
          onPress={() =>
            offers.append({ id: uuid(), title: "", on: "all", off: "", code: "", foundUsBy: "", until: "" })
          }
        />
      </Fold>
      <Fold title="Taxes" line={countOf(typedTaxes.length, "tax", "taxes")} {...fold("taxes")}>
        <Words tone="muted">They hold wherever no place below has its own.</Words>
        <TaxFields control={control} of="taxes" title="usual" />
      </Fold>
      <Fold title="Taxes by place" line={countOf(places.fields.length, "place")} {...fold("places")}>
        <Words tone="muted">
          Where the work is done decides: by the beginning of its postcode or by its town; the first place that fits
          stands.
        </Words>
        {places.fields.map(({ key }, index) => {
          const name = typedPlaces[index]?.title.trim() || "this place";
          return (
            <View key={key} style={[styles.place, { borderColor: colors.hairline }]} role="group" aria-label={name}>
              <FormField control={control} name={`taxPlaces.${index}.title`} label="Place" maxLength={60} />
              <FormField
                control={control}
                name={`taxPlaces.${index}.postcodes`}
                label="Postcodes begin with"
                aria-label={`Postcodes begin with, ${name}`}
                hint="982, 98101; several with commas"
              />
              <FormField
                control={control}
                name={`taxPlaces.${index}.towns`}
                label="Towns"
                aria-label={`Towns, ${name}`}
                hint="several with commas; with neither it holds everywhere"
              />
              <TaxFields control={control} of={`taxPlaces.${index}.taxes`} title={name} />
              <View style={styles.acts}>
                {index > 0 ? (
                  <Button kind="quiet" label={`Move ${name} up`} onPress={() => places.move(index, index - 1)} />
                ) : null}
                <Button kind="quiet" label={`Take ${name} off the list`} onPress={() => places.remove(index)} />
              </View>
            </View>
          );
        })}
        <Button
          label="Add a place"
          onPress={() => places.append({ id: uuid(), title: "", postcodes: "", towns: "", taxes: typedTaxes })}
        />
      </Fold>
    </Screen>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.m },
  field: { flexGrow: 1, flexBasis: 150 },
  place: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
