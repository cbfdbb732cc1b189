import { StyleSheet, View } from "react-native";
import { showCustomer, showVehicle, swapWords, type SwapChoice, type SwapStakes } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { showNumber } from "../showNumber";
import type { SwapTarget } from "./swapTarget";

/** What of the work goes along. */
export type SwapKeeps = Pick<SwapChoice, "keepFindings" | "keepAnswers">;

interface SwapMeaningProps {
  view: WorkOrderView;
  target: SwapTarget;
  stakes: SwapStakes;
  keeps: SwapKeeps;
  onKeeps: (keeps: SwapKeeps) => void;
  onSwap: () => void;
}

/** What a swap means, asked and said before it is done. */
export function SwapMeaning({ view, target, stakes, keeps, onKeeps, onSwap }: SwapMeaningProps) {
  const was = target.kind === "customer" ? showCustomer(view.customer) : showVehicle(view.vehicle);
  const wasLookedAt = stakes.findings > 0 || stakes.odometerMiles !== null;
  return (
    <>
      <Words strong>{`${showNumber(view.number)}: ${was} becomes ${target.name}`}</Words>
      {target.kind !== "customer" && wasLookedAt ? (
        <YesNo
          label="Was the right car looked at?"
          yes="Yes, only the record was wrong"
          no="No, it was the other car"
          value={keeps.keepFindings}
          onChange={(keepFindings) => onKeeps({ ...keeps, keepFindings })}
        />
      ) : null}
      {stakes.answers > 0 ? (
        <YesNo
          label="Do the answers still hold?"
          yes="Yes, they were meant for this"
          no="No, ask anew"
          value={keeps.keepAnswers}
          onChange={(keepAnswers) => onKeeps({ ...keeps, keepAnswers })}
        />
      ) : null}
      <View role="list" aria-label="What this means">
        {swapWords(stakes, { kind: target.kind, ...keeps }).map((words) => (
          <View key={words} role="listitem">
            <Words>{`• ${words}`}</Words>
          </View>
        ))}
      </View>
      <Button
        label={target.kind === "detach" ? "Take the car off" : `Make it ${target.name}`}
        onPress={onSwap}
        testID="swap"
      />
    </>
  );
}

interface YesNoProps {
  label: string;
  yes: string;
  no: string;
  value: boolean;
  onChange: (value: boolean) => void;
}

function YesNo({ label, yes, no, value, onChange }: YesNoProps) {
  return (
    <View style={styles.list}>
      <Words size="small" strong>
        {label}
      </Words>
      <Choices
        label={label}
        options={[
          { value: "yes", label: yes },
          { value: "no", label: no },
        ]}
        value={value ? "yes" : "no"}
        onChoose={(chosen) => onChange(chosen === "yes")}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
});
