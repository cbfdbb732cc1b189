import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { catalogYears, type CatalogGroup } from "@mechanon/core/vin";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { vinClient } from "../vin/vinClient";
import { ConfirmGuess } from "./ConfirmCar";
import { useDraft } from "./draft";
import { PlateFields } from "./PlateFields";
import type { Business } from "../session/useSession";

const GROUPS: readonly { value: CatalogGroup; label: string }[] = [
  { value: "car", label: "Cars and light trucks" },
  { value: "motorcycle", label: "Motorcycles" },
];
/** Cars that call a mechanic are mostly of these years: they are offered first. */
const USUAL_YEARS = { from: 3, count: 20 };
const FIRST_SHOWN = 16;

/** Year, make and model picked from the VIN data; typing only narrows. */
export function CarByPick({ business }: { business: Business }) {
  const { draft } = useDraft();
  const thisYear = new Date().getFullYear();
  const [group, setGroup] = useState<CatalogGroup>("car");
  const [year, setYear] = useState<number | null>(null);
  const [make, setMake] = useState<string | null>(null);
  const [model, setModel] = useState<string | null>(null);
  const [hasAllYears, setAllYears] = useState(false);
  const makes = useQuery({
    queryKey: ["makes", year, group],
    queryFn: () => vinClient().makes(year ?? thisYear, group),
    enabled: year !== null,
    staleTime: Infinity,
    networkMode: "always",
    retry: false,
  });
  const picked = year !== null && make !== null && model !== null ? { year, make, model } : null;
  const open = useQuery({
    queryKey: ["variants", picked],
    queryFn: () => vinClient().variants(picked ?? { year: thisYear, make: "", model: "" }),
    enabled: picked !== null,
    staleTime: Infinity,
    networkMode: "always",
    retry: false,
  });
  const all = catalogYears(thisYear);
  const years = hasAllYears ? all : all.slice(USUAL_YEARS.from, USUAL_YEARS.from + USUAL_YEARS.count);
  if (makes.error || open.error)
    return (
      <Notice
        text="The list of models is not on this phone yet, and there is no connection. Go on by hand, or try again."
        action={{ label: "Try again", onPress: () => void (makes.error ? makes.refetch() : open.refetch()) }}
      />
    );
  if (picked) {
    const plate = draft.plate.trim();
    const region = plate === "" ? null : draft.plateRegion || (business.settings.regions[0] ?? null);
    return (
      <View style={styles.list}>
        <PlateFields business={business} />
        {open.data ? (
          <ConfirmGuess
            guess={{ ...picked, vin: null, plate: plate || null, region, trim: null, engine: null, drive: null, transmission: null, color: null }}
            {...open.data}
          />
        ) : (
          <Waiting label="Loading the versions" />
        )}
        <Button kind="quiet" label="Another model" onPress={() => setModel(null)} />
      </View>
    ); // prettier-ignore
  }
  return (
    <View style={styles.list}>
      <Choices label="What kind" options={GROUPS} value={group} onChoose={setGroup} />
      {year === null ? (
        <>
          <Words strong>Year</Words>
          <Choices
            label="Year"
            options={years.map((each) => ({ value: String(each), label: String(each) }))}
            value={null}
            onChoose={(value) => setYear(Number(value))}
          />
          {hasAllYears ? null : <Button kind="quiet" label="Another year" onPress={() => setAllYears(true)} />}
        </>
      ) : make === null ? (
        <>
          <Button kind="quiet" label={`${year}, another year`} onPress={() => setYear(null)} />
          <PickOne key="make" label="Make" names={makes.data?.map((each) => each.make)} onPick={setMake} />
        </>
      ) : (
        <>
          <Button kind="quiet" label={`${year} ${make}, another make`} onPress={() => setMake(null)} />
          <PickOne
            key="model"
            label="Model"
            names={makes.data?.find((each) => each.make === make)?.models}
            onPick={setModel}
          />
        </>
      )}
    </View>
  );
}

/** One name of many: the likeliest to press, the rest by a letter or two. */
function PickOne({
  label,
  names,
  onPick,
}: {
  label: string;
  names: readonly string[] | undefined;
  onPick: (name: string) => void;
}) {
  const [typed, setTyped] = useState("");
  const [hasAll, setAll] = useState(false);
  if (!names) return <Waiting label={`Loading: ${label.toLowerCase()}`} />;
  const wanted = typed.trim().toLowerCase();
  const fitting = names.filter(
    (name) =>
      name
        .toLowerCase()
        .split(/[\s-]/)
        .some((word) => word.startsWith(wanted)) || name.toLowerCase().startsWith(wanted),
  );
  const shown = hasAll || wanted !== "" ? fitting : fitting.slice(0, FIRST_SHOWN);
  return (
    <>
      {names.length > FIRST_SHOWN ? (
        <Field
          label={`${label}: first letters`}
          value={typed}
          onChangeText={setTyped}
          maxLength={40}
          autoComplete="off"
        />
      ) : null}
      <Choices
        label={label}
        options={shown.map((name) => ({ value: name, label: name }))}
        value={null}
        onChoose={onPick}
      />
      {shown.length === 0 ? (
        <Words tone="muted">Nothing begins with that. Go on by hand if it is not there.</Words>
      ) : null}
      {shown.length < fitting.length ? (
        <Button kind="quiet" label={`${fitting.length - shown.length} more`} onPress={() => setAll(true)} />
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
