import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { z } from "zod";
import { showDate } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { PicturesOf } from "../photos/PicturesOf";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";

const typedApart = z.object({
  isOff: z.string(),
  partsLie: z.string(),
  toldTo: z.string(),
  isDrivable: z.boolean().nullable(),
});
const DRIVABLE = [
  { value: "no", label: "Must not be driven" },
  { value: "yes", label: "Can be driven" },
] as const;

/** A car that cannot be finished today: what is off, where its parts lie, whether it can be driven, who was told. */
export function ApartPart({ view, business }: { view: WorkOrderView; business: Business }) {
  const { state, customer } = view;
  const [isOpen, setOpen] = useState(false);
  const [kept, setKept, drop] = useUnsaved(`apart/${state.id}`, typedApart);
  const typed = kept ?? { isOff: "", partsLie: "", toldTo: customer?.name ?? "", isDrivable: null };
  const change = (over: Partial<typeof typed>): void => setKept({ ...typed, ...over });
  if (state.apart)
    return (
      <View style={styles.list}>
        <Words strong>{`It lies apart: ${state.apart.isOff}`}</Words>
        <Words>
          {[
            state.apart.partsLie === "" ? "" : `Parts: ${state.apart.partsLie}`,
            state.apart.isDrivable ? "Can be driven" : "Must not be driven",
            state.apart.toldTo === "" ? "Nobody was told" : `${state.apart.toldTo} was told`,
            showDate(state.apart.at, business.timeZone),
          ]
            .filter(Boolean)
            .join(" · ")}
        </Words>
        <PicturesOf of="apart" id="" title="How it was left" label="Photo" view={view} />
        <View style={styles.row}>
          <Button
            label="It is together again"
            onPress={() => sendCommand(state.id, { type: "putTogether" })}
            testID="put-together"
          />
        </View>
      </View>
    );
  if (!isOpen && kept === null)
    return <Button kind="quiet" label="It must be left apart" onPress={() => setOpen(true)} style={styles.start} />;
  return (
    <View style={styles.list} role="group" aria-label="Left apart">
      <Field label="What is off" value={typed.isOff} onChangeText={(isOff) => change({ isOff })} maxLength={300} />
      <Field
        label="Where its parts lie"
        value={typed.partsLie}
        onChangeText={(partsLie) => change({ partsLie })}
        maxLength={300}
      />
      <Choices
        even
        label="Whether it can be driven"
        options={DRIVABLE}
        value={typed.isDrivable === null ? null : typed.isDrivable ? "yes" : "no"}
        onChoose={(value) => change({ isDrivable: value === "yes" })}
      />
      <Field
        label="Who was told"
        value={typed.toldTo}
        onChangeText={(toldTo) => change({ toldTo })}
        maxLength={120}
        autoComplete="off"
      />
      <PicturesOf of="apart" id="" title="How it was left" label="Photo" view={view} />
      <View style={styles.row}>
        <Button
          label="Keep how it was left"
          disabled={typed.isOff.trim() === "" || typed.isDrivable === null}
          onPress={() => {
            sendCommand(state.id, {
              type: "leaveApart",
              isOff: typed.isOff.trim(),
              partsLie: typed.partsLie.trim(),
              isDrivable: typed.isDrivable ?? false,
              toldTo: typed.toldTo.trim(),
            });
            drop();
            setOpen(false);
          }}
          testID="keep-apart"
        />
        <Button
          kind="quiet"
          label="Not after all"
          onPress={() => {
            drop();
            setOpen(false);
          }}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  start: { alignSelf: "flex-start" },
});
