import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { NO_SALE_REASONS, closedWithoutSale, type WorkOrderState } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { NO_SALE_WORDS } from "./noSaleWords";

/** Closing a quote that came to nothing, with why; and going on with it after all. */
export function NoSale({ state }: { state: WorkOrderState }) {
  const [isOpen, setOpen] = useState(false);
  const [words, setWords] = useState("");
  const { jobs } = state;
  const noSale = closedWithoutSale(state);
  if (noSale)
    return (
      <View style={styles.list}>
        <Words strong>
          {`Closed without a sale: ${[NO_SALE_WORDS[noSale.reason], noSale.words].filter(Boolean).join(", ")}`}
        </Words>
        <Button kind="quiet" label="Go on with it" onPress={() => sendCommand(state.id, { type: "goOnSelling" })} />
      </View>
    );
  if (jobs.some(({ answer, finishedAt }) => answer?.value === "yes" || finishedAt !== null)) return null;
  if (!isOpen) return <Button kind="quiet" label="Close without a sale" onPress={() => setOpen(true)} />;
  return (
    <View style={styles.list} role="group" aria-label="Close without a sale">
      <Field label="In their words, if you like" value={words} onChangeText={setWords} maxLength={300} />
      <Choices
        label="Why nothing was sold"
        options={NO_SALE_REASONS.map((reason) => ({ value: reason, label: NO_SALE_WORDS[reason] }))}
        value={null}
        onChoose={(reason) => {
          sendCommand(state.id, { type: "closeWithoutSale", reason, words: words.trim() });
          setOpen(false);
        }}
      />
      <Button kind="quiet" label="Leave it open" onPress={() => setOpen(false)} />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
