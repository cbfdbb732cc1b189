import { z } from "zod";
import { place, tidyName } from "@mechanon/core";
import { emailField, idField, idParams, phoneField, textField } from "../fields";
import { route } from "../route";
import { vehicle } from "../vehicles/vehicle";
import { workOrderSummary } from "../workOrders/summary";

const placeBody = z.strictObject({
  street: textField(200),
  town: textField(100),
  region: textField(40),
  postcode: textField(20),
  latitude: z.number().min(-90).max(90).nullable(),
  longitude: z.number().min(-180).max(180).nullable(),
});

/** A new customer: a name is enough. */
export const customerBody = z.strictObject({
  id: idField,
  name: textField(300).min(1, "a name is needed").transform(tidyName),
  phone: phoneField,
  email: emailField,
  place: placeBody.nullable(),
});
export const customerChanges = customerBody.omit({ id: true }).extend({ version: z.number().int().min(1) });

export const customer = z
  .object({
    id: z.string(),
    name: z.string(),
    phone: z.string().nullable(),
    email: z.string().nullable(),
    place: place.nullable(),
    taxExempt: z.boolean(),
    version: z.number().int(),
  })
  .meta({ id: "Customer" });
export type Customer = z.infer<typeof customer>;

export const customerSheet = z.object({ customer, vehicles: z.array(vehicle), workOrders: z.array(workOrderSummary) });
export type CustomerSheet = z.infer<typeof customerSheet>;

export const customerRoutes = {
  createCustomer: route({
    method: "post",
    path: "/api/customers",
    area: "customers",
    summary: "Make a customer",
    keyed: true,
    body: customerBody,
    answer: customer,
    status: 201,
  }),
  getCustomer: route({
    method: "get",
    path: "/api/customers/:id",
    area: "customers",
    summary: "A customer with cars and work",
    params: idParams,
    answer: customerSheet,
  }),
  changeCustomer: route({
    method: "patch",
    path: "/api/customers/:id",
    area: "customers",
    summary: "Change a customer; refused when somebody else did meanwhile",
    params: idParams,
    body: customerChanges,
    answer: customer,
  }),
};
