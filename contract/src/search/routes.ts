import { z } from "zod";
import { route } from "../route";
import { customer } from "../customers/routes";
import { vehicle } from "../vehicles/vehicle";
import { workOrderSummary } from "../workOrders/summary";

export const found = z.object({
  customers: z.array(z.object({ customer, vehicles: z.array(vehicle) })),
  workOrders: z.array(workOrderSummary),
});
export type Found = z.infer<typeof found>;

export const searchRoutes = {
  search: route({
    method: "get",
    path: "/api/search",
    area: "search",
    summary: "Customers, cars and work orders by name, phone, plate, VIN or number",
    query: z.object({ q: z.string().max(500) }),
    answer: found,
  }),
};
