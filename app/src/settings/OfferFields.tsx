import { Controller, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import type { PricingControl } from "./TableFields";

const ON = [
  { value: "all", label: "Everything" },
  { value: "part", label: "Parts" },
  { value: "labor", label: "Labor" },
] as const;

interface OfferFieldsProps {
  control: PricingControl;
  index: number;
  /** How customers found us, as newcomers are asked. */
  ways: readonly string[];
  onRemove: () => void;
}

/** One discount of the owner's: what it takes off, and whose it is. */
export function OfferFields({ control, index, ways, onRemove }: OfferFieldsProps) {
  const colors = useColors();
  const offer = useWatch({ control, name: `offers.${index}` });
  const name = offer.title.trim() || "this discount";
  return (
    <View style={[styles.offer, { borderColor: colors.hairline }]} role="group" aria-label={name}>
      <View style={styles.row}>
        <View style={styles.title}>
          <FormField control={control} name={`offers.${index}.title`} label="Discount" maxLength={60} />
        </View>
        <View style={styles.off}>
          <FormField
            control={control}
            name={`offers.${index}.off`}
            label="Takes off"
            aria-label={`Takes off, ${name}`}
            hint="10% or 25.00"
          />
        </View>
      </View>
      <Controller
        control={control}
        name={`offers.${index}.on`}
        render={({ field }) => (
          <Choices even label={`Taken off, ${name}`} options={ON} value={field.value} onChoose={field.onChange} />
        )}
      />
      <View style={styles.row}>
        <View style={styles.title}>
          <FormField
            control={control}
            name={`offers.${index}.code`}
            label="By a code"
            aria-label={`By a code, ${name}`}
            maxLength={40}
            autoCapitalize="characters"
          />
        </View>
        <View style={styles.off}>
          <FormField
            control={control}
            name={`offers.${index}.until`}
            label="Until"
            aria-label={`Until, ${name}`}
            placeholder="2027-01-31"
            maxLength={10}
          />
        </View>
      </View>
      {ways.length > 0 ? (
        <Controller
          control={control}
          name={`offers.${index}.foundUsBy`}
          render={({ field }) => (
            <Choices
              label={`Who came by, ${name}`}
              options={[
                { value: "", label: "Whoever" },
                ...ways.map((way) => ({ value: way, label: `Came by: ${way}` })),
              ]}
              value={field.value}
              onChoose={field.onChange}
            />
          )}
        />
      ) : null}
      <Button kind="quiet" label={`Take ${name} off the list`} onPress={onRemove} />
    </View>
  );
}

const styles = StyleSheet.create({
  offer: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s },
  title: { flex: 2, minWidth: 0 },
  off: { flex: 1, minWidth: 0 },
});
