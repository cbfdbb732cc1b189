import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { Controller, useForm, useWatch } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { z } from "zod";
import type { Job } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { FormField } from "../ui/FormField";
import { SPACE } from "../ui/theme";
import { lineOf, typedLine } from "./newLine";
import { PartFinder, useAddPart } from "./PartFinder";
import { readAmount } from "./readAmount";
import { ScanPart } from "./ScanPart";

const KINDS = [
  { value: "labor", label: "Labor" },
  { value: "part", label: "Part" },
  { value: "fee", label: "Fee" },
  { value: "sublet", label: "Bought in" },
  { value: "core", label: "Core" },
] as const;

interface NewLineProps {
  view: WorkOrderView;
  business: Business;
  job: Job;
  onDone: () => void;
}

/** A line typed by hand, for what the library does not have. */
export function NewLine({ view, business, job, onDone }: NewLineProps) {
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  const { control, handleSubmit } = useForm<z.input<typeof typedLine>, unknown, z.output<typeof typedLine>>({
    resolver: zodResolver(typedLine),
    defaultValues: { kind: "labor", description: "", amount: "1", price: "", cost: "" },
  });
  const [kind, description, amount] = useWatch({ control, name: ["kind", "description", "amount"] });
  const [code, setCode] = useState<string | null>(null);
  const addPart = useAddPart(view, job, business);
  const quantity = readAmount(amount) ?? 1;
  // Who may not change prices takes parts that have one.
  const isPicked = kind === "part" && !mayPrice;
  const add = handleSubmit((read) => {
    const line = lineOf(read, uuid(), view.state.rules);
    const from = code !== null && line.kind === "part" ? { from: { of: "barcode" as const, code } } : {};
    sendCommand(view.state.id, { type: "addLine", jobId: job.id, line: { ...line, ...from } });
    onDone();
  });
  return (
    <View style={styles.box}>
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choices
            label="Kind of line"
            options={KINDS.filter(({ value }) => isOpenTo(value, { mayPrice, seesCost }))}
            value={field.value}
            onChoose={field.onChange}
          />
        )}
      />
      <FormField control={control} name="description" label="What" maxLength={120} />
      {kind === "part" ? (
        <>
          <PartFinder
            typed={description}
            quantity={quantity}
            job={job}
            view={view}
            business={business}
            onDone={onDone}
          />
          <ScanPart
            stock={business.settings.stock}
            library={business.library}
            onFound={(choice) => {
              addPart(choice, quantity);
              onDone();
            }}
            onUnknown={setCode}
          />
        </>
      ) : null}
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
      {kind === "labor" || isPicked ? null : (
        <FormField
          control={control}
          name="price"
          label={kind === "sublet" ? "Percent on top" : "Price each"}
          inputMode="decimal"
        />
      )}
      {isPicked ? null : <Button label="Add the line" onPress={() => void add()} />}
      <Button kind="quiet" label="Leave it" onPress={onDone} />
    </View>
  );
}

type Kind = (typeof KINDS)[number]["value"];

/** Labor and parts that have a price are anybody's; what is priced by hand takes the right to. */
function isOpenTo(kind: Kind, { mayPrice, seesCost }: { mayPrice: boolean; seesCost: boolean }): boolean {
  if (kind === "labor" || kind === "part") return true;
  return mayPrice && (kind !== "sublet" || seesCost);
}

const styles = StyleSheet.create({ box: { gap: SPACE.s } });
