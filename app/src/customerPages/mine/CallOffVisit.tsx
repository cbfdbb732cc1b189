import { useState } from "react";
import { showMomentIn, showMoney } from "@mechanon/core";
import type { CustomerPage, PageVisit } from "@mechanon/contract";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Words } from "../../ui/Words";
import { useSpeaking } from "../language";
import type { PageActs } from "./usePageActs";

interface CallOffVisitProps {
  visit: PageVisit;
  page: CustomerPage;
  acts: PageActs;
  onClose: () => void;
}

const HOUR_MS = 3_600_000;

/** Asks once more before a visit is called off, and says what that costs. */
export function CallOffVisit({ visit: { id, startsAt }, page, acts, onClose }: CallOffVisitProps) {
  const { language, t } = useSpeaking();
  const [words, setWords] = useState("");
  const { callOffFeeCents: fee, callOffHours, timeZone } = page;
  const isLate = Date.parse(startsAt) - Date.now() < callOffHours * HOUR_MS;
  return (
    <>
      <Words strong>{t("mine.callOffSure", { moment: showMomentIn(language, startsAt, timeZone) })}</Words>
      <Words>{isLate && fee > 0 ? t("mine.callOffCosts", { amount: showMoney(fee) }) : t("mine.callOffFree")}</Words>
      <Field label={t("mine.callOffWhy")} value={words} onChangeText={setWords} maxLength={300} />
      <Button
        label={t("mine.callOffYes")}
        busy={acts.callOff.isPending}
        onPress={() => acts.callOff.mutate({ id, words: words.trim() }, { onSuccess: onClose })}
        testID={`call-off-${id}`}
      />
      <Button kind="quiet" label={t("mine.leaveIt")} onPress={onClose} />
    </>
  );
}
