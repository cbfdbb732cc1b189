import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { showAmount, showMoney, type Job, type Margin, type QuoteLine, type QuoteSlice } from "@mechanon/core";
import { useToday } from "../day/useDay";
import { sourceWords } from "../jobLibrary/fitWords";
import { rateWords } from "../jobLibrary/rateWords";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { conditionWords } from "./conditionWords";
import { discountWords } from "./discountWords";
import { fromWords } from "./fromWords";
import { LineEditor } from "./LineEditor";
import { MarginBar } from "./MarginBar";

export interface QuoteLineRowProps {
  workOrderId: string;
  line: QuoteLine;
  job: Job;
  quote: QuoteSlice;
  netCents: number;
  unitPriceCents: number;
  /** Null: whoever looks may not see it, or it is where it should be. */
  margin: Margin | null;
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
  job,
  quote,
  netCents,
  unitPriceCents,
  margin,
  isFixed,
  isEditing,
  onEdit,
  more,
}: QuoteLineRowProps) {
  const amount = showAmount(line);
  const today = useToday();
  return (
    <View>
      <Press
        label={`${amount} ${line.description}, ${showMoney(netCents)}, change`}
        disabled={isFixed}
        aria-expanded={isEditing}
        onPress={() => onEdit(isEditing ? null : line.id)}
      >
        <View style={styles.row}>
          <Words figures tone="muted" style={styles.amount}>
            {amount}
          </Words>
          <View style={styles.grow}>
            <Words>{line.description}</Words>
            {wordsBelow(line, quote, today).map((words) => (
              <Words key={words} size="small" tone="muted" figures>
                {words}
              </Words>
            ))}
          </View>
          <Words figures>{showMoney(netCents)}</Words>
        </View>
      </Press>
      {margin && !isEditing ? (
        <View style={styles.below}>
          <MarginBar label={line.description} margin={margin} targetPercent={quote.rules.targetMarginPercent} />
        </View>
      ) : null}
      {isEditing ? (
        <LineEditor
          workOrderId={workOrderId}
          line={line}
          job={job}
          quote={quote}
          unitPriceCents={unitPriceCents}
          netCents={netCents}
          onDone={() => onEdit(null)}
          more={more}
        />
      ) : null}
    </View>
  );
}

/** What is to be known of a line at a glance. */
function wordsBelow(line: QuoteLine, { rules }: QuoteSlice, today: string): string[] {
  const rated = rateWords(line, rules);
  const condition = line.kind === "part" ? conditionWords(line) : null;
  const from = line.kind === "part" ? fromWords(line, today) : null;
  const number = line.kind === "part" && line.partNumber ? `${line.brand ?? ""} ${line.partNumber}`.trim() : null;
  return [
    ...(line.byHand ? [line.kind === "labor" ? "Hours typed by hand" : "Quantity typed by hand"] : []),
    ...sourceWords(line),
    ...(rated ? [rated] : []),
    ...(condition ? [condition] : []),
    ...(number ? [number] : []),
    ...(from ? [from] : []),
    ...(line.kind !== "core" && line.off ? [discountWords(line.off)] : []),
    ...(line.noteForCustomer ? [`“${line.noteForCustomer}”`] : []),
    ...(line.noteForUs ? [`For us: ${line.noteForUs}`] : []),
  ];
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "baseline" },
  amount: { width: 58 },
  grow: { flex: 1 },
  below: { paddingLeft: 58 + SPACE.s, paddingBottom: SPACE.xs },
});
