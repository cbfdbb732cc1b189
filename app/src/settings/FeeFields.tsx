import { Controller, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { PART_KINDS, PART_KIND_TITLES, type PartKind } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Toggles } from "../ui/Toggles";
import type { PricingControl } from "./TableFields";

const WHAT = [
  { value: "part", label: "Parts" },
  { value: "labor", label: "Labor" },
  { value: "afterHours", label: "After hours" },
] as const;

interface FeeFieldsProps {
  control: PricingControl;
  index: number;
  onRemove: () => void;
}

/** One fee of the owner's, and what it hangs on. */
export function FeeFields({ control, index, onRemove }: FeeFieldsProps) {
  const colors = useColors();
  const fee = useWatch({ control, name: `fees.${index}` });
  const name = fee.title.trim() || "this fee";
  return (
    <View style={[styles.fee, { borderColor: colors.hairline }]} role="group" aria-label={name}>
      <View style={styles.row}>
        <View style={styles.title}>
          <FormField control={control} name={`fees.${index}.title`} label="Fee" maxLength={60} />
        </View>
        <View style={styles.price}>
          <FormField
            control={control}
            name={`fees.${index}.price`}
            label="Price"
            aria-label={`Price, ${name}`}
            inputMode="decimal"
          />
        </View>
      </View>
      <Controller
        control={control}
        name={`fees.${index}.what`}
        render={({ field }) => (
          <Choices even label={`What ${name} hangs on`} options={WHAT} value={field.value} onChoose={field.onChange} />
        )}
      />
      {fee.what === "part" ? (
        <>
          <Controller
            control={control}
            name={`fees.${index}.kinds`}
            render={({ field }) => (
              <Toggles
                label={`Kinds of parts, ${name}`}
                options={PART_KINDS.map((value) => ({ value, label: PART_KIND_TITLES[value] }))}
                chosen={field.value}
                onChange={(chosen) =>
                  field.onChange(chosen.filter((each): each is PartKind => PART_KINDS.some((kind) => kind === each)))
                }
              />
            )}
          />
          <Controller
            control={control}
            name={`fees.${index}.each`}
            render={({ field }) => (
              <Tick label="For each part, not once a job" value={field.value} onChange={field.onChange} />
            )}
          />
        </>
      ) : null}
      <Controller
        control={control}
        name={`fees.${index}.isUntaxed`}
        render={({ field }) => <Tick label="Set by law: no tax on it" value={field.value} onChange={field.onChange} />}
      />
      <Button kind="quiet" label={`Take ${name} off the list`} onPress={onRemove} />
    </View>
  );
}

const styles = StyleSheet.create({
  fee: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s },
  title: { flex: 2, minWidth: 0 },
  price: { flex: 1, minWidth: 0 },
});
