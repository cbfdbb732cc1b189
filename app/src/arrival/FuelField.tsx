import type { WorkOrderView } from "@mechanon/contract";
import { View } from "react-native";
import { useCarFacts } from "../jobLibrary/useCarFacts";
import { sendCommand } from "../sync/give";
import { Choices } from "../ui/Choices";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { fuelWords } from "./arrivalWords";

const EIGHTHS = [0, 2, 4, 6, 8];
const PERCENTS = [10, 25, 50, 75, 100];

/** How full it came: the tank by its gauge, or the battery of a car that has no tank. */
export function FuelField({ view }: { view: WorkOrderView }) {
  const { fuel } = view.state;
  const isElectric = useCarFacts(view).power?.value === "electric";
  const steps = isElectric ? PERCENTS : EIGHTHS;
  const read = (step: number) => (isElectric ? { eighths: null, percent: step } : { eighths: step, percent: null });
  return (
    <View style={{ gap: SPACE.xs }}>
      <Words size="small" strong>
        {isElectric ? "Charge" : "Fuel"}
      </Words>
      <Choices
        even
        label={isElectric ? "Charge" : "Fuel"}
        options={steps.map((step) => ({ value: String(step), label: fuelWords(read(step)) }))}
        value={fuel ? String(fuel.eighths ?? fuel.percent) : null}
        onChoose={(value) => sendCommand(view.state.id, { type: "recordFuel", ...read(Number(value)) })}
      />
    </View>
  );
}
