import { z } from "zod";
import type { OutsideHttp } from "../http";
import { directoryEntry, type PhoneDirectory } from "./port";

const answer = z.object({ entry: directoryEntry.nullable() });

export function httpPhoneDirectory(http: OutsideHttp, baseUrl: string): PhoneDirectory {
  return {
    async whoseIs(phone) {
      const url = `${baseUrl}/directory/phones/${encodeURIComponent(phone)}`;
      return (await http.call({ url, method: "GET", answers: { 200: answer } })).entry;
    },
  };
}
