import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import { codeWords, countOf, findCodes, readCode, type TroubleCode } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { DiagnosisOffer } from "./DiagnosisOffer";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Fold } from "../ui/Fold";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface CodesPartProps {
  view: WorkOrderView;
  business: Business;
}

const WHEN = [
  { value: "before", label: "Before the work" },
  { value: "after", label: "After the work" },
] as const;

/** Codes a reader showed, before and after, each with the concern it may explain; a code is evidence, no cause. */
export function CodesPart({ view, business }: CodesPartProps) {
  const { state } = view;
  const [isOpen, setOpen] = useState(false);
  const [when, setWhen] = useState<TroubleCode["when"]>("before");
  const of = (time: TroubleCode["when"]): TroubleCode[] => state.codes.filter((code) => code.when === time);
  const none = (time: TroubleCode["when"]): boolean => state.noCodes.some((each) => each.when === time);
  const line = WHEN.flatMap(({ value, label }) => {
    const count = of(value).length;
    if (count > 0) return [`${countOf(count, "code")} ${label.toLowerCase()}`];
    return none(value) ? [`none ${label.toLowerCase()}`] : [];
  });
  return (
    <Fold
      title="Reader's codes"
      line={line.length === 0 ? "None noted" : line.join(", ")}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
      testID="codes"
    >
      <Choices even label="When it was read" options={WHEN} value={when} onChoose={setWhen} />
      {of(when).map((code) => (
        <CodeLine key={code.id} code={code} view={view} />
      ))}
      <AddCode view={view} when={when} />
      {of(when).length === 0 ? (
        none(when) ? (
          <Words tone="muted">The reader found none.</Words>
        ) : (
          <Button
            kind="quiet"
            label="The reader found none"
            onPress={() => sendCommand(state.id, { type: "noteNoCodes", when })}
            style={styles.start}
          />
        )
      ) : (
        <DiagnosisOffer view={view} business={business} />
      )}
    </Fold>
  );
}

function CodeLine({
  code: { id, code, words, when, concernId },
  view: { state },
}: {
  code: TroubleCode;
  view: WorkOrderView;
}) {
  const tie = (concern: string | null): void =>
    sendCommand(state.id, { type: "noteCode", id, code, words, when, concernId: concern });
  return (
    <View style={styles.list}>
      <View style={styles.row}>
        <Words mono strong>
          {code}
        </Words>
        <Words style={styles.grow}>{words === "" ? "The maker's own code" : words}</Words>
        <Button
          kind="quiet"
          label="Take out"
          spoken={`Take out ${code}`}
          onPress={() => sendCommand(state.id, { type: "removeCode", id })}
        />
      </View>
      {state.concerns.length > 0 ? (
        <Choices
          label={`What ${code} may explain`}
          options={[
            ...state.concerns.map(({ id: value, text }) => ({ value, label: text })),
            { value: "", label: "None of these" },
          ]}
          value={concernId ?? ""}
          onChoose={(value) => tie(value === "" ? null : value)}
        />
      ) : null}
    </View>
  );
}

function AddCode({ view: { state }, when }: { view: WorkOrderView; when: TroubleCode["when"] }) {
  const [typed, setTyped] = useState("");
  const [own, setOwn] = useState("");
  const read = readCode(typed);
  const known = codeWords(typed);
  const only = state.concerns.length === 1 ? (state.concerns[0]?.id ?? null) : null;
  const add = (code: string, words: string): void => {
    sendCommand(state.id, { type: "noteCode", id: uuid(), code, words, when, concernId: only });
    setTyped("");
    setOwn("");
  };
  return (
    <View style={styles.list}>
      <Field
        label="Code or what it says"
        value={typed}
        onChangeText={setTyped}
        placeholder="P0301, misfire"
        maxLength={40}
        autoComplete="off"
        autoCapitalize="characters"
      />
      {read && known === null ? (
        <>
          <Field
            label={`What ${read.code} stands for, where the reader says it`}
            value={own}
            onChangeText={setOwn}
            maxLength={200}
          />
          <Button label={`Add ${read.code}`} onPress={() => add(read.code, own.trim())} testID="add-code" />
        </>
      ) : (
        findCodes(typed).map(({ code, words }) => (
          <Press key={code} label={`Add ${code}, ${words}`} onPress={() => add(code, words)} testID={`code-${code}`}>
            <View style={styles.row}>
              <Words mono strong tone="petrol">
                {code}
              </Words>
              <Words tone="petrol" style={styles.grow}>
                {words}
              </Words>
            </View>
          </Press>
        ))
      )}
      {typed.trim().length > 2 && !read && findCodes(typed).length === 0 ? (
        <Words size="small" tone="muted">
          A code is a letter and four digits, such as P0301.
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  row: { flexDirection: "row", alignItems: "center", gap: SPACE.m },
  grow: { flex: 1 },
  start: { alignSelf: "flex-start" },
});
