import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useDeferredValue, useEffect, useRef, useState } from "react";
import { Linking, StyleSheet, View, type TextInput } from "react-native";
import { routes, type FoundCustomer } from "@mechanon/contract";
import { addressOf } from "../api/call";
import { errorWords } from "../api/problem";
import { CustomerLine } from "../customers/CustomerLine";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { oddWords } from "./oddWords";
import { OpenWorkLinks } from "./OpenWorkLinks";
import { askSearch } from "./askSearch";

const TAKE_OUT = [
  ["Take these out as CSV", routes.exportCustomersCsv],
  ["Take these out as vCards", routes.exportVcards],
] as const;

/** Customers, cars and work orders, found by a few letters or digits of anything. */
export function FindScreen() {
  const router = useRouter();
  const input = useRef<TextInput>(null);
  const mayTransfer = useRight("settings");
  const [typed, setTyped] = useState("");
  const query = useDeferredValue(typed.trim());
  const { data, error, refetch } = useQuery({
    queryKey: ["search", query],
    queryFn: () => askSearch(query),
    // Without a connection it is looked for on this device.
    networkMode: "always",
    enabled: query.length > 0,
    // What was found for the letters before stays until the next answer is there.
    placeholderData: (before) => before,
  });
  useEffect(() => input.current?.focus(), []);
  const isEmpty = data !== undefined && data.customers.length + data.workOrders.length === 0;
  return (
    <Screen title="Find" measured>
      <Heading level={1}>Find</Heading>
      <Field
        ref={input}
        label="Name, phone, plate, VIN, email, street or number"
        value={typed}
        onChangeText={setTyped}
        maxLength={500}
        autoComplete="off"
      />
      {query === "" ? (
        <>
          <Words tone="muted">
            A few letters or digits of anything are enough; a slip of one letter does not matter.
          </Words>
          <View style={styles.acts}>
            <Button label="New customer" onPress={() => router.navigate("/customers/new")} />
            {mayTransfer ? (
              <Button label="Bring in or take out customers" onPress={() => router.navigate("/transfer")} />
            ) : null}
          </View>
        </>
      ) : null}
      {error && query !== "" ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {query !== "" && !data && !error ? <WaitingRows label="Searching" rows={3} /> : null}
      {query !== "" && data?.isFromHere ? (
        <Words size="small" tone="muted" role="status">
          No signal: these are from this phone, what it took along and opened lately.
        </Words>
      ) : null}
      {query !== "" && isEmpty ? (
        <Notice
          kind="note"
          text={`Nothing here matches “${query.length > 60 ? `${query.slice(0, 60)}…` : query}”. Try the phone or the plate, or write it down as a new work order.`}
        />
      ) : null}
      {query !== "" && data && data.workOrders.length > 0 ? (
        <>
          <Heading level={2}>Work orders</Heading>
          {data.workOrders.map((order) => (
            <WorkOrderLine key={order.id} order={order} showWait />
          ))}
        </>
      ) : null}
      {query !== "" && data && data.oddWords.length > 0 ? <Notice kind="note" text={oddWords(data.oddWords)} /> : null}
      {query !== "" && data ? (
        <>
          <FoundList label="Customers" typed={query} customers={data.customers.filter(({ isNear }) => !isNear)} />
          <FoundList
            label="Nearly that, one sign differs"
            typed={query}
            customers={data.customers.filter(({ isNear }) => isNear)}
            isApart
          />
        </>
      ) : null}
      {mayTransfer && query !== "" && data && !data.isFromHere && data.customers.length > 0 ? (
        <View style={styles.acts}>
          {TAKE_OUT.map(([label, route]) => (
            <Button
              key={label}
              kind="quiet"
              label={label}
              onPress={() =>
                void Linking.openURL(
                  addressOf(route.path, {}, { ids: data.customers.map(({ customer }) => customer.id).join(",") }),
                )
              }
            />
          ))}
        </View>
      ) : null}
    </Screen>
  );
}

/** Customers found, each with what is open one press away. */
function FoundList({
  label,
  typed,
  customers,
  isApart = false,
}: {
  label: string;
  typed: string;
  customers: readonly FoundCustomer[];
  /** Under a heading of its own. */
  isApart?: boolean;
}) {
  const router = useRouter();
  if (customers.length === 0) return null;
  return (
    <>
      {isApart ? <Heading level={2}>{label}</Heading> : null}
      <View role="list" aria-label={label}>
        {customers.map((found) => (
          <View key={found.customer.id} role="listitem">
            <CustomerLine
              found={found}
              typed={typed}
              verb="Customer"
              onPress={() => router.navigate(`/customers/${found.customer.id}`)}
            />
            <OpenWorkLinks found={found} />
          </View>
        ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({ acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s } });
