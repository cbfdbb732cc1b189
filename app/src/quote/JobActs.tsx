import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { explainedWorkOrder, marginsOf, payerName, type Job, type WorkOrderState } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { DiscountField } from "./DiscountField";
import { FigureField } from "./FigureField";
import { JobWays } from "./JobWays";
import { MarginBar } from "./MarginBar";
import { moveActs } from "./moveActs";
import { SetPriceFields } from "./SetPriceFields";
import { takenOf } from "./takenOf";
import { WhyRows } from "./WhyRows";

type Part = "why" | "less" | "setPrice" | "payer" | "ways" | "name";

interface JobActsProps {
  job: Job;
  state: WorkOrderState;
}

/** What stands about a job as a whole: how its price comes about, one price for all of it, what is taken off, who pays. */
export function JobActs({ job, state }: JobActsProps) {
  const colors = useColors();
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  const [part, setPart] = useState<Part>("why");
  const edit = (change: Extract<Parameters<typeof sendCommand>[1], { type: "editJob" }>["change"]): void =>
    sendCommand(state.id, { type: "editJob", jobId: job.id, change });
  const explained = explainedWorkOrder(state).jobs.get(job.id);
  const margin = marginsOf(state).jobs.get(job.id);
  const { lines: explainedLines } = explainedWorkOrder(state);
  const ofCents = job.lines.reduce<number | null>((found, { id }) => {
    const line = explainedLines.get(id);
    return found ?? (line ? takenOf(line, "job") : null);
  }, null);
  const { up, down } = moveActs(state.jobs, job.id);
  const isFixed = job.finishedAt !== null;
  const move = (beforeJobId: string | null): void =>
    sendCommand(state.id, { type: "moveJob", jobId: job.id, beforeJobId });
  return (
    <View style={[styles.box, { backgroundColor: colors.inset }]}>
      <Choices<Part>
        label={`What to change of ${job.title}`}
        options={[
          { value: "why", label: "Why" },
          ...(isFixed
            ? []
            : [
                ...(mayPrice
                  ? [
                      { value: "less" as const, label: "Less" },
                      { value: "setPrice" as const, label: "Set price" },
                      { value: "payer" as const, label: "Who pays" },
                    ]
                  : []),
                { value: "ways" as const, label: "Ways" },
                { value: "name" as const, label: "Name and place" },
              ]),
        ]}
        value={part}
        onChoose={setPart}
      />
      {part === "why" && explained ? (
        <View style={styles.list} role="group" aria-label={`How ${job.title} comes about`}>
          <WhyRows explained={explained} quote={state} />
          {seesCost && margin ? (
            <MarginBar label="Left" margin={margin} targetPercent={state.rules.targetMarginPercent} />
          ) : null}
        </View>
      ) : null}
      {part === "less" ? (
        <DiscountField label={`Less on ${job.title}`} off={job.off} ofCents={ofCents} onSave={(off) => edit({ off })} />
      ) : null}
      {part === "setPrice" ? <SetPriceFields job={job} onSave={(setPrice) => edit({ setPrice })} /> : null}
      {part === "payer" ? <Payer job={job} state={state} onSave={(payer) => edit({ payer })} /> : null}
      {part === "ways" ? <JobWays workOrderId={state.id} job={job} /> : null}
      {part === "name" ? (
        <>
          <FigureField
            label="Name of the job"
            value={job.title}
            show={(title) => title}
            read={(typed) => (typed.trim() === "" ? null : typed.trim())}
            looksLike="a name is needed"
            isWords
            onSave={(title) => edit({ title })}
          />
          {state.concerns.length > 0 ? (
            <Choices
              label={`What ${job.title} answers`}
              options={[
                { value: "", label: "Stands alone" },
                ...state.concerns.map(({ id, text }) => ({ value: id, label: `Answers “${text}”` })),
              ]}
              value={job.concernId ?? ""}
              onChoose={(concernId) => edit({ concernId: concernId === "" ? null : concernId })}
            />
          ) : null}
          <View style={styles.row}>
            {up ? <Button kind="quiet" label={`Move ${job.title} up`} onPress={() => move(up.beforeId)} /> : null}
            {down ? <Button kind="quiet" label={`Move ${job.title} down`} onPress={() => move(down.beforeId)} /> : null}
          </View>
        </>
      ) : null}
    </View>
  );
}

interface PayerProps {
  job: Job;
  state: WorkOrderState;
  onSave: (payer: { id: string; name: string; isExempt: boolean } | null) => void;
}

/** Who pays for a job: the customer, one who pays for another job already, or a new one. */
function Payer({ job, state, onSave }: PayerProps) {
  const [name, setName] = useState("");
  const [isExempt, setExempt] = useState(false);
  const payers = state.payers ?? [];
  const isNew = name.trim() !== "";
  return (
    <>
      <Choices
        label={`Who pays for ${job.title}`}
        options={[
          { value: "", label: "The customer" },
          ...payers.map(({ id, name: called }) => ({ value: id, label: called })),
        ]}
        value={job.payerId ?? ""}
        onChoose={(id) => onSave(payers.find((payer) => payer.id === id) ?? null)}
      />
      <Field label="Somebody else" value={name} onChangeText={setName} maxLength={120} />
      {isNew ? (
        <>
          <Tick label="Exempt from tax" value={isExempt} onChange={setExempt} />
          <Button
            label={`${name.trim()} pays for it`}
            onPress={() => {
              onSave({ id: uuid(), name: name.trim(), isExempt });
              setName("");
            }}
          />
        </>
      ) : null}
      {job.payerId ? <Words size="small" tone="muted">{`${payerName(state, job.payerId)} pays for it.`}</Words> : null}
    </>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.m, gap: SPACE.m, borderRadius: 4 },
  list: { gap: SPACE.xs },
  row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.m },
});
