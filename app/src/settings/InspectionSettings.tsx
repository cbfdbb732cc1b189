import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useFieldArray, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { changesOfList, idOf, mergeLists, type BusinessSettings } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { call } from "../api/call";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { SaveFoot } from "./SaveFoot";
import { PointFields } from "./PointFields";
import { SheetFields } from "./SheetFields";
import { inspectionForm, typedInspection, typedInspectionOf, type TypedInspection } from "./typedInspection";
import { useSettingsList } from "./useSettingsList";
import type { z } from "zod";

/** The owner's sheets: which points they have and when they come, and each point with its measures and limits. */
export function InspectionSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Inspection sheets">
        <WaitingRows label="Loading the sheets" />
      </Screen>
    );
  return <Sheets business={business} />;
}

const PARTS = [
  { value: "sheets", label: "Sheets" },
  { value: "points", label: "Points" },
] as const;

function Sheets({ business }: { business: Business }) {
  const { settings } = business;
  const form = useForm<TypedInspection, unknown, z.output<typeof inspectionForm>>({
    resolver: zodResolver(inspectionForm),
    defaultValues: typedInspectionOf(settings),
  });
  const { control, getValues, setValue, handleSubmit, reset } = form;
  const { isBack, drop } = useUnsavedFields("settings/inspection", form, {}, typedInspection);
  const [part, setPart] = useState<"sheets" | "points">("sheets");
  const [openId, setOpenId] = useState<string | null>(null);
  const [wanted, setWanted] = useState("");
  const sheetList = useFieldArray({ control, name: "sheets", keyName: "key" });
  const pointList = useFieldArray({ control, name: "inspection", keyName: "key" });
  const sheets = useWatch({ control, name: "sheets" });
  const points = useWatch({ control, name: "inspection" });
  const list = useSettingsList(
    "inspection",
    () => getValues("base"),
    (before, newest) => {
      const [mine, base, theirs] = [getValues(), typedInspectionOf(before), typedInspectionOf(newest)];
      reset({
        base: newest,
        inspection: mergeLists(mine.inspection, base.inspection, theirs.inspection, idOf),
        sheets: mergeLists(mine.sheets, base.sheets, theirs.sheets, idOf),
      });
    },
  );
  const save = handleSubmit(
    (read) =>
      list.save(
        (base: BusinessSettings, version) =>
          call(routes.changeInspection, {
            body: {
              version,
              inspection: changesOfList(base.inspection, read.inspection, idOf),
              sheets: changesOfList(base.sheets, read.sheets, idOf),
            },
          }),
        "Saved. Sheets that begin from now on are like this; those that run stay as they began.",
        (newest) => {
          setValue("base", newest);
          drop();
        },
      ),
    ({ inspection: faults }) => {
      const first = Array.isArray(faults) ? faults.findIndex(Boolean) : -1;
      if (first >= 0) {
        setPart("points");
        setWanted("");
        setOpenId(getValues("inspection")[first]?.id ?? null);
      }
      list.doesNotFit();
    },
  );
  const shown = points
    .map((point, index) => ({ point, index }))
    .filter(
      ({ point: { title, area, isRetired } }) =>
        !isRetired && `${title} ${area}`.toLowerCase().includes(wanted.trim().toLowerCase()),
    );
  const areas = [...new Set(shown.map(({ point }) => point.area))];
  const addPoint = (): void => {
    const id = uuid();
    pointList.append({ ...EMPTY_POINT, id, area: areas[0] ?? "Under the hood" });
    setWanted("");
    setOpenId(id);
  };
  const addSheet = (): void => {
    const id = uuid();
    sheetList.append({
      id,
      title: "",
      pointIds: [],
      comes: { always: false, firstVisit: false, libraryJobIds: [], everyMiles: null },
    });
    setOpenId(id);
  };
  /** Taken off every sheet it stays for what was found there. */
  const retire = (index: number, id: string): void => {
    setValue(`inspection.${index}.isRetired`, true, { shouldDirty: true });
    sheets.forEach((sheet, place) =>
      setValue(
        `sheets.${place}.pointIds`,
        sheet.pointIds.filter((each) => each !== id),
        { shouldDirty: true },
      ),
    );
    setOpenId(null);
  };
  const { said } = list;
  return (
    <Screen
      title="Inspection sheets"
      measured
      foot={
        <SaveFoot said={said} what="Saving the sheets" label="Save the sheets" onSave={save} testID="save-inspection" />
      }
    >
      <Heading level={1}>Inspection sheets</Heading>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset(typedInspectionOf(settings));
        }}
      />
      <Choices even label="What is changed" options={PARTS} value={part} onChoose={setPart} />
      {part === "sheets" ? (
        <View style={styles.list}>
          {sheets.map((sheet, index) =>
            openId === sheet.id ? (
              <SheetFields
                key={sheet.id}
                control={control}
                index={index}
                points={points}
                library={business.library}
                onPoints={(pointIds) => setValue(`sheets.${index}.pointIds`, pointIds, { shouldDirty: true })}
                onComes={(comes) => setValue(`sheets.${index}.comes`, comes, { shouldDirty: true })}
                onDone={() => setOpenId(null)}
                onRemove={() => {
                  sheetList.remove(index);
                  setOpenId(null);
                }}
              />
            ) : (
              <Press key={sheet.id} label={`Change ${sheet.title}`} onPress={() => setOpenId(sheet.id)}>
                <Words tone="petrol" strong>
                  {sheet.title || "A sheet without a title"}
                </Words>
                <Words size="small" tone="muted">
                  {`${sheet.pointIds.length} points${sheet.comes?.always ? ", with every visit" : ""}`}
                </Words>
              </Press>
            ),
          )}
          <Button label="Add a sheet" onPress={addSheet} testID="add-sheet" />
        </View>
      ) : (
        <View style={styles.list}>
          <Field label="Search the points" value={wanted} onChangeText={setWanted} maxLength={60} autoComplete="off" />
          <Button label="Add a point" onPress={addPoint} testID="add-point" />
          {areas.map((area) => (
            <View key={area} style={styles.list}>
              <Heading level={2}>{area}</Heading>
              {shown
                .filter(({ point }) => point.area === area)
                .map(({ point, index }) =>
                  openId === point.id ? (
                    <PointFields
                      key={point.id}
                      control={control}
                      index={index}
                      setValue={setValue}
                      onDone={() => setOpenId(null)}
                      onRemove={() => retire(index, point.id)}
                    />
                  ) : (
                    <Press key={point.id} label={`Change ${point.title}`} onPress={() => setOpenId(point.id)}>
                      <Words tone="petrol">{point.title || "A point without words"}</Words>
                    </Press>
                  ),
                )}
            </View>
          ))}
        </View>
      )}
    </Screen>
  );
}

const EMPTY_POINT: Omit<TypedInspection["inspection"][number], "id" | "area"> = {
  title: "",
  titleEs: "",
  measures: [],
  topic: null,
  isPhotoMust: false,
  position: null,
  onlyFor: { power: null, rearBrakes: null },
  notes: [],
  isRetired: false,
};

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
