import { useFieldArray, useWatch, type UseFormSetValue } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import {
  CORNERS,
  MEASURE_KINDS,
  MEASURE_UNITS,
  REAR_BRAKES,
  legalLimit,
  showPositions,
  treadIn,
  type Measure,
} from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { LinesField } from "./LinesField";
import { MEASURE_WORDS, POWER_WORDS } from "./inspectionWords";
import type { InspectionControl, TypedInspection } from "./typedInspection";

interface PointFieldsProps {
  control: InspectionControl;
  index: number;
  setValue: UseFormSetValue<TypedInspection>;
  onDone: () => void;
  onRemove: () => void;
}

const ANY = "";
const NOTES = { length: 200, lines: 20 };
const dirty = { shouldDirty: true };
/** What is typed of a measure as figures, in the order they are asked. */
const FIGURES = [
  ["watchBelow", "Watch below"],
  ["actBelow", "Act now below"],
  ["watchAbove", "Watch above"],
  ["actAbove", "Act now above"],
  ["most", "A new one has"],
] as const;

/** One point: its words, what is measured there with its limits, ready notes, and the cars it is for. */
export function PointFields({ control, index, setValue, onDone, onRemove }: PointFieldsProps) {
  const colors = useColors();
  const point = useWatch({ control, name: `inspection.${index}` });
  const measures = useFieldArray({ control, name: `inspection.${index}.measures`, keyName: "formKey" });
  const onlyFor = { power: null, rearBrakes: null, ...point.onlyFor };
  const add = (): void =>
    measures.append({
      ...{ key: `m${uuid().slice(-8)}`, name: "", kind: "other", unit: "mm", step: 1, start: 5, most: "20" },
      ...{ watchBelow: "", actBelow: "", watchAbove: "", actAbove: "", carLimit: null, isMust: false },
    });
  return (
    <View style={[styles.open, { borderColor: colors.petrol }]}>
      <FormField control={control} name={`inspection.${index}.title`} label="Point" maxLength={80} />
      <FormField
        control={control}
        name={`inspection.${index}.titleEs`}
        label="In Spanish, for customers"
        maxLength={80}
      />
      <FormField control={control} name={`inspection.${index}.area`} label="Area" maxLength={40} />
      <Tick
        label="Never done without a photo"
        value={point.isPhotoMust ?? false}
        onChange={(value) => setValue(`inspection.${index}.isPhotoMust`, value, dirty)}
      />
      {measures.fields.map(({ formKey }, place) => (
        <MeasureFields
          key={formKey}
          control={control}
          index={index}
          place={place}
          setValue={setValue}
          onRemove={() => measures.remove(place)}
        />
      ))}
      {measures.fields.length < 6 ? <Button label="Add a measure" onPress={add} style={styles.start} /> : null}
      <LinesField
        label="Ready notes"
        value={point.notes ?? []}
        onChange={(notes) => setValue(`inspection.${index}.notes`, notes, dirty)}
        most={NOTES}
      />
      <Words size="small" strong>
        Where on the car
      </Words>
      <Choices
        label="Where on the car"
        options={[
          { value: ANY, label: "No one place" },
          ...CORNERS.map((value) => ({ value: value, label: showPositions([value]) })),
        ]}
        value={point.position ?? ANY}
        onChoose={(value) =>
          setValue(`inspection.${index}.position`, CORNERS.find((each) => each === value) ?? null, dirty)
        }
      />
      <Words size="small" strong>
        Only for
      </Words>
      <Choices
        label="Only for cars driven by"
        options={[
          { value: ANY, label: "Any car" },
          ...Object.entries(POWER_WORDS).map(([value, label]) => ({ value, label })),
        ]}
        value={onlyFor.power ?? ANY}
        onChoose={(value) =>
          setValue(`inspection.${index}.onlyFor`, { ...onlyFor, power: isPower(value) ? value : null }, dirty)
        }
      />
      <Choices
        label="Only for rear brakes of"
        options={[
          { value: ANY, label: "Any brakes" },
          { value: "disc", label: "Rear discs" },
          { value: "drum", label: "Rear drums" },
        ]}
        value={onlyFor.rearBrakes ?? ANY}
        onChoose={(value) =>
          setValue(
            `inspection.${index}.onlyFor`,
            { ...onlyFor, rearBrakes: REAR_BRAKES.find((each) => each === value) ?? null },
            dirty,
          )
        }
      />
      <View style={styles.row}>
        <Button label="Done" onPress={onDone} />
        <Button kind="quiet" label="Take the point off every sheet" onPress={onRemove} />
      </View>
    </View>
  );
}

