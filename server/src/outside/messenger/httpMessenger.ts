import { z } from "zod";
import type { OutsideHttp } from "../http";
import type { Messenger } from "./port";

const answer = z.object({ accepted: z.literal(true) });

/** @param callback - where it tells what became of a message, and what was replied. */
export function httpMessenger(http: OutsideHttp, baseUrl: string, callback: string): Messenger {
  return {
    async send(key, message) {
      const url = `${baseUrl}/messages`;
      await http.call({ url, method: "POST", key, body: { ...message, callback }, answers: { 202: answer } });
    },
  };
}
