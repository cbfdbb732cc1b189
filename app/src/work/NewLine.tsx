import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/store";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { readNewLine, type NewLineDraft, type NewLineFaults } from "./newLine";

const KINDS = [
  { value: "labor", label: "Labor" },
  { value: "part", label: "Part" },
  { value: "fee", label: "Fee" },
] as const;

/** A line typed by hand, for what the library does not have. */
export function NewLine({ view, jobId, onDone }: { view: WorkOrderView; jobId: string; onDone: () => void }) {
  const mayPrice = useRight("changePrices");
  const [draft, setDraft] = useState<NewLineDraft>({ kind: "labor", description: "", amount: "1", price: "" });
  const [faults, setFaults] = useState<NewLineFaults>({});
  const change = (part: Partial<NewLineDraft>): void => setDraft({ ...draft, ...part });
  const add = (): void => {
    const read = readNewLine(draft, uuid(), view.state.rules);
    if (read.faults) return setFaults(read.faults);
    sendCommand(view.state.id, { type: "addLine", jobId, line: read.line });
    onDone();
  };
  return (
    <View style={styles.box}>
      {mayPrice ? (
        <Choices even label="Kind of line" options={KINDS} value={draft.kind} onChoose={(kind) => change({ kind })} />
      ) : null}
      <Field
        label="What"
        value={draft.description}
        onChangeText={(description) => change({ description })}
        error={faults.description}
        maxLength={120}
      />
      <Field
        label={draft.kind === "labor" ? "Hours" : "How many"}
        inputMode="decimal"
        value={draft.amount}
        onChangeText={(amount) => change({ amount })}
        error={faults.amount}
      />
      {draft.kind === "labor" ? null : (
        <Field
          label="Price each"
          inputMode="decimal"
          value={draft.price}
          onChangeText={(price) => change({ price })}
          error={faults.price}
        />
      )}
      <Button label="Add the line" onPress={add} />
      <Button kind="quiet" label="Leave it" onPress={onDone} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.s } });
