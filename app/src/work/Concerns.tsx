import { Check, CircleDashed, Plus } from "../ui/icons";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import { ConcernPicker } from "../concerns/ConcernPicker";
import type { PickedConcern } from "../concerns/pickedConcern";
import { sendCommand } from "../sync/store";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { Business } from "../session/useSession";

/** Why the customer called, and whether something on the quote answers it. */
export function Concerns({ view, business }: { view: WorkOrderView; business: Business }) {
  const colors = useColors();
  const { state } = view;
  const [picked, setPicked] = useState<PickedConcern[] | null>(null);
  const add = (): void => {
    for (const { text, kind, phraseId } of picked ?? [])
      sendCommand(state.id, { type: "addConcern", concernId: uuid(), text, kind, phraseId });
    setPicked(null);
  };
  return (
    <View style={styles.list}>
      {state.concerns.map(({ id, text }) => {
        const job = state.jobs.find(({ concernId }) => concernId === id);
        const Icon = job ? Check : CircleDashed;
        return (
          <View key={id} style={styles.concern}>
            <Icon size={20} color={job ? colors.ink : colors.alarm} />
            <View style={styles.words}>
              <Words strong>“{text}”</Words>
              <Words size="small" tone={job ? "muted" : "alarm"}>
                {job ? `Answered by ${job.title}` : "Nothing on the quote answers this yet"}
              </Words>
            </View>
          </View>
        );
      })}
      {picked ? (
        <>
          <ConcernPicker
            phrases={business.settings.concerns}
            gaps={business.settings.concernGaps}
            picked={picked}
            onChange={setPicked}
          />
          <View style={styles.concern}>
            <Button
              label={picked.length === 0 ? "Leave it" : `Add ${picked.length === 1 ? "it" : String(picked.length)}`}
              onPress={add}
              testID="add-concerns"
            />
          </View>
        </>
      ) : (
        <Button kind="quiet" icon={Plus} label="Add a concern" onPress={() => setPicked([])} style={styles.add} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  concern: { flexDirection: "row", gap: SPACE.s },
  words: { flex: 1 },
  add: { alignSelf: "flex-start", paddingHorizontal: 0 },
});
