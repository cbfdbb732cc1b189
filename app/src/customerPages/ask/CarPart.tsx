import { useMutation } from "@tanstack/react-query";
import { Controller, useFormState, useWatch, type UseFormReturn } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { showVehicle } from "@mechanon/core";
import { askPageRoutes as routes, type AskPage, type StrangersCar } from "@mechanon/contract";
import { call } from "../../api/call";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { FormField } from "../../ui/FormField";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import type { TypedAsking } from "./askForm";
import { Part } from "./Part";

interface CarPartProps {
  slug: string;
  page: AskPage;
  form: UseFormReturn<TypedAsking>;
}

/** Which car: by its plate or VIN, confirmed, or by hand. */
export function CarPart({ slug, page, form }: CarPartProps) {
  const { language, t } = useSpeaking();
  const { control, setValue, getValues } = form;
  const { errors } = useFormState({ control, name: "car" });
  const [car, way] = useWatch({ control, name: ["car", "carWay"] });
  const find = useMutation({
    mutationFn: () => {
      const { plate, carRegion: region, vin } = getValues();
      const body = way === "vin" ? { plate: "", region: "", vin: vin.trim() } : { plate, region, vin: "" };
      return call(routes.findStrangersCar, { params: { slug }, body });
    },
  });
  const confirm = (found: StrangersCar | null): void => {
    find.reset();
    setValue("car", found, { shouldDirty: true, shouldValidate: found !== null });
  };
  if (car)
    return (
      <Part title={t("ask.carTitle")}>
        <Words strong>{nameOf(car)}</Words>
        <Button kind="quiet" label={t("ask.anotherCar")} onPress={() => confirm(null)} />
      </Part>
    );
  const found = find.data?.cars.filter((each) => each.make !== "" || each.year !== null) ?? [];
  return (
    <Part title={t("ask.carTitle")} fault={errors.car?.message}>
      <Controller
        control={control}
        name="carWay"
        render={({ field }) => (
          <Choices
            label={t("ask.carTitle")}
            options={[
              { value: "plate", label: t("ask.byPlate") },
              { value: "vin", label: t("ask.byVin") },
              { value: "hand", label: t("ask.byHand") },
            ]}
            value={field.value}
            onChoose={(chosen) => {
              find.reset();
              field.onChange(chosen);
            }}
          />
        )}
      />
      {way === "hand" ? <ByHand form={form} /> : null}
      {way === "vin" ? (
        <FormField control={control} name="vin" label={t("ask.vin")} mono maxLength={17} autoCapitalize="characters" />
      ) : null}
      {way === "plate" ? (
        <>
          <FormField
            control={control}
            name="plate"
            label={t("ask.plate")}
            mono
            maxLength={12}
            autoCapitalize="characters"
          />
          <Controller
            control={control}
            name="carRegion"
            render={({ field }) => (
              <Choices
                label={t("ask.region")}
                options={page.regions.map((region) => ({ value: region, label: region }))}
                value={field.value}
                onChoose={field.onChange}
              />
            )}
          />
        </>
      ) : null}
      {way === "hand" ? null : (
        <Button label={t("ask.findCar")} busy={find.isPending} onPress={() => find.mutate()} testID="find-car" />
      )}
      {found.length > 0 ? (
        <View style={styles.found}>
          <Words>{t("ask.isItThis")}</Words>
          {found.map((each) => (
            <Button key={nameOf(each)} label={nameOf(each)} onPress={() => confirm(each)} />
          ))}
        </View>
      ) : find.data ? (
        <Notice kind="note" text={t("ask.carNotFound")} />
      ) : null}
      {find.error ? <Notice text={faultWords(language, find.error)} /> : null}
    </Part>
  );
}

function nameOf({ year, make, model, plate, region, vin }: StrangersCar): string {
  const name = showVehicle({ year, make: make || null, model: model || null });
  return [name, plate === "" ? vin : `${plate} ${region}`].filter(Boolean).join(" · ");
}

function ByHand({ form: { control } }: Pick<CarPartProps, "form">) {
  const { t } = useSpeaking();
  return (
    <>
      <FormField control={control} name="year" label={t("ask.year")} inputMode="numeric" maxLength={4} />
      <FormField control={control} name="make" label={t("ask.make")} maxLength={60} />
      <FormField control={control} name="model" label={t("ask.model")} maxLength={60} />
    </>
  );
}

const styles = StyleSheet.create({ found: { gap: SPACE.s } });
