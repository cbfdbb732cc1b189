import { useState } from "react";
import { View } from "react-native";
import { LAMPS, type Lamp } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Toggles } from "../ui/Toggles";
import { Words } from "../ui/Words";
import { LAMP_WORDS } from "./arrivalWords";

/** Warning lamps that were on as the car came; none is a word of its own. */
export function LampsField({ view: { state } }: { view: WorkOrderView }) {
  const [isOpen, setOpen] = useState(false);
  const on = state.lamps?.on ?? [];
  const keep = (chosen: readonly string[]): void =>
    sendCommand(state.id, { type: "recordLamps", on: LAMPS.filter((lamp) => chosen.includes(lamp)) });
  return (
    <View style={{ gap: SPACE.xs }}>
      <Words size="small" strong>
        Warning lamps
      </Words>
      {isOpen || on.length > 0 ? (
        <Toggles
          label="Warning lamps that are on"
          options={LAMPS.map((value: Lamp) => ({ value, label: LAMP_WORDS[value] }))}
          chosen={on}
          onChange={keep}
        />
      ) : (
        <View style={{ flexDirection: "row", flexWrap: "wrap", gap: SPACE.s }}>
          {state.lamps ? (
            <Words>None is on</Words>
          ) : (
            <Button label="None is on" onPress={() => keep([])} testID="no-lamps" />
          )}
          <Button kind="quiet" label={state.lamps ? "One came on" : "Some are on"} onPress={() => setOpen(true)} />
        </View>
      )}
    </View>
  );
}
