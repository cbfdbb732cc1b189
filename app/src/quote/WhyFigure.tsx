import { useState, type ReactNode } from "react";
import { View } from "react-native";
import { showMoney } from "@mechanon/core";
import { Press } from "../ui/Press";
import { Row } from "../ui/Row";

interface WhyFigureProps {
  label: string;
  cents: number;
  strong?: boolean;
  rule?: boolean;
  /** How it came about. */
  children: ReactNode;
}

/** A figure that says how it came about when it is touched. */
export function WhyFigure({ label, cents, strong = false, rule = false, children }: WhyFigureProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <View>
      <Press
        label={`${label} ${showMoney(cents)}, how it comes about`}
        aria-expanded={isOpen}
        onPress={() => setOpen(!isOpen)}
      >
        <Row strong={strong} rule={rule} left={label} right={showMoney(cents)} />
      </Press>
      {isOpen ? children : null}
    </View>
  );
}
