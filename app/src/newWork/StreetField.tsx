import { useState, type Ref } from "react";
import { ScrollView, StyleSheet, View, type TextInput } from "react-native";
import type { Business } from "../session/useSession";
import type { Spot } from "@mechanon/core";
import type { Point } from "../places/mapView";
import { PinMap } from "../places/PinMap";
import { Button } from "../ui/Button";
import { MapPin } from "../ui/icons";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { streetsLike, withFound, type StreetOffer } from "./streets";
import { useAddresses } from "./useAddresses";

export interface StreetFieldProps {
  business: Business;
  label?: string;
  street: string;
  /** Its point is known. */
  isPlaced: boolean;
  onType: (street: string) => void;
  onPick: (offer: StreetOffer) => void;
  /** The point it has by a pin; left out where none is put. */
  pin?: { at: Spot; onPin: (point: Point) => void };
  onNext?: () => void;
  ref?: Ref<TextInput>;
}

/** Street and number; the streets of the area it may mean stand in a row of their own, whose room is always there. */
export function StreetField({
  business,
  label = "Street and number",
  street,
  isPlaced,
  onType,
  onPick,
  pin,
  onNext,
  ref,
}: StreetFieldProps) {
  const [isMapOpen, setMapOpen] = useState(false);
  const found = useAddresses(street);
  const offers = withFound(streetsLike(street, business.settings.streets), found).filter(
    ({ address }) => address.toLowerCase() !== street.trim().toLowerCase() || !isPlaced,
  );
  return (
    <View style={styles.list}>
      <Field
        ref={ref}
        label={label}
        value={street}
        onChangeText={onType}
        onSubmitEditing={onNext}
        submitBehavior="submit"
        maxLength={200}
        autoComplete="off"
      />
      {business.settings.streets.length > 0 ? (
        <ScrollView
          horizontal
          keyboardShouldPersistTaps="handled"
          style={styles.row}
          contentContainerStyle={styles.chips}
        >
          {offers.length === 0 ? (
            <Words size="small" tone="muted">
              Streets you work in are offered here.
            </Words>
          ) : null}
          {offers.map((offer) => (
            <Button
              key={`${offer.address}, ${offer.street.town}`}
              label={`${offer.address}, ${offer.street.town}`}
              onPress={() => onPick(offer)}
            />
          ))}
        </ScrollView>
      ) : null}
      {pin && isMapOpen ? (
        <PinMap
          at={pin.at}
          home={business.settings.home}
          onPin={(point) => {
            pin.onPin(point);
            setMapOpen(false);
          }}
          onClose={() => setMapOpen(false)}
        />
      ) : null}
      {pin && !isMapOpen ? (
        <Button
          kind="quiet"
          icon={MapPin}
          label={isPlaced ? "On the map; move the pin" : "Put a pin on the map"}
          onPress={() => setMapOpen(true)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  row: { height: 52, flexGrow: 0 },
  chips: { gap: SPACE.s, alignItems: "center" },
});
