import { Controller, useFieldArray, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { KIND_TITLES, LINE_KINDS, type LineKind } from "@mechanon/core";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { Toggles } from "../ui/Toggles";
import type { PricingControl } from "./TableFields";

interface TaxFieldsProps {
  control: PricingControl;
  /** The usual taxes, or those of a place. */
  of: "taxes" | `taxPlaces.${number}.taxes`;
  /** Whose they are, for who hears it. */
  title: string;
}

/** Taxes: their rate, what they are taken of, and of a place from which day they hold. */
export function TaxFields({ control, of, title }: TaxFieldsProps) {
  const { fields, append, remove } = useFieldArray({ control, name: of, keyName: "key" });
  const typed = useWatch({ control, name: of });
  return (
    <View style={styles.list}>
      {fields.map(({ key }, index) => {
        const name = `${typed[index]?.name.trim() || "tax"}, ${title}`;
        return (
          <View key={key} style={styles.list} role="group" aria-label={name}>
            <View style={styles.row}>
              <View style={styles.wide}>
                <FormField
                  control={control}
                  name={`${of}.${index}.name`}
                  label="Tax"
                  aria-label={`Tax, ${title}`}
                  maxLength={60}
                />
              </View>
              <View style={styles.narrow}>
                <FormField
                  control={control}
                  name={`${of}.${index}.percent`}
                  label="Percent"
                  aria-label={`Percent, ${name}`}
                  inputMode="decimal"
                />
              </View>
              {of === "taxes" ? null : (
                <View style={styles.narrow}>
                  <FormField
                    control={control}
                    name={`${of}.${index}.from`}
                    label="Holds from"
                    aria-label={`Holds from, ${name}`}
                    placeholder="always"
                    maxLength={10}
                  />
                </View>
              )}
            </View>
            <Controller
              control={control}
              name={`${of}.${index}.on`}
              render={({ field }) => (
                <Toggles
                  label={`Taken of, ${name}`}
                  options={LINE_KINDS.map((value) => ({ value, label: KIND_TITLES[value] }))}
                  chosen={field.value}
                  onChange={(chosen) =>
                    field.onChange(chosen.filter((each): each is LineKind => LINE_KINDS.some((kind) => kind === each)))
                  }
                />
              )}
            />
            <Button kind="quiet" label="Take it off" spoken={`Take it off: ${name}`} onPress={() => remove(index)} />
          </View>
        );
      })}
      <Button
        kind="quiet"
        label="Add a tax"
        spoken={`Add a tax, ${title}`}
        onPress={() => append({ name: "", percent: "", on: ["part", "fee"], from: "" })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s },
  wide: { flex: 2, minWidth: 0 },
  narrow: { flex: 1, minWidth: 0 },
});
