import { useState } from "react";
import { useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { LibraryJob } from "@mechanon/core";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { FormField } from "../ui/FormField";
import { ChevronDown, ChevronUp } from "../ui/icons";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { PickedField } from "./PickedField";
import type { InspectionControl, TypedInspection } from "./typedInspection";
import { Field } from "../ui/Field";

type Sheet = TypedInspection["sheets"][number];
type Comes = NonNullable<Sheet["comes"]>;

interface SheetFieldsProps {
  control: InspectionControl;
  index: number;
  points: TypedInspection["inspection"];
  library: readonly LibraryJob[];
  onPoints: (pointIds: string[]) => void;
  onComes: (comes: Comes) => void;
  onDone: () => void;
  onRemove: () => void;
}

const NEVER: Comes = { always: false, firstVisit: false, libraryJobIds: [], everyMiles: null };

/** One sheet: its title, its points in their order, and when it comes by itself. */
export function SheetFields({
  control,
  index,
  points,
  library,
  onPoints,
  onComes,
  onDone,
  onRemove,
}: SheetFieldsProps) {
  const colors = useColors();
  const sheet = useWatch({ control, name: `sheets.${index}` });
  const { pointIds } = sheet;
  const comes: Comes = { ...NEVER, ...sheet.comes };
  const [miles, setMiles] = useState(comes.everyMiles === null ? "" : String(comes.everyMiles));
  const titleOf = (id: string): string => points.find((point) => point.id === id)?.title ?? id;
  const move = (place: number, by: -1 | 1): void => {
    const moved = [...pointIds];
    const [id = ""] = moved.splice(place, 1);
    moved.splice(place + by, 0, id);
    onPoints(moved);
  };
  return (
    <View style={[styles.open, { borderColor: colors.petrol }]}>
      <FormField control={control} name={`sheets.${index}.title`} label="Title" maxLength={60} />
      <Words strong>When it comes by itself</Words>
      <Tick
        label="With every visit"
        value={comes.always ?? false}
        onChange={(always) => onComes({ ...comes, always })}
      />
      <Tick
        label="When a car is seen for the first time"
        value={comes.firstVisit ?? false}
        onChange={(firstVisit) => onComes({ ...comes, firstVisit })}
      />
      <Field
        label="Again after so many miles"
        hint="Empty: not by miles"
        value={miles}
        onChangeText={setMiles}
        inputMode="numeric"
        maxLength={6}
        onBlur={() => onComes({ ...comes, everyMiles: /^\d{3,6}$/.test(miles.trim()) ? Number(miles) : null })}
      />
      <PickedField
        title="With these jobs on the quote"
        level={3}
        label="Find a job"
        items={library}
        chosen={comes.libraryJobIds ?? []}
        onChange={(libraryJobIds) => onComes({ ...comes, libraryJobIds })}
      />
      <Words strong>{`Its points, ${pointIds.length}`}</Words>
      {pointIds.map((id, place) => (
        <View key={id} style={styles.row}>
          <Words style={styles.grow}>{titleOf(id)}</Words>
          <Press
            label={`${titleOf(id)} further up`}
            disabled={place === 0}
            onPress={() => move(place, -1)}
            style={styles.arrow}
          >
            <ChevronUp size={22} color={place === 0 ? colors.hairline : colors.petrol} />
          </Press>
          <Press
            label={`${titleOf(id)} further down`}
            disabled={place === pointIds.length - 1}
            onPress={() => move(place, 1)}
            style={styles.arrow}
          >
            <ChevronDown size={22} color={place === pointIds.length - 1 ? colors.hairline : colors.petrol} />
          </Press>
          <Button
            kind="quiet"
            label="Off"
            spoken={`Off the sheet: ${titleOf(id)}`}
            onPress={() => onPoints(pointIds.filter((each) => each !== id))}
          />
        </View>
      ))}
      <PickedField
        title="Put points on it"
        level={3}
        hidesChosen
        label="Find a point"
        items={points.filter(({ isRetired }) => !isRetired)}
        chosen={pointIds}
        onChange={onPoints}
      />
      <View style={styles.row}>
        <Button label="Done" onPress={onDone} />
        <Button kind="quiet" label="Take the sheet out" onPress={onRemove} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  open: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.xs, flexWrap: "wrap" },
  grow: { flex: 1 },
  arrow: { alignItems: "center" },
});
