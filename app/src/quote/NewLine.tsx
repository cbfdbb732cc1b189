import { zodResolver } from "@hookform/resolvers/zod";
import { Controller, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import type { WorkOrderView } from "@mechanon/contract";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { lineOf, typedLine } from "./newLine";

const KINDS = [
  { value: "labor", label: "Labor" },
  { value: "part", label: "Part" },
  { value: "fee", label: "Fee" },
  { value: "sublet", label: "Bought in" },
  { value: "core", label: "Core" },
] as const;

/** A line typed by hand, for what the library does not have. */
export function NewLine({ view, jobId, onDone }: { view: WorkOrderView; jobId: string; onDone: () => void }) {
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  const { control, handleSubmit } = useForm<z.input<typeof typedLine>, unknown, z.output<typeof typedLine>>({
    resolver: zodResolver(typedLine),
    defaultValues: { kind: "labor", description: "", amount: "1", price: "", cost: "" },
  });
  const kind = useWatch({ control, name: "kind" });
  const add = handleSubmit((read) => {
    sendCommand(view.state.id, { type: "addLine", jobId, line: lineOf(read, uuid(), view.state.rules) });
    onDone();
  });
  return (
    <View style={styles.box}>
      {mayPrice ? (
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <Choices
              label="Kind of line"
              options={KINDS.filter(({ value }) => value !== "sublet" || seesCost)}
              value={field.value}
              onChoose={field.onChange}
            />
          )}
        />
      ) : null}
      <FormField control={control} name="description" label="What" maxLength={120} />
      {kind === "sublet" ? null : (
        <FormField
          control={control}
          name="amount"
          label={kind === "labor" ? "Hours" : "How many"}
          inputMode="decimal"
        />
      )}
      {kind === "sublet" || (kind === "part" && seesCost) ? (
        <FormField
          control={control}
          name="cost"
          label={kind === "sublet" ? "It costs us" : "Cost each"}
          hint={kind === "part" ? "the price is made of it by the table; or type a price" : undefined}
          inputMode="decimal"
        />
      ) : null}
      {kind === "labor" ? null : (
        <FormField
          control={control}
          name="price"
          label={kind === "sublet" ? "Percent on top" : "Price each"}
          inputMode="decimal"
        />
      )}
      <Button label="Add the line" onPress={() => void add()} />
      <Button kind="quiet" label="Leave it" onPress={onDone} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.s } });
