import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { catalogYears, type CatalogGroup } from "@mechanon/core/vin";
import { openFacts } from "../cars/openFacts";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { vinClient } from "../vin/vinClient";
import { useCarSearch } from "./carSearch";

const GROUPS: readonly { value: CatalogGroup; label: string }[] = [
  { value: "car", label: "Cars and light trucks" },
  { value: "motorcycle", label: "Motorcycles" },
];
/** Cars that call a mechanic are mostly of these years, this one's included. */
const USUAL_YEARS = 23;
const FIRST_SHOWN = 16;
const NOTHING_MORE = {
  vin: null,
  plate: null,
  region: null,
  trim: null,
  engine: null,
  drive: null,
  transmission: null,
  color: null,
};

/** Year, make and model picked from the VIN data; typing only narrows. What was picked by hand needs no further yes. */
export function CarByPick() {
  const { search, change } = useCarSearch();
  const { pickedYear: year, pickedMake: make } = search;
  const thisYear = new Date().getFullYear();
  const [group, setGroup] = useState<CatalogGroup>("car");
  const [hasAllYears, setAllYears] = useState(false);
  const [busyWith, setBusyWith] = useState<string | null>(null);
  const makes = useQuery({
    queryKey: ["makes", year, group],
    queryFn: () => vinClient().makes(year ?? thisYear, group),
    enabled: year !== null,
    staleTime: Infinity,
    networkMode: "always",
    retry: false,
  });
  if (makes.error)
    return (
      <Notice
        text="The list of models is not on this phone yet, and there is no connection. Go on with Not listed, or try again."
        action={{ label: "Try again", onPress: () => void makes.refetch() }}
      />
    );
  const take = async (model: string | null): Promise<void> => {
    if (year === null || make === null) return;
    setBusyWith(model);
    const guess = { ...NOTHING_MORE, year, make, model };
    // What may be said of it beyond is a help: the car is taken without it, too.
    const known =
      model === null
        ? null
        : await vinClient()
            .variants({ year, make, model })
            .catch(() => null);
    change({ car: { kind: "new", guess, vinNote: null, open: openFacts(guess, known?.variants, known?.likely) } });
  };
  const years = catalogYears(thisYear).filter(
    (each) => hasAllYears || (each <= thisYear && each > thisYear - USUAL_YEARS),
  );
  return (
    <View style={styles.list}>
      {year === null ? (
        <>
          <Choices
            label="Year"
            options={years.map((each) => ({ value: String(each), label: String(each) }))}
            value={null}
            onChoose={(value) => change({ pickedYear: Number(value) })}
          />
          {hasAllYears ? null : <Button kind="quiet" label="Another year" onPress={() => setAllYears(true)} />}
        </>
      ) : make === null ? (
        <>
          <Button kind="quiet" label={`${year}, another year`} onPress={() => change({ pickedYear: null })} />
          <PickOne
            key={`make ${group}`}
            label="Make"
            names={makes.data?.map((each) => each.make)}
            onPick={(picked) => change({ pickedMake: picked })}
          />
          <Choices label="What kind" options={GROUPS} value={group} onChoose={setGroup} />
        </>
      ) : busyWith !== null ? (
        <WaitingRows label="Loading the versions" />
      ) : (
        <>
          <Button kind="quiet" label={`${year} ${make}, another make`} onPress={() => change({ pickedMake: null })} />
          <PickOne
            key="model"
            label="Model"
            names={makes.data?.find((each) => each.make === make)?.models}
            onPick={(model) => void take(model)}
          />
          <Button kind="quiet" label={`Only this is known: ${year} ${make}`} onPress={() => void take(null)} />
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
  if (!names) return <WaitingRows label={`Loading: ${label.toLowerCase()}`} />;
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
        <Words tone="muted">Nothing begins with that. If it is not there, go on with Not listed.</Words>
      ) : null}
      {shown.length < fitting.length ? (
        <Button kind="quiet" label={`${fitting.length - shown.length} more`} onPress={() => setAll(true)} />
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
