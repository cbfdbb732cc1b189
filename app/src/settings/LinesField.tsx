import { useState } from "react";
import { Field } from "../ui/Field";

interface LinesFieldProps {
  label: string;
  value: readonly string[];
  onChange: (lines: string[]) => void;
  /** Longest of a line, and how many there are at most. */
  most: { length: number; lines: number };
}

/** Several texts, one on each line; taken over when the field is left. */
export function LinesField({ label, value, onChange, most }: LinesFieldProps) {
  const [typed, setTyped] = useState(value.join("\n"));
  return (
    <Field
      label={label}
      hint="One on each line, the commonest first"
      value={typed}
      onChangeText={setTyped}
      onBlur={() => onChange(linesOf(typed, most))}
      multiline
      maxLength={most.length * most.lines}
    />
  );
}

/** Lines without blanks and doubles, as many as there may be. */
export function linesOf(typed: string, { length, lines }: LinesFieldProps["most"]): string[] {
  const all = typed
    .split("\n")
    .map((line) => line.trim().slice(0, length))
    .filter((line) => line !== "");
  return [...new Set(all)].slice(0, lines);
}
