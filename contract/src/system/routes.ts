import { z } from "zod";
import { route } from "../route";

export const systemRoutes = {
  health: route({
    method: "get",
    path: "/api/health",
    area: "system",
    summary: "Whether the server and its database answer",
    open: true,
    answer: z.object({
      status: z.enum(["ok", "degraded"]),
      database: z.enum(["ok", "unreachable"]),
      version: z.string(),
    }),
  }),
  openapi: route({ method: "get", path: "/api/openapi.json", area: "system", summary: "This description", open: true }),
  events: route({
    method: "get",
    path: "/api/events",
    area: "system",
    summary: "Server-sent events: which work orders and visits changed",
    stream: true,
  }),
};

/** What an event says. */
export const changeEvent = z.object({
  kind: z.enum(["workOrder", "visit", "request", "message"]),
  id: z.string(),
  revision: z.number().int(),
  /** Of a visit: the work orders it serves. */
  workOrderIds: z.array(z.string()).optional(),
  /** Of a visit: when it began before, and begins now. */
  startsAt: z.array(z.string()).optional(),
  /** Of a work order: whose it was and is, and for which car. */
  customerIds: z.array(z.string()).optional(),
  vehicleIds: z.array(z.string()).optional(),
  /** Of a work order: whether anything changed that a list shows; left out: it may have. */
  isListed: z.boolean().optional(),
});
export type ChangeEvent = z.infer<typeof changeEvent>;
