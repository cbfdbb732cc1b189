import { z } from "zod";
import type { OutsideHttp } from "../http";
import type { RoutePoint, RoutingServer } from "./port";

const SECONDS = 60;
const answer = z.object({ durations: z.array(z.array(z.number().min(0).nullable())) });

/** A routing server that answers the common many-to-many request: a table of seconds between points. */
export function httpRouting(http: OutsideHttp, baseUrl: string): RoutingServer {
  return {
    async table(points) {
      if (points.length < 2) return points.map(() => [0]);
      const url = `${baseUrl}/table/v1/driving/${points.map(inPath).join(";")}?annotations=duration`;
      const { durations } = await http.call({ url, method: "GET", answers: { 200: answer } });
      return durations.map((row) => row.map((seconds) => (seconds === null ? null : Math.round(seconds / SECONDS))));
    },
  };
}

const inPath = ({ latitude, longitude }: RoutePoint): string => `${longitude},${latitude}`;
