import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { amountOf, type Job, type QuoteLine } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { moveActs } from "./moveActs";
import { readAmount } from "./readAmount";

interface LineActsProps {
  workOrderId: string;
  line: QuoteLine;
  job: Job;
  jobs: readonly Job[];
}

/** Copies a line, splits it, or puts it elsewhere. */
export function LineActs({ workOrderId, line, job, jobs }: LineActsProps) {
  const mayPrice = useRight("changePrices");
  const [typed, setTyped] = useState("");
  const amount = readAmount(typed);
  const isFault = typed.trim() !== "" && (amount === null || amount === 0 || amount >= amountOf(line));
  const others = jobs.filter(({ id, finishedAt }) => id !== job.id && finishedAt === null);
  const { up, down } = moveActs(job.lines, line.id);
  const move = (jobId: string, beforeLineId: string | null): void =>
    sendCommand(workOrderId, { type: "moveLine", lineId: line.id, jobId, beforeLineId });
  return (
    <View style={styles.list}>
      <View style={styles.row}>
        {up ? <Button kind="quiet" label="Move up" onPress={() => move(job.id, up.beforeId)} /> : null}
        {down ? <Button kind="quiet" label="Move down" onPress={() => move(job.id, down.beforeId)} /> : null}
        {mayPrice || line.kind === "labor" ? (
          <Button
            kind="quiet"
            label="Copy this line"
            onPress={() => sendCommand(workOrderId, { type: "copyLine", lineId: line.id, newLineId: uuid() })}
          />
        ) : null}
      </View>
      {others.map(({ id, title }) => (
        <Button key={id} kind="quiet" label={`Move to ${title}`} onPress={() => move(id, null)} />
      ))}
      {line.kind === "sublet" ? null : (
        <>
          <Field
            label={line.kind === "labor" ? "Hours to split off" : "How many to split off"}
            inputMode="decimal"
            value={typed}
            onChangeText={setTyped}
            error={isFault ? `more than 0 and less than ${amountOf(line)}` : null}
          />
          <Button
            label="Split this line"
            disabled={amount === null || isFault}
            onPress={() => {
              if (amount === null) return;
              sendCommand(workOrderId, { type: "splitLine", lineId: line.id, newLineId: uuid(), amount });
              setTyped("");
            }}
          />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.m },
});
