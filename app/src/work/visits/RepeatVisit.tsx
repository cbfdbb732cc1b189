import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { View } from "react-native";
import { countOf, minutesBetween, showMoment } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../../api/call";
import { errorWords } from "../../api/problem";
import { useToday } from "../../day/useDay";
import { give } from "../../sync/give";
import { Button } from "../../ui/Button";
import { Choices } from "../../ui/Choices";
import { Notice } from "../../ui/Notice";
import { Stepper } from "../../ui/Stepper";
import { SPACE } from "../../ui/theme";
import { WaitingRows } from "../../ui/WaitingRows";
import { Words } from "../../ui/Words";
import { repeatActs } from "./repeatActs";
import { MOST_TRIPS, REPEATS, ruleWithTrips, type RepeatRule } from "./repeatRules";
import type { VisitProps } from "./visitProps";

const USUAL_TRIPS = 3;

/** A row of visits of one kind, such as a fleet's: each is a work order of its own. */
export function RepeatVisit({ visit, view, business, onDone }: VisitProps & { onDone: () => void }) {
  const today = useToday();
  const [every, setEvery] = useState<RepeatRule>("FREQ=MONTHLY");
  const [trips, setTrips] = useState(USUAL_TRIPS);
  const rule = ruleWithTrips(every, trips);
  const { startsAt, mechanicId } = visit;
  const body = { rule, mechanicId, startsAt, minutes: minutesBetween(startsAt, visit.endsAt) };
  const { data, error, refetch } = useQuery({
    queryKey: ["repeats", body],
    queryFn: () => call(routes.findRepeats, { body }),
    retry: false,
  });
  // The first one is the visit itself.
  const further = data?.times.filter((time) => time.startsAt > startsAt) ?? [];
  const free = further.filter(({ isFree }) => isFree);
  const book = (): void => {
    void give(repeatActs(visit, view, rule, free));
    onDone();
  };
  return (
    <View style={{ gap: SPACE.m }}>
      <Choices label="How often" options={REPEATS} value={every} onChoose={setEvery} />
      <Stepper
        label="Further trips"
        value={trips}
        unit="trips"
        step={1}
        least={1}
        most={MOST_TRIPS}
        onChange={setTrips}
      />
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : data ? (
        <>
          {further.map((time) => (
            <Words key={time.startsAt} tone={time.isFree ? "ink" : "muted"} figures>
              {`${showMoment(time.startsAt, business.timeZone, today)}${time.isFree ? "" : ": taken, is left out"}`}
            </Words>
          ))}
          {free.length > 0 ? (
            <Button label={`Book ${countOf(free.length, "further visit")}`} onPress={book} testID="book-row" />
          ) : (
            <Words tone="muted">None of these times is free.</Words>
          )}
        </>
      ) : (
        <WaitingRows label="Looking at the times" rows={2} />
      )}
    </View>
  );
}
