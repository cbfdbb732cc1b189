import type { JobCondition } from "../places/conditions";
import type { Arranged } from "../visits/arranged";
import type { VisitNeeds } from "./needsOfVisit";
import { isInDaylight, type Daylight } from "./sunTimes";
import type { WeatherThen } from "./weather";

/** What a job needs and the place or the day does not have, as far as is known. */
export interface PlaceFault {
  condition: JobCondition;
  /** Titles of the jobs that need it. */
  jobs: string[];
  /** It is not so, or nobody asked. */
  is: "missing" | "unknown";
}

/** What is known of a place and a time. */
export interface PlaceThen {
  agreed: Arranged;
  /** Null: no time is picked yet. */
  when: { startsAt: string; endsAt: string } | null;
  weather: WeatherThen | null;
  daylight: Daylight | null;
  /** Rain is expected from so likely on. */
  wetPercent: number;
}

/** What of a visit's needs its place, weather and light do not have. Under a roof it is dry; with power there is light. */
export function placeFaults({ conditions }: Pick<VisitNeeds, "conditions">, then: PlaceThen): PlaceFault[] {
  return conditions.flatMap(({ condition, jobs }) => {
    const has = hasCondition(condition, then);
    return has === true ? [] : [{ condition, jobs, is: has === null ? ("unknown" as const) : ("missing" as const) }];
  });
}

/** Whether it is so; null: nobody knows. */
function hasCondition(condition: JobCondition, then: PlaceThen): boolean | null {
  const { agreed, when, weather, daylight, wetPercent } = then;
  switch (condition) {
    case "levelHardGround":
    case "roof":
    case "power":
      return agreed[condition];
    case "dry":
      if (agreed.roof === true) return true;
      // Too far off for a forecast: nothing stands against it yet.
      return weather === null || weather.rainPercent < wetPercent;
    case "daylight":
      if (agreed.power === true && agreed.roof === true) return true;
      return when === null || daylight === null || isInDaylight(daylight, when);
  }
}
