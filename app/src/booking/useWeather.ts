import { useQuery } from "@tanstack/react-query";
import { addDays, type HourOfWeather, type Spot } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";

const KEPT_MS = 10 * 60_000;

/** The weather of some days at a point, or at the shop where none is known; undefined while nobody knows. */
export function useWeather(
  from: string,
  days: number,
  { latitude, longitude }: Spot,
  isWanted = true,
): HourOfWeather[] | undefined {
  const query = {
    from,
    to: addDays(from, days - 1),
    ...(latitude === null || longitude === null ? {} : { latitude, longitude }),
  };
  const { data } = useQuery({
    queryKey: ["weather", query],
    queryFn: () => call(routes.getWeather, { query }),
    staleTime: KEPT_MS,
    retry: false,
    enabled: isWanted,
  });
  return data?.hours;
}
