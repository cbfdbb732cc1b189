import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMiles } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

const REASONS = ["Misread", "Typed wrong", "Of another car", "In kilometers"] as const;

/** Takes a wrong reading off a work order, with why. */
export function TakeBackOdometer({ workOrderId, miles }: { workOrderId: string; miles: number }) {
  const [isAsking, setAsking] = useState(false);
  if (!isAsking)
    return (
      <Button
        kind="quiet"
        label="That reading was wrong"
        spoken={`That reading was wrong: ${showMiles(miles)}`}
        onPress={() => setAsking(true)}
        style={styles.left}
      />
    );
  return (
    <View style={styles.list}>
      <Words size="small" strong>{`Why ${showMiles(miles)} is taken back`}</Words>
      <Choices
        label={`Why ${showMiles(miles)} is taken back`}
        options={REASONS.map((value) => ({ value, label: value }))}
        value={null}
        onChoose={(reason) => {
          sendCommand(workOrderId, { type: "takeBackOdometer", miles, reason });
          setAsking(false);
        }}
      />
      <Button kind="quiet" label="It stays" onPress={() => setAsking(false)} style={styles.left} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  left: { alignSelf: "flex-start" },
});
