import { Controller, useFieldArray, useWatch, type UseFormSetValue } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { noAccessNotes } from "@mechanon/core";
import type { CustomerFields } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Heading } from "../../ui/Heading";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { nowhere } from "../../work/nowhere";
import { FormField } from "../../ui/FormField";
import type { CustomerControl } from "./customerControl";
import { PlaceFields } from "./PlaceFields";
import type { Business } from "../../session/useSession";

const SLOPES = ["Level", "Slight", "Steep"];
const SURFACES = ["Concrete", "Asphalt", "Gravel", "Grass", "Dirt"];

export interface AddressFieldsProps {
  control: CustomerControl;
  setValue: UseFormSetValue<CustomerFields>;
  business: Business | undefined;
}

/** Where the work is done, with what one has to know there, and where the bill goes if that is elsewhere. */
export function AddressFields({ control, setValue, business }: AddressFieldsProps) {
  const addresses = useFieldArray({ control, name: "serviceAddresses", keyName: "key" });
  const billing = useWatch({ control, name: "billingAddress" });
  return (
    <View style={styles.list}>
      {addresses.fields.map(({ key }, index) => (
        <View key={key} style={styles.list}>
          <View style={styles.row}>
            <FormField
              control={control}
              name={`serviceAddresses.${index}.label`}
              label={`Place ${index + 1}`}
              placeholder="Home, work"
              maxLength={60}
              style={styles.wide}
            />
            <Button kind="quiet" label={`Remove place ${index + 1}`} onPress={() => addresses.remove(index)} />
          </View>
          <PlaceFields
            control={control}
            setValue={setValue}
            name={`serviceAddresses.${index}.place`}
            business={business}
          />
          <View style={styles.row}>
            <FormField
              control={control}
              name={`serviceAddresses.${index}.access.gateCode`}
              label="Gate code"
              maxLength={60}
              style={styles.short}
            />
            <FormField
              control={control}
              name={`serviceAddresses.${index}.access.dog`}
              label="Dog"
              maxLength={100}
              style={styles.short}
            />
            <FormField
              control={control}
              name={`serviceAddresses.${index}.access.heightLimit`}
              label="Height limit"
              maxLength={60}
              style={styles.short}
            />
          </View>
          <NoteChoice
            control={control}
            name={`serviceAddresses.${index}.access.slope`}
            label="Slope"
            options={SLOPES}
          />
          <NoteChoice
            control={control}
            name={`serviceAddresses.${index}.access.surface`}
            label="Surface"
            options={SURFACES}
          />
          <FormField
            control={control}
            name={`serviceAddresses.${index}.access.note`}
            label="Anything else there"
            maxLength={500}
          />
        </View>
      ))}
      <Button
        label="Add a place for work"
        onPress={() => addresses.append({ id: uuid(), label: "", place: nowhere(), access: noAccessNotes() })}
      />
      {billing ? (
        <View style={styles.list}>
          <Heading level={3}>Bills go to</Heading>
          <PlaceFields control={control} setValue={setValue} name="billingAddress" business={business} />
          <Button kind="quiet" label="Same as the place of work" onPress={() => setValue("billingAddress", null)} />
        </View>
      ) : (
        <Button kind="quiet" label="Bills go elsewhere" onPress={() => setValue("billingAddress", nowhere())} />
      )}
    </View>
  );
}

type NoteName = `serviceAddresses.${number}.access.${"slope" | "surface"}`;

/** One of the usual words; pressed again it is taken back. */
function NoteChoice({
  control,
  name,
  label,
  options,
}: {
  control: CustomerControl;
  name: NoteName;
  label: string;
  options: string[];
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <View style={styles.note}>
          <Words size="small" strong>
            {label}
          </Words>
          <Choices
            label={label}
            options={options.map((value) => ({ value, label: value }))}
            value={field.value ?? null}
            onChoose={(value) => field.onChange(field.value === value ? "" : value)}
          />
        </View>
      )}
    />
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap", alignItems: "flex-end" },
  wide: { flex: 2, minWidth: 150 },
  short: { flex: 1, minWidth: 100 },
  note: { gap: SPACE.xs },
});
