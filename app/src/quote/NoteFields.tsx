import { useState } from "react";
import type { QuoteLine } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Field } from "../ui/Field";

const MOST_LETTERS = 500;

/** What is said with a line: to the customer on the paper, and to us alone. */
export function NoteFields({ workOrderId, line }: { workOrderId: string; line: QuoteLine }) {
  const edit = (change: { noteForCustomer?: string; noteForUs?: string; description?: string }): void =>
    sendCommand(workOrderId, { type: "editLine", lineId: line.id, change });
  return (
    <>
      <Note
        label="What it is called"
        value={line.description}
        onSave={(description) => (description === "" ? undefined : edit({ description }))}
      />
      <Note
        label="Note for the customer"
        value={line.noteForCustomer ?? ""}
        onSave={(noteForCustomer) => edit({ noteForCustomer })}
      />
      <Note label="Note for us alone" value={line.noteForUs ?? ""} onSave={(noteForUs) => edit({ noteForUs })} />
    </>
  );
}

interface NoteProps {
  label: string;
  value: string;
  onSave: (value: string) => void;
}

function Note({ label, value, onSave }: NoteProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const save = (): void => {
    if (typed !== null && typed.trim() !== value) onSave(typed.trim());
    setTyped(null);
  };
  return (
    <Field
      label={label}
      maxLength={MOST_LETTERS}
      value={typed ?? value}
      onChangeText={setTyped}
      onBlur={save}
      onSubmitEditing={save}
    />
  );
}