type TypedMeasure = TypedInspection["inspection"][number]["measures"][number];

/** A measure in another unit: of tread the limits are turned, too, since what they mean stays. */
function inUnit(measure: TypedMeasure, unit: string): TypedMeasure {
  const turns = measure.kind === "tread" && (unit === "mm" || unit === "/32 in") && unit !== measure.unit;
  if (!turns) return { ...measure, unit };
  const turned = (typed: string): string =>
    typed.trim() === "" || Number.isNaN(Number(typed)) ? typed : String(treadIn(unit, Number(typed)));
  return {
    ...measure,
    unit,
    step: unit === "mm" ? 0.5 : 1,
    start: treadIn(unit, measure.start),
    most: turned(measure.most),
    watchBelow: turned(measure.watchBelow),
    actBelow: turned(measure.actBelow),
    watchAbove: turned(measure.watchAbove),
    actAbove: turned(measure.actAbove),
  };
}

function isPower(value: string): value is keyof typeof POWER_WORDS {
  return value in POWER_WORDS;
}

interface MeasureFieldsProps extends Pick<PointFieldsProps, "control" | "index" | "setValue" | "onRemove"> {
  place: number;
}

function MeasureFields({ control, index, place, setValue, onRemove }: MeasureFieldsProps) {
  const colors = useColors();
  const name = `inspection.${index}.measures.${place}` as const;
  const measure = useWatch({ control, name });
  const kind: Measure["kind"] = measure.kind ?? "other";
  const legal = legalLimit({ kind, unit: measure.unit });
  return (
    <View style={[styles.open, { borderColor: colors.hairline }]} role="group" aria-label={`Measure ${measure.name}`}>
      <FormField control={control} name={`${name}.name`} label="What is measured" maxLength={40} />
      <Choices
        label={`Kind of ${measure.name}`}
        options={MEASURE_KINDS.map((value) => ({ value, label: MEASURE_WORDS[value] }))}
        value={kind}
        onChoose={(value) => setValue(`${name}.kind`, value, dirty)}
      />
      <Choices
        label={`Unit of ${measure.name}`}
        options={MEASURE_UNITS.map((value) => ({ value: value, label: value === "" ? "No unit" : value }))}
        value={measure.unit}
        onChoose={(value) => setValue(name, inUnit(measure, value), dirty)}
      />
      <View style={styles.row}>
        {FIGURES.map(([key, label]) => (
          <FormField
            key={key}
            control={control}
            name={`${name}.${key}`}
            label={label}
            inputMode="decimal"
            maxLength={8}
          />
        ))}
      </View>
      {legal ? (
        <Words
          size="small"
          tone="muted"
          figures
        >{`Below ${legal.least} it is unsafe by law (${legal.source}), whatever stands here.`}</Words>
      ) : null}
      <Tick
        label="Never done without it"
        value={measure.isMust ?? false}
        onChange={(value) => setValue(`${name}.isMust`, value, dirty)}
      />
      <Button kind="quiet" label="Take this measure out" onPress={onRemove} style={styles.start} />
    </View>
  );
}

const styles = StyleSheet.create({
  open: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.s, flexWrap: "wrap" },
  start: { alignSelf: "flex-start" },
});
