import { z } from "zod";
import type { OutsideHttp } from "../http";
import { town, type Postcodes } from "./port";

const answer = z.object({ towns: z.array(town) });

export function httpPostcodes(http: OutsideHttp, baseUrl: string): Postcodes {
  return {
    async townsOf(postcode) {
      const url = `${baseUrl}/postcodes/${encodeURIComponent(postcode)}`;
      return (await http.call({ url, method: "GET", answers: { 200: answer } })).towns;
    },
  };
}
