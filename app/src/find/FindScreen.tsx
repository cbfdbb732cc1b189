import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useDeferredValue, useEffect, useRef, useState } from "react";
import { StyleSheet, View, type TextInput } from "react-native";
import { showPhone, showVehicle } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";

/** Customers, cars and work orders, found by a few letters or digits of anything. */
export function FindScreen() {
  const colors = useColors();
  const router = useRouter();
  const input = useRef<TextInput>(null);
  const [typed, setTyped] = useState("");
  const query = useDeferredValue(typed.trim());
  const { data, error, refetch } = useQuery({
    queryKey: ["search", query],
    queryFn: () => call(routes.search, { query: { q: query } }),
    enabled: query.length > 0,
  });
  useEffect(() => input.current?.focus(), []);
  const isEmpty = data !== undefined && data.customers.length + data.workOrders.length === 0;
  return (
    <Screen title="Find">
      <Heading level={1}>Find</Heading>
      <Field
        ref={input}
        label="Name, phone, plate, VIN or number"
        value={typed}
        onChangeText={setTyped}
        maxLength={500}
        autoComplete="off"
      />
      {query === "" ? <Words tone="muted">A few letters or digits are enough.</Words> : null}
      {error && query !== "" ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {query !== "" && !data && !error ? <Waiting label="Searching" rows={3} /> : null}
      {query !== "" && isEmpty ? (
        <Notice
          kind="note"
          text={`Nothing here matches “${query}”. Try the phone or the plate, or write it down as a new work order.`}
        />
      ) : null}
      {query !== "" && data && data.customers.length > 0 ? (
        <View role="list" aria-label="Customers">
          {data.customers.map(({ customer, vehicles }) => (
            <View key={customer.id} role="listitem">
              <Press
                role="link"
                label={`Customer ${customer.name}`}
                onPress={() => router.navigate(`/customers/${customer.id}`)}
                style={[styles.line, { borderColor: colors.hairline }]}
              >
                <Words strong tone="petrol">
                  {customer.name}
                </Words>
                <Words size="small" tone="muted" figures>
                  {[
                    customer.phone ? showPhone(customer.phone) : null,
                    ...vehicles.map((vehicle) => [showVehicle(vehicle), vehicle.plate].filter(Boolean).join(" ")),
                  ]
                    .filter(Boolean)
                    .join(" · ")}
                </Words>
              </Press>
            </View>
          ))}
        </View>
      ) : null}
      {query !== "" && data && data.workOrders.length > 0 ? (
        <>
          <Heading level={2}>Work orders</Heading>
          {data.workOrders.map((order) => (
            <WorkOrderLine key={order.id} order={order} showWait />
          ))}
        </>
      ) : null}
    </Screen>
  );
}

const styles = StyleSheet.create({ line: { borderTopWidth: 1, paddingVertical: SPACE.s } });
