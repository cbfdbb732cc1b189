import { StyleSheet, View } from "react-native";
import { isLateCallOff, showMoment, showMoney, visitFeeCents } from "@mechanon/core";
import { useToday } from "../../day/useDay";
import { useNow } from "../../day/useNow";
import { give, sendVisitCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { useColors } from "../../ui/face";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { CALL_OFF_WORDS } from "./callOffWords";
import { callOffFeeActs, feeIds } from "./feeActs";
import type { VisitProps } from "./visitProps";

/** A trip that did not take place: why, the owner's fee where it is due, and taking it back. */
export function CalledOffVisit({ visit, view, business }: VisitProps) {
  const colors = useColors();
  const today = useToday();
  const now = useNow();
  const { visits: rules } = business.settings;
  const { calledOff, arranged } = visit;
  const feeCents = visitFeeCents(rules, { kind: "callOff", cars: 1, car: 0 });
  const isCharged = view.state.jobs.some(({ id }) => id === feeIds(visit.id, view.state.id, "callOff").jobId);
  const isDue = feeCents > 0 && isLateCallOff(visit, rules.callOffHours) && !isCharged;
  return (
    <View style={[styles.visit, { borderColor: colors.hairline }]}>
      <Words tone="muted" figures>
        {`${showMoment(visit.startsAt, business.timeZone, today)}: called off${calledOff ? `, ${CALL_OFF_WORDS[calledOff.why].toLowerCase()}` : ""}`}
      </Words>
      {calledOff?.words ? <Words>{calledOff.words}</Words> : null}
      {isCharged ? <Words tone="muted">The fee is on the quote.</Words> : null}
      {isDue && arranged.termsAcceptedAt === null ? (
        <Words size="small" tone="muted">{`Late, but the terms were not accepted: nothing to charge.`}</Words>
      ) : null}
      <View style={styles.acts}>
        {isDue && arranged.termsAcceptedAt !== null ? (
          <Button
            label={`Charge ${showMoney(feeCents)} for it`}
            testID="charge-call-off"
            onPress={() => void give(callOffFeeActs(visit, view, feeCents))}
          />
        ) : null}
        {visit.endsAt > now ? (
          <Button
            kind="quiet"
            label="It takes place after all"
            onPress={() => sendVisitCommand(visit.id, view.state.id, { type: "reviveVisit", allowOverlap: false })}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  visit: { borderLeftWidth: 3, paddingLeft: SPACE.m, gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
});
