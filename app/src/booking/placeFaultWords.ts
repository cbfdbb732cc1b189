import { showTime, type Daylight, type JobCondition, type PlaceFault, type WeatherThen } from "@mechanon/core";

const MISSING: Record<JobCondition, string> = {
  levelHardGround: "the ground there is not level and hard",
  roof: "there is no roof there",
  power: "there is no power there",
  dry: "it will be wet then",
  daylight: "it is dark then",
};
const UNKNOWN: Record<JobCondition, string> = {
  levelHardGround: "level, hard ground; ask whether it is",
  roof: "a roof; ask whether there is one",
  power: "power; ask whether it is there",
  dry: "dry weather",
  daylight: "daylight",
};

/** What does not fit, as it is said. @example "Oil change needs it dry: it will be wet then (70 % rain)" */
export function placeFaultWords(
  { condition, jobs, is }: PlaceFault,
  { weather, daylight, zone }: { weather: WeatherThen | null; daylight: Daylight | null; zone: string },
): string {
  const who = jobs.join(", ");
  if (is === "unknown") return `${who}: needs ${UNKNOWN[condition]}.`;
  const more =
    condition === "dry" && weather
      ? ` (${weather.rainPercent} % rain)`
      : condition === "daylight" && daylight
        ? ` (light from ${showTime(daylight.from, zone)} to ${showTime(daylight.until, zone)})`
        : "";
  return `${who}: ${MISSING[condition]}${more}.`;
}
