import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import {
  amountOf,
  explainedWorkOrder,
  readMoney,
  showMoney,
  type Job,
  type QuoteLine,
  type QuoteSlice,
} from "@mechanon/core";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Stepper } from "../ui/Stepper";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { CostFields } from "./CostFields";
import { DiscountField } from "./DiscountField";
import { figureCommand } from "./figureCommand";
import { FigureField } from "./FigureField";
import { LineActs } from "./LineActs";
import { LineChoices } from "./LineChoices";
import { LineWhy } from "./LineWhy";
import { NoteFields } from "./NoteFields";
import { takenOf } from "./takenOf";
import { readAmount } from "./readAmount";
import { useFaults } from "./useFaults";

const HOUR_STEP = 0.1;
const money = (cents: number): string => (cents / 100).toFixed(2);
const AMOUNT = "an amount looks like 84.50";

/** The parts of the editor, one open at a time. */
type Part = "choices" | "why" | "less" | "notes" | "more";

interface LineEditorProps {
  workOrderId: string;
  line: QuoteLine;
  job: Job;
  quote: QuoteSlice;
  unitPriceCents: number;
  netCents: number;
  onDone: () => void;
  /** What the line leads to. */
  more: ReactNode;
}

/** Changes one line: how many and for how much at once, the rest one part at a time. */
export function LineEditor({ workOrderId, line, job, quote, unitPriceCents, netCents, onDone, more }: LineEditorProps) {
  const colors = useColors();
  const mayPrice = useRight("changePrices");
  const [part, setPart] = useState<Part>("choices");
  const { hasFault, onFault } = useFaults();
  const isLabor = line.kind === "labor";
  const amount = amountOf(line);
  const explained = explainedWorkOrder(quote).lines.get(line.id);
  const change = (figures: { amount?: number; priceCents?: number }): void =>
    sendCommand(workOrderId, figureCommand(line, figures));
  return (
    <View style={[styles.box, { backgroundColor: colors.inset }]}>
      {line.kind === "sublet" ? null : (
        <View style={styles.row}>
          <Stepper
            label={`${isLabor ? "Hours" : "Quantity"} of ${line.description}`}
            unit={isLabor ? "h" : "×"}
            value={amount}
            step={isLabor ? HOUR_STEP : 1}
            onChange={(next) => change({ amount: next })}
          />
          <View style={styles.field}>
            <FigureField
              label={isLabor ? "Exact hours" : "Exact quantity"}
              value={amount}
              show={String}
              read={readAmount}
              looksLike="a number like 1 or 7.6"
              onSave={(next) => change({ amount: next })}
              onFault={onFault}
            />
          </View>
        </View>
      )}
      {mayPrice ? null : (
        <Words size="small" tone="muted" figures>
          {`${showMoney(line.kind === "sublet" ? netCents : unitPriceCents)} each; you may not change prices`}
        </Words>
      )}
      <View style={styles.row}>
        {mayPrice && line.kind !== "sublet" ? (
          <View style={styles.field}>
            <FigureField
              label={isLabor ? "Rate an hour" : "Price each"}
              value={unitPriceCents}
              show={money}
              read={readMoney}
              looksLike={AMOUNT}
              onSave={(priceCents) => change({ priceCents })}
              onFault={onFault}
            />
          </View>
        ) : null}
        <CostFields workOrderId={workOrderId} line={line} onFault={onFault} />
      </View>
      <Choices<Part>
        even
        label={`What to change of ${line.description}`}
        options={[
          { value: "choices", label: isLabor ? "Labor" : line.kind === "part" ? "Part" : "Line" },
          { value: "why", label: "Why" },
          ...(mayPrice && line.kind !== "core" ? [{ value: "less" as const, label: "Less" }] : []),
          { value: "notes", label: line.noteForCustomer || line.noteForUs ? "Notes ●" : "Notes" },
          { value: "more", label: "More" },
        ]}
        value={part}
        onChoose={setPart}
      />
      {part === "choices" ? (
        <>
          <LineChoices workOrderId={workOrderId} line={line} rules={quote.rules} />
          {more}
        </>
      ) : null}
      {part === "why" ? <LineWhy line={line} quote={quote} /> : null}
      {part === "less" ? (
        <Tick
          label="No tax on it"
          value={line.taxIds?.length === 0}
          onChange={(isFree) =>
            sendCommand(workOrderId, { type: "editLine", lineId: line.id, change: { taxIds: isFree ? [] : null } })
          }
        />
      ) : null}
      {part === "less" && line.kind !== "core" ? (
        job.setPrice ? (
          <Words size="small">The job has one price for all of it: take it off the job instead.</Words>
        ) : (
          <DiscountField
            label={`Less on ${line.description}`}
            off={line.off}
            ofCents={explained ? takenOf(explained, "line") : null}
            onSave={(off) => sendCommand(workOrderId, { type: "editLine", lineId: line.id, change: { off } })}
            onFault={onFault}
          />
        )
      ) : null}
      {part === "notes" ? <NoteFields workOrderId={workOrderId} line={line} onFault={onFault} /> : null}
      {part === "more" ? <LineActs workOrderId={workOrderId} line={line} job={job} jobs={quote.jobs} /> : null}
      <View style={styles.acts}>
        <Button
          kind="quiet"
          label="Remove this line"
          onPress={() => sendCommand(workOrderId, { type: "removeLine", lineId: line.id })}
        />
        {/* What does not fit stays in sight until it does, or is taken back. */}
        <Button label="Done" disabled={hasFault} onPress={onDone} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.m, gap: SPACE.m, borderRadius: 4 },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.m, alignItems: "flex-end" },
  field: { flexGrow: 1, flexBasis: 110 },
  acts: { flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" },
});
