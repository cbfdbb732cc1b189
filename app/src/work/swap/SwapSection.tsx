import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { swapStakes } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { onFile } from "../../newWork/onFile";
import { CustomerSearch } from "../../search/CustomerSearch";
import { give } from "../../sync/give";
import { Button } from "../../ui/Button";
import { useColors } from "../../ui/face";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { ChooseCar } from "./ChooseCar";
import { SwapMeaning, type SwapKeeps } from "./SwapMeaning";
import { swapActs } from "./swapActs";
import type { SwapTarget } from "./swapTarget";

/** The wrong car or customer on a running work order: swapped or taken off, with what that means said before. */
export function SwapSection({ view }: { view: WorkOrderView }) {
  const { customer, vehicle } = view;
  const [what, setWhat] = useState<"vehicle" | "customer" | null>(null);
  const leave = (): void => setWhat(null);
  if (what === null)
    return (
      <View style={styles.row}>
        <Button
          kind="quiet"
          label={vehicle ? "Wrong car?" : "Choose the car"}
          onPress={() => setWhat("vehicle")}
          testID="swap-car"
        />
        <Button
          kind="quiet"
          label={customer ? "Wrong customer?" : "Say whose it is"}
          onPress={() => setWhat("customer")}
          testID="swap-customer"
        />
      </View>
    );
  return <Swap view={view} what={what} onLeave={leave} />;
}

interface SwapProps {
  view: WorkOrderView;
  what: "vehicle" | "customer";
  onLeave: () => void;
}

function Swap({ view, what, onLeave }: SwapProps) {
  const colors = useColors();
  const [target, setTarget] = useState<SwapTarget | null>(null);
  const [keeps, setKeeps] = useState<SwapKeeps>({ keepFindings: false, keepAnswers: false });
  const [fault, setFault] = useState<string | null>(null);
  const swap = async (chosen: SwapTarget): Promise<void> => {
    await give(swapActs(view.state.id, chosen, keeps));
    onLeave();
  };
  return (
    <View style={[styles.box, { borderColor: colors.petrol }]}>
      {fault ? <Notice text={fault} /> : null}
      {target ? (
        <SwapMeaning
          view={view}
          target={target}
          stakes={swapStakes(view.state)}
          keeps={keeps}
          onKeeps={setKeeps}
          onSwap={() => void swap(target)}
        />
      ) : what === "vehicle" ? (
        <ChooseCar view={view} onChoose={setTarget} onFault={setFault} />
      ) : (
        <CustomerSearch
          label="Whose work order is it?"
          verb="Choose"
          onChoose={({ customer }) =>
            setTarget({ kind: "customer", customer: onFile(customer, new Date().toISOString()), name: customer.name })
          }
        />
      )}
      <Button kind="quiet" label="Leave it as it is" onPress={onLeave} />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
  box: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
});
