import { useState } from "react";
import { View } from "react-native";
import { dayOf, instantAt, readTimeOfDay, showTime, type VisitState } from "@mechanon/core";
import { sendVisitCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { SPACE } from "../../ui/theme";

interface ReadyByProps {
  visit: VisitState;
  workOrderId: string;
  zone: string;
  onDone: () => void;
}

/** What was promised: a time of the visit's day by which it is ready. */
export function ReadyBy({ visit, workOrderId, zone, onDone }: ReadyByProps) {
  const [typed, setTyped] = useState(showTime(visit.readyBy ?? visit.endsAt, zone));
  const minute = readTimeOfDay(typed);
  const readyBy = minute === null ? null : instantAt(dayOf(visit.startsAt, zone), minute, zone);
  const promise = (by: string | null): void => {
    sendVisitCommand(visit.id, workOrderId, { type: "promiseReady", readyBy: by });
    onDone();
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Field
        label="Promised ready by"
        value={typed}
        onChangeText={setTyped}
        maxLength={12}
        error={readyBy === null ? "a time like 3:30 pm or 15:30" : null}
      />
      {readyBy === null ? null : (
        <Button label={`Promise ${showTime(readyBy, zone)}`} onPress={() => promise(readyBy)} testID="promise" />
      )}
      {visit.readyBy === null ? null : <Button kind="quiet" label="Promise nothing" onPress={() => promise(null)} />}
    </View>
  );
}
