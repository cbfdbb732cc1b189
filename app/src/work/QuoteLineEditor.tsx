import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { readMoney, showMoney, type MoneyRules, type QuoteLine } from "@mechanon/core";
import { readAmount } from "./readAmount";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Stepper } from "../ui/Stepper";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { LineChoices } from "./LineChoices";

const HOUR_STEP = 0.1;

/** Changes hours, quantity and price of one line. */
export function QuoteLineEditor({
  workOrderId,
  line,
  rules,
  unitPriceCents,
  onDone,
  more,
}: {
  workOrderId: string;
  line: QuoteLine;
  rules: MoneyRules;
  unitPriceCents: number;
  onDone: () => void;
  more: ReactNode;
}) {
  const colors = useColors();
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  const shown = (unitPriceCents / 100).toFixed(2);
  // A rate that is chosen below is what stands here, until another is typed.
  const [typedPrice, setTyped] = useState<string | null>(null);
  const typed = typedPrice ?? shown;
  const price = readMoney(typed);
  const isLabor = line.kind === "labor";
  const amount = isLabor ? line.hours : line.quantity;
  const [typedAmount, setTypedAmount] = useState<string | null>(null);
  const exact = readAmount(typedAmount ?? String(amount));
  const change = (figures: { hours?: number; quantity?: number; priceCents?: number }): void =>
    sendCommand(workOrderId, {
      type: "changeLine",
      lineId: line.id,
      hours: figures.hours ?? null,
      quantity: figures.quantity ?? null,
      priceCents: figures.priceCents ?? null,
    });
  const saveAmount = (): void => {
    if (exact !== null && exact !== amount) change(isLabor ? { hours: exact } : { quantity: exact });
    if (exact !== null) setTypedAmount(null);
  };
  const savePrice = (): void => {
    if (price !== null && price !== unitPriceCents) change({ priceCents: price });
    if (price !== null) setTyped(null);
  };
  return (
    <View style={[styles.box, { backgroundColor: colors.inset }]}>
      {isLabor ? (
        <Stepper
          label={`Hours of ${line.description}`}
          unit="h"
          value={line.hours}
          step={HOUR_STEP}
          onChange={(hours) => change({ hours })}
        />
      ) : (
        <Stepper
          label={`Quantity of ${line.description}`}
          unit="×"
          value={line.quantity}
          step={1}
          onChange={(quantity) => change({ quantity })}
        />
      )}
      <Field
        label={isLabor ? "Exact hours" : "Exact quantity"}
        inputMode="decimal"
        value={typedAmount ?? String(amount)}
        onChangeText={setTypedAmount}
        onBlur={saveAmount}
        onSubmitEditing={saveAmount}
        error={exact === null ? "a number like 1 or 7.6" : null}
      />
      {mayPrice ? (
        <Field
          label={isLabor ? "Rate an hour" : "Price each"}
          inputMode="decimal"
          value={typed}
          onChangeText={setTyped}
          onBlur={savePrice}
          onSubmitEditing={savePrice}
          error={price === null ? "an amount looks like 84.50" : null}
        />
      ) : (
        <Words
          size="small"
          tone="muted"
          figures
        >{`${showMoney(unitPriceCents)} each; you may not change prices`}</Words>
      )}
      {seesCost && line.kind === "part" && line.costCents !== null ? (
        <Words size="small" tone="muted" figures>
          {`Cost ${showMoney(line.costCents)} each; ${line.priceCents === null ? `priced by the table “${line.markup ?? ""}”` : "price set by hand"}`}
        </Words>
      ) : null}
      <LineChoices workOrderId={workOrderId} line={line} rules={rules} />
      {more}
      <View style={styles.acts}>
        <Button
          kind="quiet"
          label="Remove this line"
          onPress={() => sendCommand(workOrderId, { type: "removeLine", lineId: line.id })}
        />
        <Button
          label="Done"
          // What does not fit stays in sight until it does, or is taken back.
          disabled={exact === null || (mayPrice && price === null)}
          onPress={() => {
            saveAmount();
            savePrice();
            onDone();
          }}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.m, gap: SPACE.m, borderRadius: 4 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
