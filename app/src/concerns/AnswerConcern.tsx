import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { z } from "zod";
import { changesOfList, idOf, type Concern } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useUnsaved } from "../unsaved/useUnsaved";

interface AnswerConcernProps {
  concern: Concern;
  view: WorkOrderView;
  business: Business;
  onDone: () => void;
}

const OUTCOMES = [
  { value: "found", label: "Found" },
  { value: "noFault", label: "No fault found" },
  { value: "setAside", label: "Set aside" },
] as const;
const TRIED = ["Driven, not heard", "Not there today", "As the maker made it"];
const SET_ASIDE = ["They will watch it", "Needs a lift", "Not wanted now"];
const typed = z.object({
  outcome: z.enum(["found", "noFault", "setAside"]),
  cause: z.string(),
  correction: z.string(),
  reason: z.string(),
});

/** What a concern turned out to be: cause and correction by a tap each, or why there is none; only a person says it. */
export function AnswerConcern({ concern, view, business, onDone }: AnswerConcernProps) {
  const [kept, setKept, drop] = useUnsaved(`answer/${view.state.id}/${concern.id}`, typed);
  const { outcome, cause, correction, reason } = kept ?? {
    outcome: concern.answer?.outcome ?? "found",
    cause: concern.answer?.cause ?? "",
    correction: concern.answer?.correction ?? "",
    reason: concern.answer?.reason ?? "",
  };
  const change = (over: Partial<z.infer<typeof typed>>): void =>
    setKept({ outcome, cause, correction, reason, ...over });
  const phrase = business.settings.concerns.find(({ id }) => id === concern.phraseId);
  const isReady = outcome === "found" ? cause.trim() !== "" : reason.trim() !== "";
  const keep = (): void => {
    sendCommand(view.state.id, {
      type: "answerConcern",
      concernId: concern.id,
      outcome,
      cause: outcome === "found" ? cause.trim() : "",
      correction: outcome === "found" ? correction.trim() : "",
      reason: outcome === "found" ? "" : reason.trim(),
    });
    drop();
    onDone();
  };
  return (
    <View style={styles.list}>
      <Choices
        label="What became of it"
        options={OUTCOMES}
        value={outcome}
        onChoose={(value) => change({ outcome: value })}
      />
      {outcome === "found" ? (
        <>
          <ReadyWords
            label="Cause"
            ready={phrase?.causes ?? []}
            value={cause}
            onChange={(value) => change({ cause: value })}
          />
          <ReadyWords
            label="Correction"
            ready={phrase?.corrections ?? []}
            value={correction}
            onChange={(value) => change({ correction: value })}
          />
          <KeepPhrases phraseId={phrase?.id} cause={cause} correction={correction} business={business} />
        </>
      ) : (
        <ReadyWords
          label={outcome === "noFault" ? "What was tried" : "Why"}
          ready={outcome === "noFault" ? TRIED : SET_ASIDE}
          value={reason}
          onChange={(value) => change({ reason: value })}
        />
      )}
      <View style={styles.row}>
        <Button label="Keep the answer" onPress={keep} disabled={!isReady} testID="keep-answer" />
        <Button
          kind="quiet"
          label="Leave it open"
          onPress={() => {
            drop();
            onDone();
          }}
        />
      </View>
    </View>
  );
}

/** Ready words by a tap; a picked one can be changed for this once. */
function ReadyWords({
  label,
  ready,
  value,
  onChange,
}: {
  label: string;
  ready: readonly string[];
  value: string;
  onChange: (value: string) => void;
}) {
  const [isTyping, setTyping] = useState(ready.length === 0 || (value !== "" && !ready.includes(value)));
  return (
    <View style={styles.list}>
      <Words size="small" strong>
        {label}
      </Words>
      {ready.length > 0 ? (
        <Choices
          label={label}
          options={ready.map((each) => ({ value: each, label: each }))}
          value={ready.includes(value) ? value : null}
          onChoose={onChange}
        />
      ) : null}
      {isTyping ? (
        <Field label={`${label}, in own words`} value={value} onChangeText={onChange} maxLength={300} />
      ) : (
        <Button
          kind="quiet"
          label="Change the words"
          spoken={`Change the words: ${label}`}
          onPress={() => setTyping(true)}
          style={styles.start}
        />
      )}
    </View>
  );
}

/** Own words made ready for all who come after. */
function KeepPhrases({
  phraseId,
  cause,
  correction,
  business,
}: {
  phraseId: string | undefined;
  cause: string;
  correction: string;
  business: Business;
}) {
  const maySet = useRight("settings");
  const queries = useQueryClient();
  const [said, say] = useState<string | null>(null);
  const phrase = business.settings.concerns.find(({ id }) => id === phraseId);
  const news = phrase
    ? { causes: withNew(phrase.causes, cause), corrections: withNew(phrase.corrections, correction) }
    : null;
  const isNew = news && (news.causes !== phrase?.causes || news.corrections !== phrase.corrections);
  if (!maySet || !isNew) return said === null ? null : <Words size="small">{said}</Words>;
  const keep = async (): Promise<void> => {
    const { concerns, versions } = business.settings;
    const after = concerns.map((each) => (each.id === phraseId ? { ...each, ...news } : each));
    try {
      await call(routes.changeConcerns, {
        body: { version: versions.concerns, concerns: changesOfList(concerns, after, idOf), concernGaps: [] },
      });
      await queries.invalidateQueries({ queryKey: ["business"] });
      say("Kept. These words are ready with this concern from now on.");
    } catch (error) {
      say(errorWords(error));
    }
  };
  return <Button kind="quiet" label="Keep these words ready" onPress={() => void keep()} style={styles.start} />;
}

function withNew(ready: string[], words: string): string[] {
  const own = words.trim().slice(0, 200);
  return own === "" || ready.includes(own) ? ready : [...ready, own].slice(-20);
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  start: { alignSelf: "flex-start" },
});
