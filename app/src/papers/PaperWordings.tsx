import { useState } from "react";
import { z } from "zod";
import { wordsOnPaper, type Language, type Paper } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Fold } from "../ui/Fold";
import { useUnsaved, useUnsavedForms } from "../unsaved/useUnsaved";

const MOST_LETTERS = 1000;

interface PaperWordingsProps {
  view: WorkOrderView;
  business: Business;
  paper: Paper;
  language: Language;
}

/** What a paper opens with, and why they called, put otherwise for this paper alone. */
export function PaperWordings({ view: { state }, business, paper, language }: PaperWordingsProps) {
  // What stands typed and was not kept yet is not folded away.
  const [isOpen, setOpen] = useState(() => standsTyped(state.id, paper));
  const own = (state.paperWordings ?? []).filter((each) => each.paper === paper);
  return (
    <Fold
      title="Words on this paper"
      line={own.length === 0 ? "as usual" : "put otherwise here"}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
      testID="paper-words"
    >
      <Wording
        label="What it opens with"
        usual={wordsOnPaper({}, paper, business.settings.papers, language)}
        own={own.find(({ concernId }) => concernId === null)?.text ?? null}
        where={{ workOrderId: state.id, paper, concernId: null }}
      />
      {state.concerns.map(({ id, text }) => (
        <Wording
          key={id}
          label={`Instead of “${text}”`}
          usual={text}
          own={own.find(({ concernId }) => concernId === id)?.text ?? null}
          where={{ workOrderId: state.id, paper, concernId: id }}
        />
      ))}
    </Fold>
  );
}

function formsOf(workOrderId: string, paper: Paper): string {
  return `paper/${workOrderId}/${paper}/`;
}

function standsTyped(workOrderId: string, paper: Paper): boolean {
  return Object.keys(useUnsavedForms.getState().forms).some((form) => form.startsWith(formsOf(workOrderId, paper)));
}

interface WordingProps {
  label: string;
  usual: string;
  /** Null: as usual. */
  own: string | null;
  where: { workOrderId: string; paper: Paper; concernId: string | null };
}

function Wording({ label, usual, own, where: { workOrderId, ...where } }: WordingProps) {
  const [typed, keep, drop] = useUnsaved(
    `${formsOf(workOrderId, where.paper)}${where.concernId ?? ""}`,
    z.string().max(MOST_LETTERS),
  );
  const stands = own ?? usual;
  const save = (text: string | null): void => {
    drop();
    if (text !== own) sendCommand(workOrderId, { type: "wordPaper", ...where, text });
  };
  return (
    <>
      <Field
        label={label}
        multiline
        maxLength={MOST_LETTERS}
        value={typed ?? stands}
        onChangeText={keep}
        onBlur={() => {
          if (typed === null) return;
          // What is typed as it is said anyway is as usual.
          save(typed.trim() === usual ? null : typed.trim());
        }}
        hint={stands === "" && where.concernId !== null ? "empty: it does not stand on this paper" : undefined}
      />
      {own === null ? null : (
        <Button kind="quiet" label="As usual again" spoken={`As usual again: ${label}`} onPress={() => save(null)} />
      )}
    </>
  );
}
