import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { useCarSearch } from "./carSearch";
import { PlateFields } from "./PlateFields";
import type { Business } from "../session/useSession";

/** For what no register knows: a trailer, a mower, a boat, an import. */
export function CarByHand({ business }: { business: Business }) {
  const { search, change } = useCarSearch();
  const [isTried, setTried] = useState(false);
  const year = search.year.trim() === "" ? null : Number(search.year);
  const isYear = year === null || (Number.isInteger(year) && year >= 1886 && year <= 2100);
  const isNamed = search.make.trim() !== "" || search.model.trim() !== "";
  const confirm = (): void => {
    setTried(true);
    if (!isYear || !isNamed) return;
    const plate = search.plate.trim();
    const region = plate === "" ? null : search.plateRegion || (business.settings.regions[0] ?? null);
    change({
      car: {
        kind: "new",
        vinNote: null,
        guess: {
          vin: search.serial.trim() || null,
          plate: plate || null,
          region,
          year,
          make: search.make.trim() || null,
          model: search.model.trim() || null,
          trim: null,
          engine: null,
          drive: null,
          transmission: null,
          color: null,
        },
      },
    });
  };
  return (
    <View style={styles.list}>
      <Field
        label="Year"
        inputMode="numeric"
        value={search.year}
        onChangeText={(typed) => change({ year: typed })}
        error={isYear ? null : "a year like 2006"}
        maxLength={4}
        autoComplete="off"
      />
      <Field
        label="Make"
        value={search.make}
        onChangeText={(make) => change({ make })}
        error={isTried && !isNamed ? "a make or a model is needed" : null}
        maxLength={80}
        autoComplete="off"
      />
      <Field
        label="Model, or what it is: trailer, mower, boat"
        value={search.model}
        onChangeText={(model) => change({ model })}
        maxLength={120}
        autoComplete="off"
      />
      <Field
        label="Serial number or old VIN, if it has one"
        mono
        autoCapitalize="characters"
        value={search.serial}
        onChangeText={(serial) => change({ serial })}
        hint="Cars before 1981 have one of their maker's own length"
        maxLength={40}
        autoComplete="off"
      />
      <PlateFields
        business={business}
        plate={search.plate}
        region={search.plateRegion}
        onChange={({ plate, region }) => change({ plate, plateRegion: region })}
      />
      <Button label="Yes, this one" onPress={confirm} testID="confirm-hand" />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
