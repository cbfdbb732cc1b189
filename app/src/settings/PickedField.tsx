import { useState } from "react";
import { View } from "react-native";
import { wordsOf } from "@mechanon/core";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";

const MOST_FOUND = 8;

interface PickedFieldProps {
  title: string;
  /** Of its heading. */
  level?: 2 | 3;
  /** Of the field others are found by. */
  label: string;
  items: readonly { id: string; title: string }[];
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
  /** What is chosen stands elsewhere. */
  hidesChosen?: boolean;
}

/** Some of many: those that are chosen, and others by the beginnings of words. */
export function PickedField({
  title,
  level = 2,
  label,
  items,
  chosen,
  onChange,
  hidesChosen = false,
}: PickedFieldProps) {
  const [typed, setTyped] = useState("");
  const words = wordsOf(typed);
  const isFound = (item: { id: string; title: string }): boolean => {
    const written = wordsOf(item.title);
    return !chosen.includes(item.id) && words.every((word) => written.some((each) => each.startsWith(word)));
  };
  const found = words.length === 0 ? [] : items.filter(isFound).slice(0, MOST_FOUND);
  const now = hidesChosen ? [] : chosen.flatMap((id) => items.filter((item) => item.id === id));
  return (
    <View>
      <Heading level={level}>{title}</Heading>
      {now.length === 0 && !hidesChosen ? <Words tone="muted">Nothing yet.</Words> : null}
      {now.map((item) => (
        <Tick
          key={item.id}
          label={item.title}
          value
          onChange={() => onChange(chosen.filter((each) => each !== item.id))}
        />
      ))}
      <Field label={label} value={typed} onChangeText={setTyped} maxLength={60} />
      {found.map((item) => (
        <Tick key={item.id} label={item.title} value={false} onChange={() => onChange([...chosen, item.id])} />
      ))}
    </View>
  );
}
