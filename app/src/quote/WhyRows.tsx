import { StyleSheet, View } from "react-native";
import { showMoney, stepWords, type Explained, type QuoteSlice } from "@mechanon/core";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";

interface WhyRowsProps {
  explained: Explained;
  quote: QuoteSlice;
}

/** How a figure came about: each rule in words with its share, which add up to it. */
export function WhyRows({ explained: { steps }, quote }: WhyRowsProps) {
  return (
    <View style={styles.rows}>
      {steps.map((step, index) => (
        // Two steps may say the same of different things.
        <Row key={`${index}-${step.rule}`} tone="muted" left={stepWords(step, quote)} right={showMoney(step.cents)} />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ rows: { gap: SPACE.xs, paddingLeft: SPACE.m } });
