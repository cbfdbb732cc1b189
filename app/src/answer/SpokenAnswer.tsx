import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { answerWords, dayOf, readPhone, say, showMoney, showPhone } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useShownHere } from "./useShownHere";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { AnswerList } from "./AnswerList";
import { answersCommand } from "./answersCommand";
import { alsoNeeded, signersOf } from "./signFault";
import { numbersOf } from "./numbersOf";
import { useAnswering } from "./useAnswering";

const FACE_TO_FACE = "";
const ANOTHER = "another";

interface SpokenAnswerProps {
  view: WorkOrderView;
  business: Business;
  onDone: () => void;
}

/** What a customer told us: who, over which number, job by job, with the words to read back before it counts. */
export function SpokenAnswer({ view, business, onDone }: SpokenAnswerProps) {
  const colors = useColors();
  const { state, customer } = view;
  const { shown } = useShownHere(view, business);
  const answering = useAnswering(shown, "yes");
  const [name, setName] = useState(customer?.name ?? "");
  const numbers = numbersOf(customer, name);
  // What was picked or typed; null: the first they have.
  const [picked, setPicked] = useState<string | null>(null);
  const [typed, setTyped] = useState("");
  const phone = picked ?? numbers[0] ?? FACE_TO_FACE;
  const [fault, setFault] = useState<string | null>(null);
  const { sum, isAgreeing, given } = answering;
  const answered = { signer: name.trim(), strokes: [], totalCents: sum.totalCents, isAgreeing };
  const also = alsoNeeded(answered, customer);
  const signers = signersOf(customer);
  const record = (): void => {
    if (name.trim() === "") return setFault("Say who told you.");
    const number = phone === ANOTHER ? (readPhone(typed)?.number ?? null) : phone;
    if (number === null) return setFault("That is no phone number. Put it right, or pick another way.");
    sendCommand(
      state.id,
      answersCommand("spoken", {
        ...answered,
        given,
        shown,
        also: also?.name ?? null,
        ...(number === FACE_TO_FACE ? {} : { phone: number }),
      }),
    );
    onDone();
  };
  return (
    <View style={[styles.box, { backgroundColor: colors.inset }]} role="group" aria-label="What they told us">
      <Words strong>Read back, and wait for their yes:</Words>
      <Words testID="read-back">{`${answerWords(shown.language, given, sum.totalCents, isAgreeing)} ${say(shown.language, "answer.readRight")}`}</Words>
      {signers.length > 1 ? (
        <Choices
          label="Who told us"
          options={signers.map((who) => ({ value: who, label: who }))}
          value={name}
          onChoose={(who) => {
            setName(who);
            // Theirs are other numbers.
            setPicked(null);
          }}
        />
      ) : (
        <Field label="Who told us" value={name} onChangeText={setName} maxLength={200} autoComplete="off" />
      )}
      {also ? (
        <Words strong>{`${name} may agree to up to ${also.limit}: it waits for the yes of ${also.name}, too.`}</Words>
      ) : null}
      <Choices
        label="Over which number"
        options={[
          ...numbers.map((number) => ({ value: number, label: showPhone(number) })),
          { value: ANOTHER, label: "Another" },
          { value: FACE_TO_FACE, label: "Face to face" },
        ]}
        value={phone}
        onChoose={setPicked}
      />
      {phone === ANOTHER ? (
        <Field label="The number" value={typed} onChangeText={setTyped} inputMode="tel" maxLength={40} />
      ) : null}
      <AnswerList
        shown={shown}
        answering={answering}
        language="en"
        found={[]}
        drawFound={() => null}
        today={dayOf(new Date().toISOString(), business.timeZone)}
      />
      {fault ? <Notice text={fault} /> : null}
      <Button
        kind="next"
        label={isAgreeing ? `They said yes, ${showMoney(sum.totalCents)}` : "Keep their answer"}
        onPress={record}
        testID="record-spoken"
      />
      <Button kind="quiet" label="Not now" onPress={onDone} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: SPACE.m, gap: SPACE.s, borderRadius: 6 } });
