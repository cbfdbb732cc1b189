import { Controller, type Control, type FieldPath } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { PART_KINDS, PART_KIND_TITLES } from "@mechanon/core";
import type { z } from "zod";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { PickedField } from "./PickedField";
import type { readJob, TypedJob, TypedLine } from "./typedJob";

const KIND_TITLES = {
  labor: "Labor",
  part: "Part",
  fee: "Fee",
  sublet: "Work bought in",
  core: "Core deposit",
} as const;

const PRICE_TITLES = {
  labor: "Rate of its own",
  part: "Price of its own",
  fee: "Price each",
  sublet: "Percent on top",
  core: "Price each",
} as const;

const COUNT_TITLES: readonly { value: TypedLine["counts"]; label: string }[] = [
  { value: "asWritten", label: "As written" },
  { value: "positions", label: "One each position" },
  { value: "cylinders", label: "One each cylinder" },
  { value: "spec", label: "As the car holds" },
];

interface JobLineFieldsProps {
  control: Control<TypedJob, unknown, z.output<typeof readJob>>;
  index: number;
  line: TypedLine;
  /** Names of the markup tables. */
  tables: readonly string[];
  /** Of the guide. */
  operations: readonly { id: string; title: string }[];
  /** What of it fits itself to the car. */
  fitted: string | null;
  onUp: (() => void) | null;
  onRemove: () => void;
}

/** One line of a job of the library. */
export function JobLineFields({
  control,
  index,
  line,
  tables,
  operations,
  fitted,
  onUp,
  onRemove,
}: JobLineFieldsProps) {
  const colors = useColors();
  const at = (field: keyof TypedLine): FieldPath<TypedJob> => `lines.${index}.${field}`;
  const name = line.description.trim() || KIND_TITLES[line.kind].toLowerCase();
  return (
    <View
      role="group"
      aria-label={`${KIND_TITLES[line.kind]}, ${name}`}
      style={[styles.line, { borderColor: colors.hairline }]}
    >
      <FormField control={control} name={at("description")} label={KIND_TITLES[line.kind]} maxLength={200} />
      <View style={styles.row}>
        {line.kind === "sublet" ? null : (
          <FormField
            control={control}
            name={at("amount")}
            label={line.kind === "labor" ? "Hours" : "How many"}
            inputMode="decimal"
            style={styles.field}
          />
        )}
        {line.kind === "part" || line.kind === "sublet" ? (
          <FormField control={control} name={at("cost")} label="Cost each" inputMode="decimal" style={styles.field} />
        ) : null}
        <FormField
          control={control}
          name={at("price")}
          label={PRICE_TITLES[line.kind]}
          inputMode="decimal"
          style={styles.field}
        />
      </View>
      {line.kind === "part" ? (
        <>
          <Controller
            control={control}
            name={`lines.${index}.markup`}
            render={({ field }) => (
              <Choices
                label={`Priced by, ${name}`}
                options={[
                  { value: "", label: "No table" },
                  ...tables.map((table) => ({ value: table, label: `Table “${table}”` })),
                ]}
                value={field.value}
                onChoose={field.onChange}
              />
            )}
          />
          <Controller
            control={control}
            name={`lines.${index}.partKind`}
            render={({ field }) => (
              <Choices
                label={`Kind of part, ${name}`}
                options={[
                  { value: "", label: "Any" },
                  ...PART_KINDS.map((kind) => ({ value: kind, label: PART_KIND_TITLES[kind] })),
                ]}
                value={field.value ?? ""}
                onChoose={field.onChange}
              />
            )}
          />
          <View style={styles.row}>
            <FormField control={control} name={at("brand")} label="Brand" maxLength={60} style={styles.field} />
            <FormField
              control={control}
              name={at("partNumber")}
              label="Part number"
              maxLength={60}
              style={styles.field}
            />
          </View>
        </>
      ) : null}
      {line.kind === "labor" ? (
        <Controller
          control={control}
          name={`lines.${index}.operations`}
          render={({ field }) => (
            <PickedField
              title={`Hours of the guide, ${name}`}
              level={3}
              label="Find labor of the guide"
              items={operations}
              chosen={field.value}
              onChange={field.onChange}
            />
          )}
        />
      ) : line.kind === "sublet" ? null : (
        <Controller
          control={control}
          name={`lines.${index}.counts`}
          render={({ field }) => (
            <Choices
              label={`Counted, ${name}`}
              options={COUNT_TITLES.filter(({ value }) => value !== "spec" || field.value === "spec")}
              value={field.value}
              onChoose={field.onChange}
            />
          )}
        />
      )}
      {fitted ? (
        <Words size="small" tone="muted">
          {fitted}
        </Words>
      ) : null}
      <View style={styles.acts}>
        {onUp ? <Button kind="quiet" label="Move up" spoken={`Move up ${name}`} onPress={onUp} /> : null}
        <Button kind="quiet" label="Take off" spoken={`Take off ${name}`} onPress={onRemove} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingTop: SPACE.s, gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  field: { flexGrow: 1, flexBasis: 100 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
