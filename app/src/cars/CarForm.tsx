import { zodResolver } from "@hookform/resolvers/zod";
import { Fragment, createElement, useRef, useState, type ChangeEvent } from "react";
import { Controller, useForm, type Control } from "react-hook-form";
import { Image, StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { showVehicle } from "@mechanon/core";
import { routes, type Vehicle } from "@mechanon/contract";
import { call, sendPhoto } from "../api/call";
import { errorWords } from "../api/problem";
import { shrinkPhoto } from "../photos/shrink";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Camera } from "../ui/icons";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
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
  onSaved: () => void;
  onLeave: () => void;
}

/** Changes what is known of a car, and what tells it apart on a lot. */
export function CarForm({ vehicle, onSaved, onLeave }: CarFormProps) {
  const business = useBusiness();
  const [fault, setFault] = useState<string | null>(null);
  const [photoId, setPhotoId] = useState(vehicle.photoId);
  const form = useForm<CarFields>({
    resolver: zodResolver(carFields),
    defaultValues: {
      ...(Object.fromEntries(FIELDS.map(({ name }) => [name, String(vehicle[name] ?? "")])) as Record<
        FieldName,
        string
      >),
      region: vehicle.region ?? business?.settings.regions[0] ?? "",
    },
  });
  const { control, handleSubmit, watch, setValue, setError, reset, formState } = form;
  const { isBack, drop } = useUnsavedFields(`car/${vehicle.id}`, form);
  const { vin, decoded } = useVin(watch("vin"));
  // A serial number of another length is checked by nobody.
  const report = vin.length === VIN_LENGTH ? decoded?.report : undefined;
  const asksWhy = report?.problems.some(({ code }) => code === "check-digit") ?? false;
  const save = handleSubmit(async ({ year, region, ...texts }) => {
    // A VIN that is kept as it was, imported perhaps, does not stand in the way of the rest.
    if (asksWhy && vin !== vehicle.vin && texts.vinNote.trim() === "")
      return setError("vinNote", { message: "read the VIN again, or say why it is kept" });
    try {
      await call(routes.changeVehicle, {
        params: { id: vehicle.id },
        body: {
          ...texts,
          year: year.trim() === "" ? null : Number(year),
          region: texts.plate.trim() === "" ? null : region,
          photoId,
          version: vehicle.version,
        },
      });
      drop();
      onSaved();
    } catch (error) {
      setFault(errorWords(error));
    }
  });
  return (
    <Screen
      title="Change the car"
      measured
      foot={
        <>
          {fault ? <Notice text={fault} /> : null}
          <Button
            kind="next"
            label="Save the car"
            busy={formState.isSubmitting}
            onPress={() => void save()}
            testID="save-car"
          />
        </>
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
      <CarPhoto photoId={photoId} onChange={setPhotoId} onFault={setFault} />
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
  photoId,
  onChange,
  onFault,
}: {
  photoId: string | null;
  onChange: (id: string | null) => void;
  onFault: (fault: string | null) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (!file) return;
    const small = await shrinkPhoto(file);
    if (!small)
      return onFault(`${file.name} is no picture this device can read. Take the photo again or pick another file.`);
    const id = uuid();
    try {
      await sendPhoto(id, small);
      onFault(null);
      onChange(id);
    } catch (error) {
      onFault(errorWords(error));
    }
  };
  return (
    <View style={styles.photos}>
      {photoId ? (
        <Image source={{ uri: `/api/photos/${photoId}` }} accessibilityLabel="Photo of the car" style={styles.photo} />
      ) : null}
      <Button
        icon={Camera}
        label={photoId ? "Another photo" : "Photo of the car"}
        onPress={() => input.current?.click()}
      />
      {photoId ? <Button kind="quiet" label="Take the photo off" onPress={() => onChange(null)} /> : null}
      {createElement("input", {
        ref: input,
        type: "file",
        accept: "image/*",
        capture: "environment",
        "aria-label": "Photo of the car",
        "data-testid": "photo-car",
        style: { display: "none" },
        onChange: (event: ChangeEvent<HTMLInputElement>) => void take(event),
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", justifyContent: "space-between", alignItems: "center", flexWrap: "wrap" },
  photos: { flexDirection: "row", gap: SPACE.m, alignItems: "center", flexWrap: "wrap" },
  photo: { width: 104, height: 78, borderRadius: 4 },
});
