import { Controller, useFieldArray, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { PART_KINDS, PART_KIND_TITLES, markupDips, showMoney, type PartKind } from "@mechanon/core";
import type { z } from "zod";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Toggles } from "../ui/Toggles";
import { Words } from "../ui/Words";
import { MarkupCurve } from "./MarkupCurve";
import { bandsFault, withBand } from "./typedBands";
import { tableOf, type readPricing, type TypedPricing } from "./typedPricing";

export type PricingControl = Control<TypedPricing, unknown, z.output<typeof readPricing>>;

interface TableFieldsProps {
  control: PricingControl;
  index: number;
  suppliers: readonly { id: string; name: string }[];
  onUp: (() => void) | null;
  onRemove: () => void;
}

/** One markup table: what it is for, its bands, its curve. */
export function TableFields({ control, index, suppliers, onUp, onRemove }: TableFieldsProps) {
  const colors = useColors();
  const table = useWatch({ control, name: `tables.${index}` });
  const { fields, replace, remove } = useFieldArray({ control, name: `tables.${index}.bands`, keyName: "key" });
  const name = table.title.trim() || "this table";
  const fault = bandsFault({ ...table, mayDip: true });
  const dips = fault === null && !table.neverCheaper ? markupDips(tableOf(table)) : [];
  return (
    <View style={[styles.table, { borderColor: colors.hairline }]} role="group" aria-label={name}>
      <FormField control={control} name={`tables.${index}.title`} label="Table" maxLength={60} />
      <Controller
        control={control}
        name={`tables.${index}.kinds`}
        render={({ field }) => (
          <Toggles
            label={`Kinds of parts, ${name}; none is all`}
            options={PART_KINDS.map((value) => ({ value, label: PART_KIND_TITLES[value] }))}
            chosen={field.value}
            onChange={(chosen) =>
              field.onChange(chosen.filter((each): each is PartKind => PART_KINDS.some((kind) => kind === each)))
            }
          />
        )}
      />
      {suppliers.length > 0 ? (
        <Controller
          control={control}
          name={`tables.${index}.supplierIds`}
          render={({ field }) => (
            <Toggles
              label={`Only of these suppliers, ${name}`}
              options={suppliers.map(({ id, name: label }) => ({ value: id, label: `From ${label}` }))}
              chosen={field.value}
              onChange={field.onChange}
            />
          )}
        />
      ) : null}
      {fields.map(({ key }, band) => (
        <View key={key} style={styles.row} role="group" aria-label={`Band ${band + 1} of ${name}`}>
          {(["from", "upTo", "times"] as const).map((part) => (
            <View key={part} style={styles.field}>
              <FormField
                control={control}
                name={`tables.${index}.bands.${band}.${part}`}
                label={BAND_TITLES[part]}
                aria-label={`${BAND_TITLES[part]}, band ${band + 1} of ${name}`}
                placeholder={part === "upTo" ? "any" : undefined}
                inputMode="decimal"
              />
            </View>
          ))}
          {fields.length > 1 ? (
            <Button
              kind="quiet"
              label="✕"
              spoken={`✕ Take band ${band + 1} of ${name} out`}
              onPress={() => remove(band)}
            />
          ) : null}
        </View>
      ))}
      <Button
        kind="quiet"
        label="Add a band"
        spoken={`Add a band to ${name}`}
        onPress={() => replace(withBand(table.bands))}
      />
      <Controller
        control={control}
        name={`tables.${index}.neverCheaper`}
        render={({ field }) => (
          <Tick label="A dearer part never sells for less" value={field.value} onChange={field.onChange} />
        )}
      />
      <FormField
        control={control}
        name={`tables.${index}.ending`}
        label="Prices end in"
        hint="95 makes $12.10 to $12.95; empty: as they come"
        inputMode="numeric"
        maxLength={2}
      />
      {fault === null ? (
        <MarkupCurve table={tableOf(table)} />
      ) : (
        <Words tone="alarm" role="alert">
          {`✕ ${fault}`}
        </Words>
      )}
      {dips.map(({ cost, price, nextCost, nextPrice }) => (
        <Words key={cost} size="small" tone="alarm" figures>
          {`○ It dips: a part at ${showMoney(nextCost)} sells for ${showMoney(nextPrice)}, one at ${showMoney(cost)} for ${showMoney(price)}.`}
        </Words>
      ))}
      {dips.length > 0 ? (
        <Controller
          control={control}
          name={`tables.${index}.mayDip`}
          render={({ field }) => <Tick label="It may dip there" value={field.value} onChange={field.onChange} />}
        />
      ) : null}
      <View style={styles.acts}>
        {onUp ? <Button kind="quiet" label={`Move ${name} up`} onPress={onUp} /> : null}
        <Button kind="quiet" label={`Take ${name} off the list`} onPress={onRemove} />
      </View>
    </View>
  );
}

const BAND_TITLES = { from: "Cost from", upTo: "up to", times: "times" } as const;

const styles = StyleSheet.create({
  table: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "flex-end" },
  field: { flex: 1, minWidth: 0 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
