import { carHere } from "../cars/carHere";
import type { Pending } from "../sync/pending";
import { customerHere } from "./customerHere";

const [at, by] = ["2026-11-26T17:00:00.000Z", "me"];
const C = "01900000-0000-7000-8000-0000000000c1";
const V = "01900000-0000-7000-8000-0000000000d1";
const car = {
  vin: null,
  plate: "frm 2231",
  region: "WA",
  year: 2012,
  make: "Honda",
  model: "Civic",
  trim: null,
  engine: null,
  drive: null,
  color: null,
};
const line: Pending[] = [
  { kind: "customer", target: C, id: C, at, by, body: { name: "maren oye", keepTwice: true } },
  { kind: "vehicle", target: V, id: V, at, by, body: { customerId: C, ...car } },
];

it("a customer who was taken down here has a sheet with their car, as the server will keep them", () => {
  expect(customerHere(C, line)).toMatchObject({ customer: { name: "Maren Oye" }, vehicles: [{ id: V, year: 2012 }] });
  expect(customerHere(V, line)).toBeUndefined();
});

it("a car that was taken down here says whose it is, whoever keeps them", () => {
  expect(carHere(V, line, () => undefined)).toMatchObject({ vehicle: { make: "Honda" }, owner: { name: "Maren Oye" } });
  expect(carHere(V, line.slice(1), () => "Noor Bell")?.owner).toEqual({ id: C, name: "Noor Bell" });
  expect(carHere(C, line, () => undefined)).toBeUndefined();
});
