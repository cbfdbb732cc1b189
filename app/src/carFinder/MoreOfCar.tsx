import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { AskedOnce, FACT_LABELS, OPEN_FACTS } from "../cars/AskedOnce";
import type { Business } from "../session/useSession";
import { Fold } from "../ui/Fold";
import { SPACE } from "../ui/theme";
import { useCarSearch, type NewCar } from "./carSearch";
import { PlateFields } from "./PlateFields";

/** What else may be said of a car that is new here: nothing has to, and the car's own page asks again. */
export function MoreOfCar({ car, business }: { car: NewCar; business: Business }) {
  const { search, change } = useCarSearch();
  const [isOpen, setOpen] = useState(false);
  const { guess, open = {} } = car;
  const asked = OPEN_FACTS.filter((fact) => (open[fact]?.length ?? 0) > 0);
  const hasPlate = guess.vin === null;
  if (asked.length === 0 && !hasPlate) return null;
  const line = [...(hasPlate ? ["plate"] : []), ...asked].join(", ");
  const say = (part: Partial<NewCar["guess"]>): void => change({ car: { ...car, guess: { ...guess, ...part } } });
  return (
    <Fold title="If you know it" line={line} open={isOpen} onToggle={() => setOpen(!isOpen)} testID="more-of-car">
      <View style={styles.list}>
        {hasPlate ? (
          <PlateFields
            business={business}
            plate={guess.plate ?? ""}
            region={guess.region ?? ""}
            onChange={({ plate, region }) => {
              change({ plate, plateRegion: region });
              say({ plate: plate === "" ? null : plate, region: plate === "" ? null : region });
            }}
          />
        ) : null}
        <AskedOnce
          questions={asked.map((fact) => ({ fact, label: FACT_LABELS[fact], choices: open[fact] ?? [] }))}
          said={search.car?.kind === "new" ? search.car.guess : {}}
          onSay={(fact, value) => say({ [fact]: value })}
        />
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
