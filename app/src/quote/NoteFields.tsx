import { useState } from "react";
import type { QuoteLine } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Field } from "../ui/Field";
import { FigureField } from "./FigureField";

const MOST_LETTERS = 500;

interface NoteFieldsProps {
  workOrderId: string;
  line: QuoteLine;
  onFault: (label: string, isFault: boolean) => void;
}

/** What is said with a line: to the customer on the paper, and to us alone. */
export function NoteFields({ workOrderId, line, onFault }: NoteFieldsProps) {
  const edit = (change: { noteForCustomer?: string; noteForUs?: string; description?: string }): void =>
    sendCommand(workOrderId, { type: "editLine", lineId: line.id, change });
  return (
    <>
      <FigureField
        label="What it is called"
        value={line.description}
        show={(description) => description}
        read={(typed) => (typed.trim() === "" ? null : typed.trim())}
        looksLike="say what it is"
        isWords
        onSave={(description) => edit({ description })}
        onFault={onFault}
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
