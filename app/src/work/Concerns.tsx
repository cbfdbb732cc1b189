import { Check, CircleDashed, Plus } from "../ui/icons";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import { ConcernPicker } from "../concerns/ConcernPicker";
import { NOTHING_SAID, saidConcerns, type Said } from "../concerns/pickedConcern";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { Business } from "../session/useSession";

/** Why the customer called, and whether something on the quote answers it. */
export function Concerns({ view, business }: { view: WorkOrderView; business: Business }) {
  const colors = useColors();
  const { state } = view;
  const [said, setSaid] = useState<Said | null>(null);
  const concerns = saidConcerns(said ?? NOTHING_SAID);
  const add = (): void => {
    for (const { text, kind, phraseId } of concerns)
      sendCommand(state.id, { type: "addConcern", concernId: uuid(), text, kind, phraseId });
    setSaid(null);
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
      {said ? (
        <>
          <ConcernPicker
            phrases={business.settings.concerns}
            gaps={business.settings.concernGaps}
            {...said}
            onChange={setSaid}
          />
          <View style={styles.concern}>
            <Button
              label={
                concerns.length === 0 ? "Leave it" : `Add ${concerns.length === 1 ? "it" : String(concerns.length)}`
              }
              onPress={add}
              testID="add-concerns"
            />
          </View>
        </>
      ) : (
        <Button
          kind="quiet"
          icon={Plus}
          label="Add a concern"
          onPress={() => setSaid(NOTHING_SAID)}
          style={styles.add}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  concern: { flexDirection: "row", gap: SPACE.s },
  words: { flex: 1 },
  add: { alignSelf: "flex-start" },
});
