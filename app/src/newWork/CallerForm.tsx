import { useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { StyleSheet, View } from "react-native";
import { showPhone, showVehicle } from "@mechanon/core";
import { routes, type BusinessView } from "@mechanon/contract";
import { call } from "../api/call";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useDraft } from "./draft";
import { streetsLike } from "./streets";
import type { DraftFaults } from "./readDraft";

const FEWEST_LETTERS = 3;

/** Who calls: found among those we know while typing, or made anew. A name is enough. */
export function CallerForm({ business, faults }: { business: BusinessView; faults: DraftFaults }) {
  const { draft, change } = useDraft();
  if (draft.known) {
    const { name, phone, place } = draft.known;
    return (
      <View style={styles.list}>
        <Words strong size="lead">
          {name}
        </Words>
        <Words tone="muted">{[phone ? showPhone(phone) : null, place?.street].filter(Boolean).join(" · ")}</Words>
        <Button kind="quiet" label="Somebody else calls" onPress={() => change({ known: null, car: null })} />
      </View>
    );
  }
  const streets = streetsLike(draft.street, business.settings.streets);
  return (
    <View style={styles.list}>
      <Field
        label="Name or business"
        value={draft.name}
        onChangeText={(name) => change({ name })}
        error={faults.name}
        maxLength={300}
        autoComplete="off"
      />
      <Field
        label="Phone"
        inputMode="tel"
        value={draft.phone}
        onChangeText={(phone) => change({ phone })}
        error={faults.phone}
        maxLength={40}
        autoComplete="off"
      />
      <Matches />
      <Field
        label="Street and number"
        value={draft.street}
        onChangeText={(street) => change({ street, latitude: null, longitude: null })}
        maxLength={200}
        autoComplete="off"
      />
      {streets.length > 0 ? (
        <View style={styles.chips}>
          {streets.map(({ address, street }) => (
            <Button
              key={street.name}
              label={`${address}, ${street.town}`}
              onPress={() =>
                change({
                  street: address,
                  town: street.town,
                  region: street.region,
                  postcode: street.postcode,
                  latitude: street.latitude,
                  longitude: street.longitude,
                })
              }
            />
          ))}
        </View>
      ) : null}
      <View style={styles.row}>
        <Field
          label="Town"
          value={draft.town}
          onChangeText={(town) => change({ town })}
          style={styles.wide}
          maxLength={100}
          autoComplete="off"
        />
        <Field
          label="State"
          value={draft.region}
          onChangeText={(region) => change({ region })}
          style={styles.grow}
          maxLength={40}
          autoCapitalize="characters"
          autoComplete="off"
        />
        <Field
          label="Postcode"
          inputMode="numeric"
          value={draft.postcode}
          onChangeText={(postcode) => change({ postcode })}
          style={styles.grow}
          maxLength={20}
          autoComplete="off"
        />
      </View>
      <Field
        label="Email"
        inputMode="email"
        autoCapitalize="none"
        value={draft.email}
        onChangeText={(email) => change({ email })}
        error={faults.email}
        maxLength={254}
        autoComplete="off"
      />
    </View>
  );
}

/** Who we know that this may be. */
function Matches() {
  const colors = useColors();
  const { draft, change } = useDraft();
  const digits = draft.phone.replace(/\D/g, "");
  const query = useDeferredValue(digits.length >= FEWEST_LETTERS ? digits : draft.name.trim());
  const { data } = useQuery({
    queryKey: ["search", query],
    queryFn: () => call(routes.search, { query: { q: query } }),
    enabled: query.length >= FEWEST_LETTERS,
  });
  const matches = query.length >= FEWEST_LETTERS ? (data?.customers.slice(0, 4) ?? []) : [];
  if (matches.length === 0) return null;
  return (
    <View role="list" aria-label="Already known">
      {matches.map(({ customer, vehicles }) => (
        <View key={customer.id} role="listitem">
          <Press
            label={`Known: ${customer.name}`}
            onPress={() =>
              change({
                known: customer,
                car: vehicles.length === 1 && vehicles[0] ? { kind: "kept", vehicle: vehicles[0] } : null,
              })
            }
            style={[styles.match, { borderColor: colors.hairline }]}
          >
            <Words
              strong
              tone="petrol"
            >{`${customer.name}${customer.phone ? `, ${showPhone(customer.phone)}` : ""}`}</Words>
            <Words size="small" tone="muted">
              {vehicles.map(showVehicle).join(", ")}
            </Words>
          </Press>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  chips: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap" },
  wide: { flex: 2, minWidth: 130 },
  grow: { flex: 1, minWidth: 72 },
  match: { borderTopWidth: 1, paddingVertical: SPACE.xs },
});
