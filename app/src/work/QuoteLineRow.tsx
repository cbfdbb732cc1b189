import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { showMoney, type MoneyRules, type QuoteLine } from "@mechanon/core";
import { includedWords, sourceWords } from "../jobLibrary/fitWords";
import { rateWords } from "../jobLibrary/rateWords";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { QuoteLineEditor } from "./QuoteLineEditor";

export interface QuoteLineRowProps {
  workOrderId: string;
  line: QuoteLine;
  rules: MoneyRules;
  netCents: number;
  unitPriceCents: number;
  /** Its job is finished: nothing of it changes any more. */
  isFixed: boolean;
  /** It stands open to be changed. */
  isEditing: boolean;
  /** Opens this line, or none, to be changed. */
  onEdit: (lineId: string | null) => void;
  /** What else there is to do with it while it stands open. */
  more: ReactNode;
}

/** A line of a job, changed where it stands. By itself, so that a changed one draws none of the others again. */
export function QuoteLineRow({
  workOrderId,
  line,
  rules,
  netCents,
  unitPriceCents,
  isFixed,
  isEditing,
  onEdit,
  more,
}: QuoteLineRowProps) {
  const quantity = line.kind === "labor" ? `${line.hours} h` : `${line.quantity} ×`;
  const rated = rateWords(line, rules);
  const ratedWords = [
    ...(rated ? [rated] : []),
    ...(line.kind === "part" && line.isCustomers ? ["Brought by the customer"] : []),
  ];
  return (
    <View>
      <Press
        label={`${quantity} ${line.description}, ${showMoney(netCents)}, change`}
        disabled={isFixed}
        aria-expanded={isEditing}
        onPress={() => onEdit(isEditing ? null : line.id)}
      >
        <View style={styles.row}>
          <Words figures tone="muted" style={styles.quantity}>
            {quantity}
          </Words>
          <View style={styles.grow}>
            <Words>{line.description}</Words>
            {line.byHand ? (
              <Words size="small" tone="muted">
                {line.kind === "labor" ? "Hours typed by hand" : "Quantity typed by hand"}
              </Words>
            ) : null}
            {[...sourceWords(line), ...ratedWords].map((words) => (
              <Words key={words} size="small" tone="muted" figures>
                {words}
              </Words>
            ))}
            {line.kind === "part" && line.partNumber ? (
              <Words size="small" tone="muted">
                {`${line.brand ?? ""} ${line.partNumber}`.trim()}
              </Words>
            ) : null}
          </View>
          <Words figures>{showMoney(netCents)}</Words>
        </View>
      </Press>
      {isEditing && line.kind === "labor" && line.steps ? (
        <Words size="small" tone="muted" figures>
          {includedWords(line.steps)}
        </Words>
      ) : null}
      {isEditing ? (
        <QuoteLineEditor
          workOrderId={workOrderId}
          line={line}
          rules={rules}
          unitPriceCents={unitPriceCents}
          onDone={() => onEdit(null)}
          more={more}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "baseline" },
  quantity: { width: 58 },
  grow: { flex: 1 },
});
