import { recallReport } from "@mechanon/contract";
import { queryOf, type OutsideHttp } from "../http";
import type { Recalls } from "./port";

export function httpRecalls(http: OutsideHttp, baseUrl: string): Recalls {
  return {
    of: ({ vin, ...car }) =>
      http.call({
        url: `${baseUrl}/recalls/${encodeURIComponent(vin)}?${queryOf(car)}`,
        method: "GET",
        answers: { 200: recallReport },
      }),
  };
}
