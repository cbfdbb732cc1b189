import { z } from "zod";
import { visitCommand, visitState } from "@mechanon/core";
import { dayField, idField, idParams } from "../fields";
import { route } from "../route";
import { commandOutcome, unreadableCommand } from "../workOrders/routes";
import { dayVisit } from "./dayVisit";

export const visitEnvelope = z.strictObject({
  id: idField,
  at: z.iso.datetime(),
  command: z.union([visitCommand, unreadableCommand]),
});
export const visitRoutes = {
  sendVisitCommands: route({
    method: "post",
    path: "/api/visits/:id/commands",
    area: "visits",
    mostBytes: 512 * 1024,
    summary: "Commands to a visit: book, move, cancel, set off, arrive, leave",
    params: idParams,
    body: z.strictObject({ commands: z.array(visitEnvelope).min(1).max(100) }),
    answer: z.object({
      outcomes: z.array(commandOutcome),
      visit: visitState.nullable(),
      /** 0: there is no such visit. */
      revision: z.number().int(),
    }),
  }),
  getDay: route({
    method: "get",
    path: "/api/day",
    area: "schedule",
    summary: "The visits of a day",
    query: z.object({ date: dayField }),
    answer: z.object({ date: dayField, visits: z.array(dayVisit) }),
  }),
};
