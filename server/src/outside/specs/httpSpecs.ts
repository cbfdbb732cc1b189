import { specSheet } from "@mechanon/core";
import { queryOf, type OutsideHttp } from "../http";
import type { Specs } from "./port";

export function httpSpecs(http: OutsideHttp, baseUrl: string): Specs {
  return {
    of: (car) => http.call({ url: `${baseUrl}/specs?${queryOf(car)}`, method: "GET", answers: { 200: specSheet } }),
  };
}
