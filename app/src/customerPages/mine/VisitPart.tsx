import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMomentIn, showTimeIn } from "@mechanon/core";
import type { CustomerPage, PageVisit } from "@mechanon/contract";
import { Button } from "../../ui/Button";
import { useColors } from "../../ui/face";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Tick } from "../../ui/Tick";
import { Words } from "../../ui/Words";
import { faultWords } from "../faultWords";
import { useSpeaking } from "../language";
import { CallOffVisit } from "./CallOffVisit";
import { minutesLeft } from "./minutesLeft";
import { OtherTimes } from "./OtherTimes";
import type { PageActs } from "./usePageActs";

interface VisitPartProps {
  visit: PageVisit;
  page: CustomerPage;
  token: string;
  acts: PageActs;
}

/** A visit: who comes when, how far they are, and what can be changed about it here. */
export function VisitPart({ visit, page, token, acts }: VisitPartProps) {
  const { language, t } = useSpeaking();
  const colors = useColors();
  const [open, setOpen] = useState<"move" | "callOff" | null>(null);
  const { id, standing, startsAt, endsAt, mechanic, street, changeUntil, wantsEarlier } = visit;
  const { timeZone: zone } = page;
  const moment = showMomentIn(language, startsAt, zone);
  const error = acts.move.error ?? acts.callOff.error ?? acts.wantEarlier.error;
  const close = (): void => setOpen(null);
  return (
    <View style={[styles.visit, { borderColor: colors.petrol }]}>
      {standing === "booked" ? (
        <>
          <Words strong size="lead">
            {t("mine.booked", { mechanic, moment })}
          </Words>
          <Words tone="muted">{t("mine.until", { time: showTimeIn(language, endsAt, zone) })}</Words>
        </>
      ) : null}
      {standing === "driving" ? <OnTheWay visit={visit} zone={zone} /> : null}
      {standing === "onSite" ? <Words strong>{t("mine.onSite", { mechanic })}</Words> : null}
      {standing === "over" ? <Words strong>{t("mine.over", { mechanic, moment })}</Words> : null}
      {standing === "cancelled" ? <Words strong>{t("mine.cancelled", { moment })}</Words> : null}
      {street !== "" && standing !== "over" && standing !== "cancelled" ? (
        <Words tone="muted">{t("mine.at", { place: street })}</Words>
      ) : null}
      {standing === "booked" && changeUntil === null ? <Words tone="muted">{t("mine.tooLate")}</Words> : null}
      {standing === "booked" && changeUntil !== null && open === null ? (
        <>
          <Words size="small" tone="muted">
            {t("mine.changeUntil", { moment: showMomentIn(language, changeUntil, zone) })}
          </Words>
          <View style={styles.acts}>
            <Button label={t("mine.move")} onPress={() => setOpen("move")} />
            <Button label={t("mine.callOff")} onPress={() => setOpen("callOff")} />
          </View>
          <Tick
            label={wantsEarlier ? t("mine.earlierOn") : t("mine.earlier")}
            value={wantsEarlier}
            onChange={(wants) => acts.wantEarlier.mutate({ id, wants })}
          />
        </>
      ) : null}
      {open === "move" ? <OtherTimes visit={visit} zone={zone} token={token} acts={acts} onClose={close} /> : null}
      {open === "callOff" ? <CallOffVisit visit={visit} page={page} acts={acts} onClose={close} /> : null}
      {error ? <Notice text={faultWords(language, error)} /> : null}
    </View>
  );
}

/** Only while somebody is under way: when they are there. */
function OnTheWay({ visit: { mechanic, arrivesAt }, zone }: { visit: PageVisit; zone: string }) {
  const { language, t } = useSpeaking();
  return (
    <View role="status" testID="on-the-way">
      <Words strong size="lead">
        {t("mine.driving", { mechanic })}
      </Words>
      {arrivesAt === null ? null : (
        <Words figures>
          {`${t("mine.arrives", { time: showTimeIn(language, arrivesAt, zone) })}, ${t("mine.minutesLeft", {
            minutes: minutesLeft(arrivesAt, new Date()),
          })}`}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  visit: { borderLeftWidth: 4, paddingLeft: SPACE.m, gap: SPACE.s },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
