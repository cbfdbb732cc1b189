import { z } from "zod";
import type { OutsideHttp } from "../http";
import type { Messenger } from "./port";

const answer = z.object({ accepted: z.literal(true) });

export function httpMessenger(http: OutsideHttp, baseUrl: string): Messenger {
  return {
    async send(key, to, text) {
      const url = `${baseUrl}/messages`;
      await http.call({ url, method: "POST", key, body: { to, text }, answers: { 202: answer } });
    },
  };
}
