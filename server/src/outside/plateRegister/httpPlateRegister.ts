import { z } from "zod";
import type { OutsideHttp } from "../http";
import { registerCar, type PlateRegister } from "./port";

const answer = z.object({ cars: z.array(registerCar) });

export function httpPlateRegister(http: OutsideHttp, baseUrl: string): PlateRegister {
  return {
    async carsBehind(region, plateKey) {
      const url = `${baseUrl}/register/plates/${encodeURIComponent(region)}/${encodeURIComponent(plateKey)}`;
      return (await http.call({ url, method: "GET", answers: { 200: answer } })).cars;
    },
  };
}
