import { zodResolver } from "@hookform/resolvers/zod";
import { Fragment, useState } from "react";
import { Controller, useForm, type Control } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { z } from "zod";
import { normalizePlate, showVehicle } from "@mechanon/core";
import type { Vehicle } from "@mechanon/contract";
import { PhotoButton } from "../photos/PhotoButton";
import { PhotoImage } from "../photos/PhotoImage";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { takeCarPhoto } from "../sync/photoActs";
import { tried } from "./tried";
import { changeVehicle, vehicleNotTaken } from "../sync/changeKept";
import { vehicleRecord } from "../sync/keptRecords";
import { BackAgain } from "../unsaved/BackAgain";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";
import { VIN_LENGTH, useVin } from "../vin/useVin";
import { VinFindings } from "../vin/VinFindings";

const FIELDS = [
  { name: "nickname", label: "Nickname", most: 60 },
  { name: "unitNumber", label: "Unit number", most: 40 },
  { name: "color", label: "Color", most: 40 },
  { name: "plate", label: "Plate", most: 20, mono: true },
  { name: "vin", label: "VIN", most: 40, mono: true },
  { name: "vinNote", label: "Why the VIN is kept although it does not check", most: 200 },
  { name: "year", label: "Year", most: 4 },
  { name: "make", label: "Make", most: 80 },
  { name: "model", label: "Model", most: 120 },
  { name: "trim", label: "Trim", most: 200 },
  { name: "engine", label: "Engine", most: 120 },
  { name: "drive", label: "Drive", most: 60 },
  { name: "transmission", label: "Transmission", most: 60 },
] as const;
type FieldName = (typeof FIELDS)[number]["name"];

const carFields = z
  .object({
    ...(Object.fromEntries(FIELDS.map(({ name }) => [name, z.string()])) as Record<FieldName, z.ZodString>),
    region: z.string(),
  })
  .superRefine(({ year, vin, plate, make, model }, context) => {
    const isYear = year.trim() === "" || (/^\d{4}$/.test(year.trim()) && Number(year) >= 1886 && Number(year) <= 2100);
    if (!isYear) context.addIssue({ code: "custom", path: ["year"], message: "a year like 2006" });
    if ([vin, plate, make, model].every((fact) => fact.trim() === ""))
      context.addIssue({ code: "custom", path: ["make"], message: "a VIN, a plate, or a make is needed" });
  });
type CarFields = z.infer<typeof carFields>;

export interface CarFormProps {
  vehicle: Vehicle;
  onLeave: () => void;
}

