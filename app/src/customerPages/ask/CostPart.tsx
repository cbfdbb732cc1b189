import { Controller, useFormState } from "react-hook-form";
import { showMoney } from "@mechanon/core";
import type { AskPage } from "@mechanon/contract";
import { Tick } from "../../ui/Tick";
import { Words } from "../../ui/Words";
import { useSpeaking } from "../language";
import { termsFor } from "./askForm";
import { Part } from "./Part";
import type { AskControl } from "./useAsking";

/** What coming, finding out and calling off cost, and the owner's terms, accepted. */
export function CostPart({ page, control }: { page: AskPage; control: AskControl }) {
  const { language, t } = useSpeaking();
  const { errors } = useFormState({ control, name: "acceptsTerms" });
  const { callOutCents, diagnosisCents, callOffFeeCents, callOffHours } = page;
  const terms = termsFor(page, language);
  const lines = [
    callOutCents > 0 ? t("ask.callOut", { amount: showMoney(callOutCents) }) : t("ask.noCosts"),
    diagnosisCents > 0 ? t("ask.diagnosis", { amount: showMoney(diagnosisCents) }) : "",
    // The terms say it in the owner's words where there are any.
    callOffFeeCents > 0 && terms === ""
      ? t("ask.callOff", { hours: callOffHours, amount: showMoney(callOffFeeCents) })
      : "",
    terms,
  ].filter((line) => line !== "");
  return (
    <Part title={t("ask.costTitle")} fault={errors.acceptsTerms?.message}>
      {lines.map((line) => (
        <Words key={line} figures>
          {line}
        </Words>
      ))}
      {terms === "" ? null : (
        <Controller
          control={control}
          name="acceptsTerms"
          render={({ field }) => <Tick label={t("ask.acceptTerms")} value={field.value} onChange={field.onChange} />}
        />
      )}
    </Part>
  );
}
