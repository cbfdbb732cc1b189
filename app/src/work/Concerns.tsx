import { Plus } from "../ui/icons";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import type { WorkOrderView } from "@mechanon/contract";
import { CodesPart } from "../troubleCodes/CodesPart";
import { ConcernLine } from "../concerns/ConcernLine";
import { ConcernPicker } from "../concerns/ConcernPicker";
import { NOTHING_SAID, saidConcerns, type Said } from "../concerns/pickedConcern";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import type { Business } from "../session/useSession";

/** Why the customer called, and what became of it. */
export function Concerns({ view, business }: { view: WorkOrderView; business: Business }) {
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
      {state.concerns.map((concern) => (
        <ConcernLine key={concern.id} concern={concern} view={view} business={business} />
      ))}
      <CodesPart view={view} business={business} />
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
  add: { alignSelf: "flex-start" },
});
