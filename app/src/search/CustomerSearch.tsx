import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { View } from "react-native";
import type { FoundCustomer } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { CustomerLine } from "../customers/CustomerLine";
import { oddWords } from "./oddWords";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { askSearch } from "./askSearch";

export interface CustomerSearchProps {
  label: string;
  /** What pressing one does, for screen readers. */
  verb: string;
  onChoose: (found: FoundCustomer) => void;
}

const MOST_SHOWN = 6;
const FEWEST = 2;

/** Picks a customer by name, phone, plate or VIN. */
export function CustomerSearch({ label, verb, onChoose }: CustomerSearchProps) {
  const [typed, setTyped] = useState("");
  const query = useDeferredValue(typed.trim());
  const { data, error, refetch } = useQuery({
    queryKey: ["search", query],
    queryFn: () => askSearch(query),
    // Without a connection it is looked for on this device.
    networkMode: "always",
    enabled: query.length >= FEWEST,
    placeholderData: (before) => before,
  });
  const shown = query.length >= FEWEST ? (data?.customers.slice(0, MOST_SHOWN) ?? []) : [];
  return (
    <View style={{ gap: SPACE.s }}>
      <Field
        label={label}
        value={typed}
        onChangeText={setTyped}
        placeholder="Name, phone, plate"
        maxLength={100}
        autoComplete="off"
      />
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {data && query.length >= FEWEST && shown.length === 0 ? (
        <Words tone="muted">Nobody is found by that. Make the customer first, under Find.</Words>
      ) : null}
      {data && shown.length > 0 && data.oddWords.length > 0 ? (
        <Words tone="muted">{oddWords(data.oddWords)}</Words>
      ) : null}
      {shown.map((found) => (
        <CustomerLine
          key={found.customer.id}
          found={found}
          typed={query}
          verb={verb}
          role="button"
          onPress={() => onChoose(found)}
        />
      ))}
    </View>
  );
}
