import { z } from "zod";
import type { OutsideHttp } from "../http";
import { address, type Addresses } from "./port";

const answer = z.object({ addresses: z.array(address) });

export function httpAddresses(http: OutsideHttp, baseUrl: string): Addresses {
  return {
    async find(typed) {
      const url = `${baseUrl}/addresses?${new URLSearchParams({ typed }).toString()}`;
      return (await http.call({ url, method: "GET", answers: { 200: answer } })).addresses;
    },
  };
}
