import { useState } from "react";
import { Linking, View } from "react-native";
import { countOf } from "@mechanon/core";
import { routes, type Customer } from "@mechanon/contract";
import { addressOf, call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";

/** What the law gives a customer: all that is known about them, and being forgotten. */
export function PrivacySection({ customer, onErased }: { customer: Customer; onErased: () => void }) {
  const [isSure, setSure] = useState(false);
  const [said, setSaid] = useState<{ text: string; kind: "fault" | "note" } | null>(null);
  const erase = async (): Promise<void> => {
    try {
      const { billsKept } = await call(routes.eraseCustomer, {
        params: { id: customer.id },
        body: { version: customer.version },
      });
      setSaid({ kind: "note", text: `Erased. ${countOf(billsKept, "bill")} kept without the person.` });
      onErased();
    } catch (error) {
      setSaid({ kind: "fault", text: errorWords(error) });
    }
    setSure(false);
  };
  return (
    <View style={{ gap: 12 }}>
      {said ? <Notice {...said} /> : null}
      <Button
        label="Everything known about them, as a file"
        onPress={() => void Linking.openURL(addressOf(routes.exportCustomer.path, { id: customer.id }))}
      />
      {customer.erasedAt ? null : isSure ? (
        <>
          <Notice
            text={`${customer.name} will be gone for good: name, phones, emails, addresses, contacts, notes, messages, photos, signatures, plates and VINs. Bills are kept as the law asks, with the work, the money, the kind of car and the town. This cannot be undone.`}
          />
          <Button label={`Erase ${customer.name} for good`} onPress={() => void erase()} testID="erase" />
          <Button kind="quiet" label="No, keep them" onPress={() => setSure(false)} />
        </>
      ) : (
        <Button kind="quiet" label="Erase this customer" onPress={() => setSure(true)} />
      )}
      <NeedsSignal what="Handing out or erasing" />
      <Words size="small" tone="muted">
        Erasing waits until all work is finished and paid.
      </Words>
    </View>
  );
}
