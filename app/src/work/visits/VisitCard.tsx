import { useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { accessAt, showMoment, showTime, slipsPast, visitStanding } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { addressOf } from "../../api/call";
import { CallQuestions } from "../../booking/CallQuestions";
import { PlaceCheck } from "../../booking/PlaceCheck";
import { useToday } from "../../day/useDay";
import { placeLine } from "../../places/placeLine";
import { useNow } from "../../day/useNow";
import { sendVisitCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { useColors } from "../../ui/face";
import { Notice } from "../../ui/Notice";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";
import { CallOff } from "./CallOff";
import { CallOutFee } from "./CallOutFee";
import { CarsAlong } from "./CarsAlong";
import { MoveVisit } from "./MoveVisit";
import { ReadyBy } from "./ReadyBy";
import { RepeatVisit } from "./RepeatVisit";
import type { VisitProps } from "./visitProps";
import { agreedThere, needsOfWork } from "./visitWork";

const STANDING_WORDS = {
  booked: "Booked",
  driving: "On the way",
  onSite: "On site",
  over: "Over",
  cancelled: "Called off",
} as const;

type Doing = "moving" | "callingOff" | "promising" | "repeating" | "cars";

/** A trip: when, who, where, what was agreed, and what can be done with it. */
export function VisitCard({ visit, view, business }: VisitProps) {
  const colors = useColors();
  const today = useToday();
  const now = useNow();
  const [doing, setDoing] = useState<Doing | null>(null);
  const [isMore, setMore] = useState(false);
  const standing = visitStanding(visit);
  const workOrderId = view.state.id;
  const mechanic = business.people.find(({ id }) => id === visit.mechanicId)?.name ?? "";
  const { timeZone: zone } = business;
  const slips = slipsPast(visit, now);
  const needs = needsOfWork(view, business, visit.arranged);
  const toggle = (what: Doing): void => setDoing(doing === what ? null : what);
  const isAhead = standing === "booked";
  return (
    <View style={[styles.visit, { borderColor: colors.hairline }]}>
      <Words strong figures>{`${showMoment(visit.startsAt, zone, today)} to ${showTime(visit.endsAt, zone)}`}</Words>
      <Words tone="muted">{[mechanic, placeLine(visit.place)].filter(Boolean).join(" · ")}</Words>
      {visit.note ? <Words>{visit.note}</Words> : null}
      {visit.anotherTripWhy ? <Words>{`Another trip: ${visit.anotherTripWhy}`}</Words> : null}
      <Words size="small" strong tone={standing === "driving" || standing === "onSite" ? "petrol" : "muted"}>
        {[
          isAhead && visit.endsAt < now ? "Booked, and its time has passed" : STANDING_WORDS[standing],
          isAhead && needs.isUrgent ? "urgent" : "",
          visit.isLocked ? "locked to its time" : "",
          visit.series ? "one of a row" : "",
        ]
          .filter(Boolean)
          .join(", ")}
      </Words>
      {visit.readyBy === null ? null : (
        <Words figures>{`Promised ready by ${showMoment(visit.readyBy, zone, today)}`}</Words>
      )}
      {slips > 0 ? (
        <Notice text={`By the plan it is ${slips} min late for what was promised. Call before they do.`} />
      ) : null}
      {isAhead ? (
        <PlaceCheck
          business={business}
          needs={needs}
          agreed={agreedThere(view, visit.arranged, visit.place)}
          place={visit.place}
          when={visit}
        />
      ) : null}
      {standing === "over" ? null : (
        <CallQuestions
          business={business}
          agreed={visit.arranged}
          known={view.customer ? accessAt(view.customer, visit.place) : ""}
          onChange={(arranged) => sendVisitCommand(visit.id, workOrderId, { type: "arrangeVisit", arranged })}
        />
      )}
      <CallOutFee visit={visit} view={view} business={business} />
      <View style={styles.acts}>
        {isAhead ? (
          <>
            <Button
              kind="quiet"
              label="I'm there already"
              onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "arrive" })}
            />
            {visit.isLocked ? null : (
              <Button kind="quiet" label={doing === "moving" ? "Leave it" : "Move"} onPress={() => toggle("moving")} />
            )}
          </>
        ) : null}
        {standing === "onSite" ? (
          <Button
            kind="quiet"
            label="I've left"
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "leave" })}
          />
        ) : null}
        {standing === "over" ? null : (
          <>
            <Button kind="quiet" label="Call it off" onPress={() => toggle("callingOff")} />
            <Button kind="quiet" label={isMore ? "Less" : "More"} onPress={() => setMore(!isMore)} />
          </>
        )}
      </View>
      {isMore && standing !== "over" ? (
        <View style={styles.acts}>
          <Button kind="quiet" label="Ready by" onPress={() => toggle("promising")} />
          <Button kind="quiet" label="Cars along" onPress={() => toggle("cars")} />
          <Button
            kind="quiet"
            label={visit.isLocked ? "Unlock" : "Lock to its time"}
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "lockVisit", isLocked: !visit.isLocked })}
          />
          <Button
            kind="quiet"
            label={visit.wantsEarlier ? "They would not come earlier after all" : "They would come earlier, too"}
            onPress={() => sendVisitCommand(visit.id, workOrderId, { type: "wantEarlier", wants: !visit.wantsEarlier })}
          />
          <Button kind="quiet" label="Repeat" onPress={() => toggle("repeating")} />
          <Button
            kind="quiet"
            label="As a calendar file"
            onPress={() => void Linking.openURL(addressOf(routes.visitCalendar.path, { id: visit.id }))}
          />
        </View>
      ) : null}
      {doing === "moving" ? (
        <MoveVisit visit={visit} view={view} business={business} onDone={() => setDoing(null)} />
      ) : null}
      {doing === "callingOff" ? (
        <CallOff visit={visit} workOrderId={workOrderId} onDone={() => setDoing(null)} />
      ) : null}
      {doing === "promising" ? (
        <ReadyBy visit={visit} workOrderId={workOrderId} zone={zone} onDone={() => setDoing(null)} />
      ) : null}
      {doing === "cars" ? <CarsAlong visit={visit} view={view} /> : null}
      {doing === "repeating" ? (
        <RepeatVisit visit={visit} view={view} business={business} onDone={() => setDoing(null)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  visit: { borderLeftWidth: 3, paddingLeft: SPACE.m, gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
});
