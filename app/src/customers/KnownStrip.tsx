import { ScrollView, StyleSheet, View } from "react-native";
import type { Mark } from "@mechanon/core";
import { useColors } from "../ui/face";
import { MarkedWords } from "../ui/MarkedWords";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface MarkedText {
  text: string;
  marks?: readonly Mark[];
}

/** Somebody who may be the one being typed. */
export interface StripCard {
  id: string;
  /** What pressing it does, for screen readers. */
  spoken: string;
  title: MarkedText;
  lines: readonly MarkedText[];
  onPress: () => void;
}

export interface KnownStripProps {
  cards: readonly StripCard[];
  /** What stands there instead of cards. */
  instead: string;
}

const MOST_LINES = 3;

/** Who we know that is being typed, beside each other in a room of one height: nothing below it moves as one types. */
export function KnownStrip({ cards, instead }: KnownStripProps) {
  const colors = useColors();
  return (
    <View style={[styles.strip, { backgroundColor: colors.inset }]} role="status">
      {cards.length === 0 ? (
        <Words size="small" tone="muted" style={styles.instead}>
          {instead}
        </Words>
      ) : (
        <ScrollView horizontal keyboardShouldPersistTaps="handled" contentContainerStyle={styles.cards}>
          <View role="list" aria-label="Already known" style={styles.cards}>
            {cards.map(({ id, spoken, title, lines, onPress }) => (
              <View key={id} role="listitem">
                <Press
                  label={spoken}
                  onPress={onPress}
                  style={[styles.card, { borderColor: colors.petrol, backgroundColor: colors.paper }]}
                >
                  <MarkedWords text={title.text} marks={title.marks ?? []} strong tone="petrol" numberOfLines={1} />
                  {lines.slice(0, MOST_LINES).map(({ text, marks = [] }) => (
                    <MarkedWords key={text} text={text} marks={marks} size="small" numberOfLines={1} />
                  ))}
                </Press>
              </View>
            ))}
          </View>
        </ScrollView>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { height: 108, borderRadius: 4, justifyContent: "center" },
  instead: { paddingHorizontal: SPACE.m },
  cards: { flexDirection: "row", gap: SPACE.s, padding: SPACE.xs, alignItems: "stretch" },
  card: {
    width: 232,
    height: 96,
    borderWidth: 1.5,
    borderRadius: 4,
    paddingHorizontal: SPACE.s,
    paddingVertical: SPACE.xs,
  },
});
