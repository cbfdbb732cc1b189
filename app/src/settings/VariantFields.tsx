import { useFieldArray, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { z } from "zod";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { newTypedVariant, newTypedVariantPart, type readJob, type TypedJob } from "./typedJob";

type JobControl = Control<TypedJob, unknown, z.output<typeof readJob>>;

/** Other qualities of a job, each with the parts that are others in it. */
export function VariantFields({ control }: { control: JobControl }) {
  const { fields, append, remove } = useFieldArray({ control, name: "variants", keyName: "key" });
  return (
    <View style={styles.list}>
      <Heading level={2}>Other qualities</Heading>
      {fields.map(({ key }, index) => (
        <Variant key={key} control={control} index={index} onRemove={() => remove(index)} />
      ))}
      <Button kind="quiet" label="Add a quality" onPress={() => append(newTypedVariant())} />
    </View>
  );
}

function Variant({ control, index, onRemove }: { control: JobControl; index: number; onRemove: () => void }) {
  const { fields, append, remove } = useFieldArray({ control, name: `variants.${index}.parts`, keyName: "key" });
  const lines = useWatch({ control, name: "lines" });
  const name = useWatch({ control, name: `variants.${index}.title` }) || "this quality";
  const parts = lines.filter(({ kind, id }) => kind === "part" && !fields.some(({ lineId }) => lineId === id));
  return (
    <View role="group" aria-label={name} style={styles.list}>
      <FormField control={control} name={`variants.${index}.title`} label="Quality" maxLength={60} />
      {fields.map(({ key, lineId }, place) => {
        const standard = lines.find(({ id }) => id === lineId)?.description ?? "a part that was taken off";
        const at = `variants.${index}.parts.${place}` as const;
        return (
          <View key={key} role="group" aria-label={`In this quality, ${standard}`} style={styles.part}>
            <FormField
              control={control}
              name={`${at}.description`}
              label={`Instead of ${standard}`}
              maxLength={200}
              style={styles.whole}
            />
            <FormField
              control={control}
              name={`${at}.cost`}
              label="Cost each"
              inputMode="decimal"
              style={styles.field}
            />
            <FormField
              control={control}
              name={`${at}.price`}
              label="Price of its own"
              inputMode="decimal"
              style={styles.field}
            />
            <FormField control={control} name={`${at}.brand`} label="Brand" maxLength={60} style={styles.field} />
            <FormField
              control={control}
              name={`${at}.partNumber`}
              label="Part number"
              maxLength={60}
              style={styles.field}
            />
            <Button kind="quiet" label={`As in the standard: ${standard}`} onPress={() => remove(place)} />
          </View>
        );
      })}
      {parts.map(({ id, description }) => (
        <Button
          key={id}
          kind="quiet"
          label={`Another ${description.trim() || "part"}`}
          onPress={() => append(newTypedVariantPart(id))}
        />
      ))}
      <Button kind="quiet" label="Take the quality off" spoken={`Take off ${name}`} onPress={onRemove} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  part: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  whole: { flexBasis: "100%" },
  field: { flexGrow: 1, flexBasis: 100 },
});
