import { View } from "react-native";
import { SPACE } from "../ui/theme";
import { Choices } from "../ui/Choices";
import { Words } from "../ui/Words";

/** Facts the data leaves open. */
export const OPEN_FACTS = ["trim", "engine", "drive", "transmission"] as const;
export type OpenFact = (typeof OPEN_FACTS)[number];
export const FACT_LABELS: Readonly<Record<OpenFact, string>> = {
  trim: "Which trim?",
  engine: "Which engine?",
  drive: "Which drive?",
  transmission: "Which transmission?",
};

export interface AskedOnceProps {
  /** One without choices is not asked. */
  questions: readonly { fact: OpenFact; label: string; choices: readonly string[] }[];
  said: Partial<Record<OpenFact, string | null>>;
  onSay: (fact: OpenFact, value: string) => void;
}

const MOST_CHOICES = 16;

/** What the data does not say of a car is asked once, the likely answers first; it can be left open. */
export function AskedOnce({ questions, said, onSay }: AskedOnceProps) {
  return questions
    .filter(({ choices }) => choices.length > 0)
    .map(({ fact, label, choices }) => (
      <View key={fact} style={{ gap: SPACE.xs }}>
        <Words size="small" strong>
          {label}
        </Words>
        <Choices
          label={label}
          options={choices.slice(0, MOST_CHOICES).map((value) => ({ value, label: shortName(value) }))}
          value={said[fact] ?? null}
          onChoose={(value) => onSay(fact, value)}
        />
      </View>
    ));
}

/** The data's names say things twice. @example shortName("AWD/All-Wheel Drive") //=> "AWD" */
function shortName(value: string): string {
  const short = /^([A-Z0-9]{3}|Manual)\//i.exec(value)?.[1] ?? /\(([A-Z]{3})\)$/.exec(value)?.[1];
  return short ?? value;
}
