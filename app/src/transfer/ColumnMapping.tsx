import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { IMPORT_FIELDS } from "@mechanon/core";
import type { ImportView } from "@mechanon/contract";
import { useColors } from "../ui/face";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { FIELD_WORDS } from "./fieldWords";

const NOT_TAKEN = "not-taken";
const OPTIONS = [
  { value: NOT_TAKEN, label: "Not taken" },
  ...IMPORT_FIELDS.map((value) => ({ value, label: FIELD_WORDS[value] })),
];

export interface ColumnMappingProps {
  columns: ImportView["columns"];
  mapping: ImportView["mapping"];
  onChange: (mapping: ImportView["mapping"]) => void;
}

/** What each column holds: guessed from its heading, changed by a press. */
export function ColumnMapping({ columns, mapping, onChange }: ColumnMappingProps) {
  const colors = useColors();
  const [open, setOpen] = useState<number | null>(null);
  return (
    <View>
      <Heading level={3}>What each column holds</Heading>
      {columns.map(({ heading, samples }, column) => {
        const field = mapping[column] ?? null;
        const words = field === null ? "Not taken" : FIELD_WORDS[field];
        return (
          <View key={column} style={[styles.column, { borderColor: colors.hairline }]}>
            <Press
              label={`Column ${heading} is ${words}`}
              aria-expanded={open === column}
              onPress={() => setOpen(open === column ? null : column)}
            >
              <View style={styles.row}>
                <View style={styles.grow}>
                  <Words strong>{heading}</Words>
                  <Words size="small" tone="muted" numberOfLines={1}>
                    {samples.join(" · ")}
                  </Words>
                </View>
                <Words tone={field === null ? "muted" : "petrol"} strong={field !== null}>
                  {words}
                </Words>
              </View>
            </Press>
            {open === column ? (
              <Choices
                label={`Column ${heading} holds`}
                options={OPTIONS}
                value={field ?? NOT_TAKEN}
                onChoose={(chosen) => {
                  const next = columns.map((_, index) => mapping[index] ?? null);
                  next[column] = IMPORT_FIELDS.find((each) => each === chosen) ?? null;
                  onChange(next);
                  setOpen(null);
                }}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  column: { borderTopWidth: 1, paddingVertical: SPACE.xs },
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "center" },
  grow: { flex: 1, minWidth: 0 },
});
