import { useState } from "react";
import { StyleSheet, View } from "react-native";
import {
  CALL_QUESTIONS,
  PLACE_QUESTIONS,
  QUESTION_WORDS,
  arrangedLine,
  readMoney,
  showMoney,
  type Arranged,
  type CallQuestion,
  type PlaceQuestion,
} from "@mechanon/core";
import type { Business } from "../session/useSession";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Fold } from "../ui/Fold";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";

export interface CallQuestionsProps {
  business: Business;
  agreed: Arranged;
  /** What is kept of the address, such as its gate code. */
  known?: string;
  onChange: (said: Partial<Arranged>) => void;
}

/** What is asked before a visit, folded to a line; every answer may stay open. */
export function CallQuestions({ business, agreed, known = "", onChange }: CallQuestionsProps) {
  const [isOpen, setOpen] = useState(false);
  const line = arrangedLine(agreed);
  const { callOffTerms, callOffFeeCents } = business.settings.visits;
  return (
    <Fold
      title="Asked before"
      line={line === "" ? "Starts, drives, keys, place" : line}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
      testID="asked-before"
    >
      <Heading level={3}>The car</Heading>
      {CALL_QUESTIONS.map((question) => (
        <Question key={question} question={question} value={agreed[question]} onChange={onChange} />
      ))}
      <Heading level={3}>The place</Heading>
      {known === "" ? null : <Words tone="muted">{`Known of it: ${known}`}</Words>}
      {PLACE_QUESTIONS.map((question) => (
        <Question key={question} question={question} value={agreed[question]} onChange={onChange} />
      ))}
      <LeftField
        label="Height there, in inches"
        value={agreed.heightInches === null ? "" : String(agreed.heightInches)}
        inputMode="numeric"
        read={(typed) => (typed === "" ? null : wholeFrom(typed))}
        fault="a whole number of inches, such as 84"
        onLeave={(heightInches) => onChange({ heightInches })}
      />
      <Heading level={3}>While they are away</Heading>
      <LeftField
        label="Who is there"
        value={agreed.whoIsThere}
        read={(typed) => typed}
        onLeave={(whoIsThere) => onChange({ whoIsThere })}
      />
      <LeftField
        label="Where the key lies"
        value={agreed.keyLies}
        read={(typed) => typed}
        onLeave={(keyLies) => onChange({ keyLies })}
      />
      <LeftField
        label="Who may say yes and pay"
        value={agreed.maySayYes}
        read={(typed) => typed}
        onLeave={(maySayYes) => onChange({ maySayYes })}
      />
      <LeftField
        label="Up to; empty: without a limit"
        value={agreed.maySpendCents === null ? "" : showMoney(agreed.maySpendCents)}
        inputMode="decimal"
        read={(typed) => (typed === "" ? null : (readMoney(typed) ?? undefined))}
        fault="an amount like 250 or 250.00"
        onLeave={(maySpendCents) => onChange({ maySpendCents })}
      />
      {callOffFeeCents > 0 ? (
        <>
          <Words tone="muted">{callOffTerms}</Words>
          <Tick
            label="They accepted these terms"
            value={agreed.termsAcceptedAt !== null}
            onChange={(isAccepted) => onChange({ termsAcceptedAt: isAccepted ? new Date().toISOString() : null })}
          />
        </>
      ) : null}
    </Fold>
  );
}

interface QuestionProps {
  question: CallQuestion | PlaceQuestion;
  value: boolean | null;
  onChange: (said: Partial<Arranged>) => void;
}

const ANSWERS = [
  { value: "yes", label: "Yes" },
  { value: "no", label: "No" },
] as const;

/** Yes, no, or once more the same: not asked. */
function Question({ question, value, onChange }: QuestionProps) {
  const { asks } = QUESTION_WORDS[question];
  const chosen = value === null ? null : value ? "yes" : "no";
  return (
    <View style={styles.question}>
      <Words style={styles.asks}>{asks}</Words>
      <Choices
        label={asks}
        options={ANSWERS}
        value={chosen}
        onChoose={(answer) => onChange({ [question]: answer === chosen ? null : answer === "yes" })}
      />
    </View>
  );
}

interface LeftFieldProps<T> {
  label: string;
  value: string;
  inputMode?: "numeric" | "decimal";
  /** Undefined: it does not fit. */
  read: (typed: string) => T | undefined;
  fault?: string;
  onLeave: (value: T) => void;
}

/** A field whose words count once it is left; until they fit they stand, and say so. */
function LeftField<T>({ label, value, inputMode, read, fault, onLeave }: LeftFieldProps<T>) {
  const [typed, setTyped] = useState<string | null>(null);
  const isOdd = typed !== null && read(typed.trim()) === undefined;
  return (
    <Field
      label={label}
      value={typed ?? value}
      inputMode={inputMode ?? "text"}
      maxLength={200}
      onChangeText={setTyped}
      onBlur={() => {
        if (typed === null) return;
        const fitting = read(typed.trim());
        if (fitting === undefined) return;
        if (typed.trim() !== value) onLeave(fitting);
        setTyped(null);
      }}
      error={isOdd ? (fault ?? null) : null}
    />
  );
}

function wholeFrom(typed: string): number | undefined {
  const whole = /^\d{1,3}$/.test(typed) ? Number(typed) : 0;
  return whole > 0 ? whole : undefined;
}

const styles = StyleSheet.create({
  question: { flexDirection: "row", flexWrap: "wrap", alignItems: "center", gap: SPACE.s },
  asks: { flexGrow: 1, flexBasis: 180 },
});
