import { z } from "zod";
import { idField, idParams, pageQuery, textField, versionField } from "../fields";
import { route } from "../route";
import { workOrderSummary } from "../workOrders/summary";
import { customer, customerBody, customerChanges, likelySame } from "./customer";
import { customerSheet } from "./sheet";

export const customerRoutes = {
  createCustomer: route({
    method: "post",
    path: "/api/customers",
    area: "customers",
    mostBytes: 512 * 1024,
    summary: "Make a customer; refused when a phone or email is kept for somebody not named in notTheSameAs",
    keyed: true,
    body: customerBody,
    answer: customer,
    status: 201,
  }),
  likelyCustomers: route({
    method: "post",
    path: "/api/customers/likely",
    area: "customers",
    mostBytes: 512 * 1024,
    summary: "Customers who may be the one being typed, and why",
    body: customerBody.extend({ id: idField.optional(), name: textField(300) }),
    answer: z.object({ likely: z.array(likelySame) }),
  }),
  getCustomer: route({
    method: "get",
    path: "/api/customers/:id",
    area: "customers",
    summary: "A customer with cars, visits, work, money and messages; one that was merged leads to the kept one",
    params: idParams,
    answer: customerSheet,
  }),
  customerWork: route({
    method: "get",
    path: "/api/customers/:id/work",
    area: "customers",
    summary: "A page of a customer's past work, newest first",
    params: idParams,
    query: z.object(pageQuery),
    answer: z.object({ workOrders: z.array(workOrderSummary) }),
  }),
  changeCustomer: route({
    method: "patch",
    path: "/api/customers/:id",
    area: "customers",
    mostBytes: 512 * 1024,
    summary: "Change a customer; refused when somebody else did meanwhile",
    params: idParams,
    body: customerChanges,
    answer: customer,
  }),
  mergeCustomers: route({
    method: "post",
    path: "/api/customers/:id/merges",
    area: "customers",
    summary: "Make another record part of this one, with its cars and work; can be undone for 30 days",
    keyed: true,
    params: idParams,
    body: z.strictObject({ mergedId: idField }),
    answer: z.object({ mergeId: z.string(), undoUntil: z.string() }),
    status: 201,
  }),
  undoMerge: route({
    method: "post",
    path: "/api/merges/:id/undo",
    area: "customers",
    summary: "Part two records again",
    params: idParams,
    answer: z.object({ keptId: z.string(), mergedId: z.string(), detailsRestored: z.boolean() }),
  }),
  exportCustomer: route({
    method: "get",
    path: "/api/customers/:id/everything",
    area: "customers",
    right: "settings",
    summary: "All that is known about one customer, as JSON",
    params: idParams,
  }),
  eraseCustomer: route({
    method: "post",
    path: "/api/customers/:id/erase",
    area: "customers",
    right: "settings",
    summary: "Take away all that tells who it was; bills stay, without the person",
    params: idParams,
    body: z.strictObject({ version: versionField }),
    answer: z.object({ billsKept: z.number().int(), carsRemoved: z.number().int(), photosRemoved: z.number().int() }),
  }),
  lookUpPhone: route({
    method: "get",
    path: "/api/directory/:phone",
    area: "customers",
    rate: { most: 120, minutes: 60 },
    summary: "Whose phone the directory says it is",
    params: z.object({ phone: textField(60).min(1) }),
    answer: z.object({
      entry: z
        .object({ name: z.string(), street: z.string(), town: z.string(), region: z.string(), postcode: z.string() })
        .nullable(),
    }),
  }),
  lookUpPostcode: route({
    method: "get",
    path: "/api/postcodes/:postcode",
    area: "customers",
    rate: { most: 600, minutes: 60 },
    summary: "Towns of a postcode",
    params: z.object({ postcode: textField(20).min(1) }),
    answer: z.object({ towns: z.array(z.object({ town: z.string(), region: z.string() })) }),
  }),
};
