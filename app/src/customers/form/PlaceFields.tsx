import { useCallback } from "react";
import { useWatch, type UseFormSetValue } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { Place } from "@mechanon/core";
import type { CustomerFields } from "@mechanon/contract";
import { StreetField } from "../../newWork/StreetField";
import { nowhere } from "../../work/nowhere";
import { SPACE } from "../../ui/theme";
import { TownOffer } from "../TownOffer";
import type { Town } from "../useTowns";
import { FormField } from "../../ui/FormField";
import type { CustomerControl } from "./customerControl";
import type { Business } from "../../session/useSession";

type PlaceName = "billingAddress" | `serviceAddresses.${number}.place`;

export interface PlaceFieldsProps {
  control: CustomerControl;
  setValue: UseFormSetValue<CustomerFields>;
  name: PlaceName;
  business: Business | undefined;
}

/** Street, postcode, town and state; the postcode fills the last two. */
export function PlaceFields({ control, setValue, name, business }: PlaceFieldsProps) {
  const place = useWatch({ control, name });
  const fill = useCallback(
    ({ town, region }: Town) => {
      setValue(`${name}.town`, town);
      setValue(`${name}.region`, region);
    },
    [setValue, name],
  );
  const change = (part: Partial<Place>): void => setValue(name, { ...nowhere(), ...place, ...part });
  return (
    <View style={styles.list}>
      {business ? (
        <StreetField
          business={business}
          street={place?.street ?? ""}
          isPlaced={(place?.latitude ?? null) !== null}
          onType={(street) => change({ street, latitude: null, longitude: null })}
          onPick={({ address, street: { name: _name, ...found } }) => change({ ...found, street: address })}
          pin={{
            at: { latitude: place?.latitude ?? null, longitude: place?.longitude ?? null },
            onPin: ({ latitude, longitude }) => change({ latitude, longitude }),
          }}
        />
      ) : (
        <FormField control={control} name={`${name}.street`} label="Street and number" maxLength={200} />
      )}
      <View style={styles.row}>
        <FormField control={control} name={`${name}.postcode`} label="Postcode" maxLength={20} style={styles.short} />
        <FormField control={control} name={`${name}.town`} label="Town" maxLength={100} style={styles.wide} />
        <FormField
          control={control}
          name={`${name}.region`}
          label="State"
          maxLength={40}
          autoCapitalize="characters"
          style={styles.short}
        />
      </View>
      <TownOffer postcode={place?.postcode ?? ""} town={place?.town ?? ""} onFill={fill} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap" },
  wide: { flex: 2, minWidth: 130 },
  short: { flex: 1, minWidth: 84 },
});
