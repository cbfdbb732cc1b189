import { useState } from "react";
import { StyleSheet, View } from "react-native";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Stepper } from "../ui/Stepper";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

const USUAL_PSI = 33;

/** The tire pressures as they were set; the next visit begins with them. */
export function Pressures({ view }: { view: WorkOrderView }) {
  const { pressures } = view.state;
  const [isOpen, setOpen] = useState(false);
  const [front, setFront] = useState(pressures?.frontPsi ?? USUAL_PSI);
  const [rear, setRear] = useState(pressures?.rearPsi ?? USUAL_PSI);
  if (!isOpen)
    return (
      <Button
        kind="quiet"
        label={pressures ? `Tires set to ${pressures.frontPsi} and ${pressures.rearPsi} psi` : "Tires set to"}
        onPress={() => setOpen(true)}
        style={styles.left}
      />
    );
  return (
    <View style={styles.pressures}>
      <Words>Front</Words>
      <Stepper label="Front" value={front} unit="psi" step={1} least={10} most={120} onChange={setFront} />
      <Words>Rear</Words>
      <Stepper label="Rear" value={rear} unit="psi" step={1} least={10} most={120} onChange={setRear} />
      <Button
        label="Keep the pressures"
        onPress={() => {
          sendCommand(view.state.id, { type: "recordPressures", frontPsi: front, rearPsi: rear });
          setOpen(false);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  left: { alignSelf: "flex-start" },
  pressures: { flexDirection: "row", flexWrap: "wrap", alignItems: "center", gap: SPACE.s },
});
