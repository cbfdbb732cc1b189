import { Controller, useFieldArray } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { readMoney, showMoney } from "@mechanon/core";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { useColors } from "../../ui/face";
import { Field } from "../../ui/Field";
import { SPACE } from "../../ui/theme";
import { Tick } from "../../ui/Tick";
import { Words } from "../../ui/Words";
import { FormField } from "../../ui/FormField";
import type { CustomerControl } from "./customerControl";

const ROLES = ["Spouse", "Driver", "Fleet manager", "Neighbor"];

/** People beside the customer, and what each may do. */
export function ContactFields({ control }: { control: CustomerControl }) {
  const colors = useColors();
  const contacts = useFieldArray({ control, name: "contacts", keyName: "key" });
  return (
    <View style={styles.list}>
      {contacts.fields.map(({ key }, index) => (
        <View key={key} style={[styles.list, styles.contact, { borderColor: colors.hairline }]}>
          <FormField control={control} name={`contacts.${index}.name`} label={`Contact ${index + 1}`} maxLength={300} />
          <Controller
            control={control}
            name={`contacts.${index}.role`}
            render={({ field }) => (
              <Choices
                label="Role"
                options={ROLES.map((value) => ({ value, label: value }))}
                value={field.value ?? null}
                onChoose={field.onChange}
              />
            )}
          />
          <View style={styles.row}>
            <FormField
              control={control}
              name={`contacts.${index}.role`}
              label="Or another role"
              maxLength={60}
              style={styles.half}
            />
            <FormField
              control={control}
              name={`contacts.${index}.phone.number`}
              label="Phone"
              inputMode="tel"
              maxLength={60}
              style={styles.half}
            />
            <FormField
              control={control}
              name={`contacts.${index}.email`}
              label="Email"
              inputMode="email"
              autoCapitalize="none"
              maxLength={254}
              style={styles.half}
            />
          </View>
          <Controller
            control={control}
            name={`contacts.${index}.approvalLimitCents`}
            render={({ field }) => <ApprovalLimit value={field.value ?? null} onChange={field.onChange} />}
          />
          <Controller
            control={control}
            name={`contacts.${index}.mayPay`}
            render={({ field }) => <Tick label="May pay" value={field.value ?? false} onChange={field.onChange} />}
          />
          <Controller
            control={control}
            name={`contacts.${index}.mayHandOverKeys`}
            render={({ field }) => (
              <Tick label="May hand over the keys" value={field.value ?? false} onChange={field.onChange} />
            )}
          />
          <Button kind="quiet" label={`Remove contact ${index + 1}`} onPress={() => contacts.remove(index)} />
        </View>
      ))}
      <Button
        label="Add a contact"
        onPress={() =>
          contacts.append({
            id: uuid(),
            name: "",
            role: "",
            phone: null,
            email: null,
            approvalLimitCents: 0,
            mayPay: false,
            mayHandOverKeys: false,
          })
        }
      />
    </View>
  );
}

const LIMITS = [
  { value: "none", label: "Approves nothing" },
  { value: "upTo", label: "Up to" },
  { value: "any", label: "Anything" },
] as const;
const USUAL_LIMIT_CENTS = 30_000;

/** What somebody may say yes to: nothing, up to an amount, anything. */
function ApprovalLimit({ value, onChange }: { value: number | null; onChange: (cents: number | null) => void }) {
  const [typed, setTyped] = useState(value ? showMoney(value) : "");
  const kind = value === null ? "any" : value === 0 ? "none" : "upTo";
  return (
    <View style={styles.row}>
      <Choices
        label="What they may approve"
        options={LIMITS}
        value={kind}
        onChoose={(chosen) => {
          onChange(chosen === "any" ? null : chosen === "none" ? 0 : USUAL_LIMIT_CENTS);
          setTyped(chosen === "upTo" ? showMoney(USUAL_LIMIT_CENTS) : "");
        }}
      />
      {kind === "upTo" ? (
        <Field
          label="Approves up to"
          inputMode="decimal"
          value={typed}
          maxLength={14}
          error={readMoney(typed) === null ? "an amount looks like 300 or 300.00" : null}
          onChangeText={(text) => {
            setTyped(text);
            const cents = readMoney(text);
            if (cents !== null && cents > 0) onChange(cents);
          }}
          style={styles.half}
        />
      ) : (
        <Words size="small" tone="muted">
          {kind === "any" ? "Says yes to any total" : "Others say yes"}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  contact: { borderTopWidth: 1, paddingTop: SPACE.m },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap", alignItems: "center" },
  half: { flex: 1, minWidth: 150 },
});
