import { useCallback, useRef, useState } from "react";
import { StyleSheet, View, type TextInput } from "react-native";
import { KnownStrip } from "../customers/KnownStrip";
import { NewcomerQuestions } from "../customers/NewcomerQuestions";
import { TownOffer } from "../customers/TownOffer";
import type { Town } from "../customers/useTowns";
import type { Business } from "../session/useSession";
import { Field } from "../ui/Field";
import { Fold } from "../ui/Fold";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { useDraft } from "./draft";
import { KnownCaller } from "./KnownCaller";
import { moreLine } from "./moreLine";
import type { DraftFaults } from "./readDraft";
import { StreetField } from "./StreetField";
import { useCallerCards } from "./useCallerCards";

/** Who calls: found among those we know by anything typed, or made anew. A name is enough. */
export function CallerForm({
  business,
  faults,
  onDone,
}: {
  business: Business;
  faults: DraftFaults;
  /** Goes to what comes after: what they call for. */
  onDone: () => void;
}) {
  const { draft, change } = useDraft();
  const fillTown = useCallback((town: Town) => change(town), [change]);
  const { cards, instead } = useCallerCards();
  const phone = useRef<TextInput>(null);
  const knownFrom = useRef<TextInput>(null);
  const street = useRef<TextInput>(null);
  const [isMore, setMore] = useState(false);
  if (draft.known) return <KnownCaller known={draft.known} />;
  return (
    <View style={styles.list}>
      <Field
        autoFocus={draft.name === ""}
        label="Name or business"
        value={draft.name}
        onChangeText={(name) => change({ name })}
        onSubmitEditing={() => phone.current?.focus()}
        submitBehavior="submit"
        error={faults.name}
        maxLength={300}
        autoComplete="off"
      />
      <KnownStrip cards={cards} instead={instead} />
      <Field
        ref={phone}
        label="Phone"
        inputMode="tel"
        value={draft.phone}
        onChangeText={(typed) => change({ phone: typed })}
        onSubmitEditing={() => knownFrom.current?.focus()}
        submitBehavior="submit"
        error={faults.phone}
        maxLength={40}
        autoComplete="off"
      />
      <Field
        ref={knownFrom}
        label="How you know them"
        placeholder="from the bakery"
        value={draft.knownFrom}
        onChangeText={(typed) => change({ knownFrom: typed })}
        onSubmitEditing={() => street.current?.focus()}
        submitBehavior="submit"
        maxLength={200}
        autoComplete="off"
      />
      <StreetField
        ref={street}
        business={business}
        street={draft.street}
        isPlaced={draft.latitude !== null}
        onType={(typed) => change({ street: typed, latitude: null, longitude: null })}
        onPick={({ address, street: { name: _name, ...place } }) => {
          change({ ...place, street: address });
          onDone();
        }}
        pin={{
          at: { latitude: draft.latitude, longitude: draft.longitude },
          onPin: ({ latitude, longitude }) => change({ latitude, longitude }),
        }}
        onNext={onDone}
      />
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
      <Fold
        title="More about them"
        line={moreLine(draft)}
        open={isMore || faults.email !== undefined}
        onToggle={() => setMore(!isMore)}
        testID="more-of-caller"
      >
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
        <NewcomerQuestions
          settings={business.settings.newcomers}
          isNewcomer
          foundUsBy={draft.foundUsBy}
          answers={draft.newcomerAnswers}
          onChange={({ foundUsBy, answers }) => change({ foundUsBy, newcomerAnswers: answers })}
        />
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap" },
  wide: { flex: 2, minWidth: 130 },
  grow: { flex: 1, minWidth: 72 },
});
