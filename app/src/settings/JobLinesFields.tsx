import { Controller, useFieldArray, useWatch, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { z } from "zod";
import { OPERATION_PER, positionsFor, showPositions, type LibraryJob, type Position } from "@mechanon/core";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Ticks } from "../ui/Ticks";
import { fittedWords } from "./fittedWords";
import { JobLineFields } from "./JobLineFields";
import { PER_TITLES } from "./needWords";
import { newTypedLine, type readJob, type TypedJob } from "./typedJob";

const NEW_LINES = [
  ["labor", "Add labor"],
  ["part", "Add a part"],
  ["fee", "Add a fee"],
  ["sublet", "Add work bought in"],
  ["core", "Add a core deposit"],
] as const;

interface JobLinesFieldsProps {
  control: Control<TypedJob, unknown, z.output<typeof readJob>>;
  job: LibraryJob;
  business: Business;
}

/** What is in a job, and where on a car it is done. */
export function JobLinesFields({ control, job, business: { settings, guide } }: JobLinesFieldsProps) {
  const { fields, append, remove, move } = useFieldArray({ control, name: "lines", keyName: "key" });
  const lines = useWatch({ control, name: "lines" });
  const per = useWatch({ control, name: "per" });
  const positions = positionsFor(per);
  return (
    <>
      <Heading level={2}>What is in it</Heading>
      {fields.map(({ key }, index) => {
        const line = lines[index];
        return line ? (
          <JobLineFields
            key={key}
            control={control}
            index={index}
            line={line}
            tables={Object.keys(settings.rules.pricing.markup ?? {})}
            operations={guide?.operations ?? []}
            fitted={fittedWords(job, line.id, guide)}
            onUp={index > 0 ? () => move(index, index - 1) : null}
            onRemove={() => remove(index)}
          />
        ) : null;
      })}
      <View style={styles.row}>
        {NEW_LINES.map(([kind, label]) => (
          <Button key={kind} kind="quiet" label={label} onPress={() => append(newTypedLine(kind))} />
        ))}
      </View>
      <Heading level={2}>Where it is done</Heading>
      <Controller
        control={control}
        name="per"
        render={({ field }) => (
          <Choices
            label="Where it is done"
            options={OPERATION_PER.map((value) => ({ value, label: PER_TITLES[value] }))}
            value={field.value}
            onChoose={field.onChange}
          />
        )}
      />
      {positions.length > 0 ? (
        <Controller
          control={control}
          name="positions"
          render={({ field }) => (
            <Ticks
              title="Only there; none ticked: anywhere"
              titles={titlesOf(positions)}
              chosen={field.value}
              onChange={field.onChange}
            />
          )}
        />
      ) : null}
    </>
  );
}

function titlesOf(positions: readonly Position[]): Partial<Record<Position, string>> {
  return Object.fromEntries(positions.map((position) => [position, showPositions([position])]));
}

const styles = StyleSheet.create({ row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l } });