/** Changes what is known of a car, and what tells it apart on a lot. */
export function CarForm({ vehicle, onLeave }: CarFormProps) {
  const business = useBusiness();
  const [from] = useState(() => vehicleRecord(vehicle));
  const [refused] = useState(() => vehicleNotTaken(vehicle.id));
  const shown = { ...from, ...refused.fields };
  const [photoId, setPhotoId] = useState(shown.photoId);
  const initial: CarFields = {
    ...(Object.fromEntries(FIELDS.map(({ name }) => [name, String(shown[name] ?? "")])) as Record<FieldName, string>),
    region: shown.region ?? business?.settings.regions[0] ?? "",
  };
  const form = useForm<CarFields>({ resolver: zodResolver(carFields), defaultValues: initial });
  const { control, handleSubmit, watch, setValue, setError, reset, formState } = form;
  const { isBack, drop } = useUnsavedFields(`car/${vehicle.id}`, form, initial);
  const { vin, decoded } = useVin(watch("vin"));
  // A serial number of another length is checked by nobody.
  const report = vin.length === VIN_LENGTH ? decoded?.report : undefined;
  const asksWhy = report?.problems.some(({ code }) => code === "check-digit") ?? false;
  const save = handleSubmit(async ({ year, region, ...texts }) => {
    // A VIN that is kept as it was, imported perhaps, does not stand in the way of the rest.
    if (asksWhy && vin !== vehicle.vin && texts.vinNote.trim() === "")
      return setError("vinNote", { message: "read the VIN again, or say why it is kept" });
    const plate = readPlate(texts.plate, region);
    if (plate.fault !== null) return setError("plate", { message: plate.fault });
    await changeVehicle(vehicle.id, from, {
      ...orNull(texts),
      ...plate.value,
      vin: vin === "" ? null : vin,
      year: year.trim() === "" ? null : Number(year),
      photoId,
    });
    await refused.settle();
    drop();
    onLeave();
  });
  return (
    <Screen
      title="Change the car"
      measured
      foot={
        <Button
          kind="next"
          label="Save the car"
          busy={formState.isSubmitting}
          onPress={() => void save()}
          testID="save-car"
        />
      }
    >
      <View style={styles.head}>
        <Heading level={1}>{showVehicle(vehicle)}</Heading>
        <Button
          kind="quiet"
          label="Leave it as it was"
          onPress={() => {
            drop();
            onLeave();
          }}
        />
      </View>
      <BackAgain
        isBack={isBack}
        onGiveUp={() => {
          drop();
          reset();
        }}
      />
      <CarPhoto vehicleId={vehicle.id} photoId={photoId} onChange={setPhotoId} />
      {FIELDS.filter(({ name }) => name !== "vinNote" || asksWhy || vehicle.vinNote !== null).map(
        ({ name, label, most, ...look }) => (
          <Fragment key={name}>
            <TextField control={control} name={name} label={label} most={most} mono={"mono" in look} />
            {name === "vin" && report ? <VinFindings report={report} onMeant={(vin) => setValue("vin", vin)} /> : null}
          </Fragment>
        ),
      )}
      {watch("plate").trim() === "" ? null : (
        <Choices
          label="State of the plate"
          options={(business?.settings.regions ?? []).map((value) => ({ value, label: value }))}
          value={watch("region")}
          onChoose={(region) => setValue("region", region)}
        />
      )}
    </Screen>
  );
}

function TextField({
  control,
  name,
  label,
  most,
  mono,
}: {
  control: Control<CarFields>;
  name: FieldName;
  label: string;
  most: number;
  mono: boolean;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          mono={mono}
          value={field.value}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          error={fieldState.error?.message}
          maxLength={most}
          autoComplete="off"
        />
      )}
    />
  );
}

/** A photo of the car: on a lot of white vans one knows it by its dent. */
function CarPhoto({
  vehicleId,
  photoId,
  onChange,
}: {
  vehicleId: string;
  photoId: string | null;
  onChange: (id: string | null) => void;
}) {
  return (
    <View style={styles.photos}>
      {photoId ? <PhotoImage id={photoId} label="Photo of the car" style={styles.photo} /> : null}
      <PhotoButton
        label={photoId ? "Another photo" : "Photo of the car"}
        of="the car"
        testID="photo-car"
        onTake={async (photo) => onChange(await takeCarPhoto(vehicleId, photo))}
      />
      {photoId ? <Button kind="quiet" label="Take the photo off" onPress={() => onChange(null)} /> : null}
    </View>
  );
}

/** Texts as a record keeps them: what is left empty is not known. */
function orNull<Name extends string>(texts: Record<Name, string>): Record<Name, string | null> {
  const entries = Object.entries<string>(texts).map(([name, text]) => [name, text.trim() || null]);
  return Object.fromEntries(entries) as Record<Name, string | null>;
}

/** A plate as it is kept, with its state; none where nothing is typed. */
function readPlate(typed: string, region: string): ReturnType<typeof tried<Pick<Vehicle, "plate" | "region">>> {
  return tried(() => {
    if (typed.trim() === "") return { plate: null, region: null };
    const read = normalizePlate({ plate: typed, region });
    return { plate: read.plate, region: read.region };
  });
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", justifyContent: "space-between", alignItems: "center", flexWrap: "wrap" },
  photos: { flexDirection: "row", gap: SPACE.m, alignItems: "center", flexWrap: "wrap" },
  photo: { width: 104, height: 78, borderRadius: 4 },
});
