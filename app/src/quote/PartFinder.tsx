import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { Job } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useFitter } from "../jobLibrary/useFitter";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { partChoices, partCommand, type PartChoice } from "./partChoices";
import { useUsedParts } from "./useUsedParts";

interface PartFinderProps {
  typed: string;
  quantity: number;
  job: Job;
  view: WorkOrderView;
  business: Business;
  onDone: () => void;
}

/** Parts by what is typed: on the van, kept ready, used before; one tap puts one on the job. */
export function PartFinder({ typed, quantity, job, view, business, onDone }: PartFinderProps) {
  const add = useAddPart(view, job, business);
  const used = useUsedParts(typed);
  const mayPrice = useRight("changePrices");
  const choices = partChoices(typed, business.settings.stock, business.library, mayPrice ? used : [], view.state.rules);
  return (
    <View style={styles.list}>
      {choices.map((choice) => (
        <Button
          key={choice.key}
          label={`${choice.title}: ${choice.why.charAt(0).toLowerCase()}${choice.why.slice(1)}`}
          onPress={() => {
            add(choice, quantity);
            onDone();
          }}
        />
      ))}
    </View>
  );
}

/** Puts a part on a job, from wherever it comes. */
export function useAddPart(
  view: WorkOrderView,
  job: Job,
  business: Business,
): (choice: PartChoice, quantity: number) => void {
  const { facts, isAfterHours } = useFitter(view, business);
  const { id: workOrderId, rules } = view.state;
  const to = { jobId: job.id, rules, fit: { facts, isAfterHours } };
  return (choice, quantity) => sendCommand(workOrderId, partCommand(choice, { ...to, lineId: uuid(), quantity }));
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
