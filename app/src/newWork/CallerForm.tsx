import { useQuery } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useCallback, useDeferredValue } from "react";
import { StyleSheet, View } from "react-native";
import { mainPhone, mainPlace, showPhone, showPlace } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { CustomerLine } from "../customers/CustomerLine";
import { DirectoryOffer } from "../customers/DirectoryOffer";
import { LikelySameList } from "../customers/LikelySameList";
import { NewcomerQuestions } from "../customers/NewcomerQuestions";
import { TownOffer } from "../customers/TownOffer";
import { useLikelySame } from "../customers/useLikelySame";
import type { Town } from "../customers/useTowns";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { carMeant } from "./carMeant";
import { useDraft, type Draft } from "./draft";
import { placeTyped, type DraftFaults } from "./readDraft";
import { streetsLike } from "./streets";
import type { Business } from "../session/useSession";

const FEWEST_LETTERS = 2;
const FEWEST_DIGITS = 4;
const MOST_MATCHES = 4;

/** Who calls: found among those we know by anything typed, or made anew. A name is enough. */
export function CallerForm({ business, faults }: { business: Business; faults: DraftFaults }) {
  const { draft, change } = useDraft();
  const fillTown = useCallback((town: Town) => change(town), [change]);
  const likely = useLikelySame(
    {
      name: draft.name,
      phones: [{ number: draft.phone }],
      emails: [{ address: draft.email }],
      serviceAddresses: draft.street === "" ? [] : [{ id: draft.customerId, place: placeTyped(draft) }],
    },
    draft.customerId,
    draft.known === null,
  ).filter(({ customer }) => !draft.notTheSameAs.includes(customer.id));
  if (draft.known) return <KnownCaller known={draft.known} />;
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
      <Matches typed={draft.name} fewest={FEWEST_LETTERS} />
      <Field
        label="Phone"
        inputMode="tel"
        value={draft.phone}
        onChangeText={(phone) => change({ phone })}
        error={faults.phone}
        maxLength={40}
        autoComplete="off"
      />
      <Matches typed={draft.phone} fewest={FEWEST_DIGITS} />
      {draft.name === "" ? (
        <DirectoryOffer phone={draft.phone} onUse={(entry) => change({ ...entry, latitude: null, longitude: null })} />
      ) : null}
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
      <TownOffer postcode={draft.postcode} town={draft.town} onFill={fillTown} />
      <LikelySameList likely={likely} onPick={({ customer }) => change({ known: customer, car: null })} />
      {likely.length > 0 ? (
        <Button
          kind="quiet"
          label="None of these, somebody new"
          onPress={() =>
            change({ notTheSameAs: [...draft.notTheSameAs, ...likely.map(({ customer }) => customer.id)] })
          }
        />
      ) : null}
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
      <Tick
        label="Texts are welcome"
        value={draft.textsWelcomeAt !== null}
        onChange={(on) => change({ textsWelcomeAt: on ? new Date().toISOString() : null })}
      />
      {draft.name.trim() !== "" ? (
        <NewcomerQuestions
          settings={business.settings.newcomers}
          isNewcomer
          foundUsBy={draft.foundUsBy}
          answers={draft.newcomerAnswers}
          onChange={({ foundUsBy, answers }) => change({ foundUsBy, newcomerAnswers: answers })}
        />
      ) : null}
    </View>
  );
}

/** Somebody we know: how to reach them, where, and what is open. */
function KnownCaller({ known }: { known: NonNullable<Draft["known"]> }) {
  const router = useRouter();
  const { change } = useDraft();
  const phone = mainPhone(known);
  const place = mainPlace(known);
  const { data } = useQuery({
    queryKey: ["customer", known.id],
    queryFn: () => call(routes.getCustomer, { params: { id: known.id } }),
  });
  return (
    <View style={styles.list}>
      <Words strong size="lead">
        {known.name}
      </Words>
      <Words tone="muted">
        {[phone ? showPhone(phone.number, phone.extension) : "", place ? showPlace(place) : ""]
          .filter(Boolean)
          .join(" · ")}
      </Words>
      {data?.customer.usualPayer ? <Words>{`${data.customer.usualPayer.name} usually pays`}</Words> : null}
      {data?.customer.taxExemption ? <Words>{`Exempt from tax, ${data.customer.taxExemption.number}`}</Words> : null}
      {data && data.openWork.length > 0 ? (
        <Notice
          kind="note"
          text={`Open already: ${data.openWork.map(({ number, vehicleName }) => `${number}, ${vehicleName}`).join("; ")}.`}
          action={{
            label: `Go on with ${data.openWork[0]?.number ?? ""}`,
            onPress: () => router.navigate(`/work/${data.openWork[0]?.id ?? ""}`),
          }}
        />
      ) : null}
      {data && data.later.length > 0 ? (
        <Words>{`Put off: ${data.later.map(({ title }) => title).join(", ")}`}</Words>
      ) : null}
      <Button kind="quiet" label="Somebody else calls" onPress={() => change({ known: null, car: null })} />
    </View>
  );
}

/** Who we know that this may be. */
function Matches({ typed, fewest }: { typed: string; fewest: number }) {
  const { change } = useDraft();
  const query = useDeferredValue(typed.trim());
  const isLong = query.length >= fewest;
  const { data } = useQuery({
    queryKey: ["search", query],
    queryFn: () => call(routes.search, { query: { q: query } }),
    enabled: isLong,
    placeholderData: (before) => before,
  });
  const matches = isLong ? (data?.customers.slice(0, MOST_MATCHES) ?? []) : [];
  if (matches.length === 0) return null;
  return (
    <View role="list" aria-label="Already known">
      {matches.map((found) => (
        <View key={found.customer.id} role="listitem">
          <CustomerLine
            found={found}
            typed={query}
            verb="Known:"
            role="button"
            onPress={() => change({ known: found.customer, car: carMeant(found, query) })}
          />
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
});
