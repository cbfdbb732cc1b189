import { elsewhereReport } from "@mechanon/contract";
import type { OutsideHttp } from "../http";
import type { ServiceHistory } from "./port";

export function httpServiceHistory(http: OutsideHttp, baseUrl: string): ServiceHistory {
  return {
    of: (vin) =>
      http.call({
        url: `${baseUrl}/history/${encodeURIComponent(vin)}`,
        method: "GET",
        answers: { 200: elsewhereReport },
      }),
  };
}
