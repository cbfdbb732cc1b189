import { useFieldArray, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { Button } from "../../ui/Button";
import { SPACE } from "../../ui/theme";
import { FormField } from "../../ui/FormField";
import type { CustomerControl } from "./customerControl";
import { DirectoryOffer } from "../DirectoryOffer";
import type { DirectoryFound } from "../useDirectory";

/** Phones and emails, each with a label. */
export function ReachFields({
  control,
  onDirectory,
}: {
  control: CustomerControl;
  onDirectory: (entry: DirectoryFound) => void;
}) {
  const phones = useFieldArray({ control, name: "phones" });
  const emails = useFieldArray({ control, name: "emails" });
  const typed = useWatch({ control, name: "phones" });
  const name = useWatch({ control, name: "name" });
  return (
    <View style={styles.list}>
      {phones.fields.map(({ id }, index) => (
        <View key={id} style={styles.row}>
          <FormField
            control={control}
            name={`phones.${index}.number`}
            label={`Phone ${index + 1}`}
            inputMode="tel"
            maxLength={60}
            style={styles.wide}
          />
          <FormField
            control={control}
            name={`phones.${index}.extension`}
            label="Ext."
            inputMode="numeric"
            maxLength={10}
            style={styles.short}
          />
          <FormField
            control={control}
            name={`phones.${index}.label`}
            label="Label"
            placeholder="Mobile"
            maxLength={40}
            style={styles.short}
          />
          <Button kind="quiet" label={`Remove phone ${index + 1}`} onPress={() => phones.remove(index)} />
        </View>
      ))}
      {name === "" ? <DirectoryOffer phone={typed?.[0]?.number ?? ""} onUse={onDirectory} /> : null}
      <Button label="Add a phone" onPress={() => phones.append({ number: "", extension: null, label: "" })} />
      {emails.fields.map(({ id }, index) => (
        <View key={id} style={styles.row}>
          <FormField
            control={control}
            name={`emails.${index}.address`}
            label={`Email ${index + 1}`}
            inputMode="email"
            autoCapitalize="none"
            maxLength={254}
            style={styles.wide}
          />
          <FormField
            control={control}
            name={`emails.${index}.label`}
            label="Label"
            maxLength={40}
            style={styles.short}
          />
          <Button kind="quiet" label={`Remove email ${index + 1}`} onPress={() => emails.remove(index)} />
        </View>
      ))}
      <Button label="Add an email" onPress={() => emails.append({ address: "", label: "" })} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap", alignItems: "flex-end" },
  wide: { flex: 3, minWidth: 180 },
  short: { flex: 1, minWidth: 84 },
});
