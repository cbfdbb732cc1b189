import { z } from "zod";
import { hourOfWeather } from "@mechanon/core";
import type { OutsideHttp } from "../http";
import type { Weather } from "./port";

const answer = z.object({ hours: z.array(hourOfWeather) });

export function httpWeather(http: OutsideHttp, baseUrl: string): Weather {
  return {
    async forecast({ latitude, longitude }, from, to) {
      const asked = new URLSearchParams({ latitude: String(latitude), longitude: String(longitude), from, to });
      const url = `${baseUrl}/weather?${asked.toString()}`;
      return (await http.call({ url, method: "GET", answers: { 200: answer } })).hours;
    },
  };
}
