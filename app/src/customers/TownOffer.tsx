import { useEffect, useRef } from "react";
import { StyleSheet, View } from "react-native";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { useTowns, type Town } from "./useTowns";

/** Fills town and state from the postcode when both are empty; several towns are offered, nothing typed is replaced. */
export function TownOffer({
  postcode,
  town,
  onFill,
}: {
  postcode: string;
  town: string;
  onFill: (town: Town) => void;
}) {
  const towns = useTowns(postcode);
  const filled = useRef("");
  const [only] = towns;
  useEffect(() => {
    if (towns.length !== 1 || !only || town !== "" || filled.current === postcode) return;
    filled.current = postcode;
    onFill(only);
  }, [towns.length, only, town, postcode, onFill]);
  if (towns.length < 2 || towns.some((each) => each.town === town)) return null;
  return (
    <View style={styles.row}>
      {towns.map((each) => (
        <Button key={each.town} label={`${each.town}, ${each.region}`} onPress={() => onFill(each)} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s } });
