import { useState } from "react";
import { View } from "react-native";
import { CALL_OFF_REASONS, type CallOffReason, type VisitState } from "@mechanon/core";
import { sendVisitCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Field } from "../../ui/Field";
import { SPACE } from "../../ui/theme";
import { CALL_OFF_WORDS } from "./callOffWords";

interface CallOffProps {
  visit: VisitState;
  workOrderId: string;
  onDone: () => void;
}

const REASONS = CALL_OFF_REASONS.map((value) => ({ value, label: CALL_OFF_WORDS[value] }));

/** Why a visit does not take place; the reason is kept. */
export function CallOff({ visit, workOrderId, onDone }: CallOffProps) {
  const [why, setWhy] = useState<CallOffReason | null>(null);
  const [words, setWords] = useState("");
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices label="Why it is called off" options={REASONS} value={why} onChoose={setWhy} />
      {why === null ? null : (
        <>
          <Field label="More about it" value={words} onChangeText={setWords} maxLength={300} />
          <Button
            label={`Call the visit off: ${CALL_OFF_WORDS[why].toLowerCase()}`}
            testID="call-off"
            onPress={() => {
              sendVisitCommand(visit.id, workOrderId, { type: "cancelVisit", why, words: words.trim() });
              onDone();
            }}
          />
        </>
      )}
    </View>
  );
}
