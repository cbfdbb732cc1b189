import { View } from "react-native";
import {
  dayOf,
  daylightOf,
  isVanTooHigh,
  placeFaults,
  weatherThen,
  type Arranged,
  type Spot,
  type VisitNeeds,
} from "@mechanon/core";
import { useToday } from "../day/useDay";
import type { Business } from "../session/useSession";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { placeFaultWords } from "./placeFaultWords";
import { useWeather } from "./useWeather";

const FORECAST_DAYS = 8;

interface PlaceCheckProps {
  business: Business;
  needs: VisitNeeds;
  agreed: Arranged;
  place: Spot;
  /** The time that is picked or booked; null: none yet. */
  when: { startsAt: string; endsAt: string; mechanicId: string } | null;
}

/** What the jobs need and the place, the weather or the light then does not have, before it is booked and after. */
export function PlaceCheck({ business, needs, agreed, place, when }: PlaceCheckProps) {
  const today = useToday();
  const { timeZone: zone, settings } = business;
  const hours = useWeather(
    today,
    FORECAST_DAYS,
    place,
    needs.conditions.some(({ condition }) => condition === "dry"),
  );
  const at = place.latitude === null ? settings.home : place;
  const weather = when && hours ? weatherThen(hours, when) : null;
  const daylight = when && daylightOf(dayOf(when.startsAt, zone), zone, at);
  const { wetPercent } = settings.visits;
  const faults = placeFaults(needs, { agreed, when, weather, daylight, wetPercent });
  const missing = faults.filter(({ is }) => is === "missing");
  const unknown = faults.filter(({ is }) => is === "unknown");
  const words = { weather, daylight, zone };
  const member = settings.crew.find(({ personId }) => personId === when?.mechanicId);
  const isTooHigh = member !== undefined && isVanTooHigh(member, agreed);
  const told = [
    ...missing.map((fault) => placeFaultWords(fault, words)),
    ...(isTooHigh ? [`The van is ${member.vanHeightInches} in high, and the place ${agreed.heightInches} in.`] : []),
  ];
  if (faults.length === 0 && !isTooHigh) return null;
  return (
    <View style={{ gap: SPACE.s }} testID="place-check">
      {told.length > 0 ? <Notice text={told.join(" ")} /> : null}
      {unknown.map((fault) => (
        <Words key={fault.condition} size="small" tone="muted">
          {placeFaultWords(fault, words)}
        </Words>
      ))}
    </View>
  );
}
