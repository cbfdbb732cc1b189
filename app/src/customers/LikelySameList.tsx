import { StyleSheet, View } from "react-native";
import { mainPlace, showPlace } from "@mechanon/core";
import type { LikelySame } from "@mechanon/contract";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { likenessLine } from "./likenessWords";

/** Customers who may be the one being typed, with why; pressing one goes on with them. */
export function LikelySameList({
  likely,
  onPick,
}: {
  likely: readonly LikelySame[];
  onPick: (who: LikelySame) => void;
}) {
  const colors = useColors();
  if (likely.length === 0) return null;
  return (
    <View role="list" aria-label="Likely the same" style={[styles.box, { borderColor: colors.petrol }]}>
      <Words size="small" strong>
        Kept already? Press to go on with them.
      </Words>
      {likely.map((each) => {
        const place = mainPlace(each.customer);
        return (
          <View key={each.customer.id} role="listitem">
            <Press
              label={`Same as ${each.customer.name}, ${likenessLine(each.likenesses)}`}
              onPress={() => onPick(each)}
            >
              <Words strong tone="petrol">
                {each.customer.name}
              </Words>
              <Words size="small">{likenessLine(each.likenesses)}</Words>
              <Words size="small" tone="muted">
                {[place ? showPlace(place) : "", ...each.cars].filter(Boolean).join(" · ")}
              </Words>
            </Press>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.xs } });
