import type { Response } from "express";
import { mainPlace, showPhone } from "@mechanon/core";
import type { Customer, Vehicle } from "@mechanon/contract";
import Papa from "papaparse";
import { Op } from "sequelize";
import { CustomerRow, VehicleRow } from "../db/models";
import { toCustomer } from "../customers/toCustomer";
import type { Scope } from "../scope";
import { toVehicle } from "../vehicles/toVehicle";
import { toVcard } from "./vcard";

const PAGE = 500;
type Line = (string | null | undefined)[];
interface Page {
  customers: Customer[];
  vehicles: Vehicle[];
}

/** The files customers leave in; their headings are those an import knows. */
export const EXPORTS = {
  customers: {
    file: "customers.csv",
    type: "text/csv",
    lines: ({ customers }: Page) => csv(CUSTOMER_HEADINGS, customers.map(customerLine)),
  },
  contacts: {
    file: "contacts.csv",
    type: "text/csv",
    lines: ({ customers }: Page) => csv(CONTACT_HEADINGS, customers.flatMap(contactLines)),
  },
  cars: { file: "cars.csv", type: "text/csv", lines: (page: Page) => csv(CAR_HEADINGS, carLines(page)) },
  vcards: {
    file: "customers.vcf",
    type: "text/vcard",
    lines: ({ customers }: Page) => customers.map(toVcard).join(""),
  },
} as const;

/** Sends all customers, or those named, page by page. */
export async function sendExport(
  res: Response,
  { businessId }: Scope,
  what: keyof typeof EXPORTS,
  ids: readonly string[] | undefined,
): Promise<void> {
  const { file, type, lines } = EXPORTS[what];
  res.attachment(file).type(`${type}; charset=utf-8`);
  // Table programs take a file without this mark for their own encoding.
  if (type === "text/csv") res.write("\uFEFF");
  let after = "";
  for (let isFirst = true; ; isFirst = false) {
    const rows = await CustomerRow.findAll({
      where: {
        businessId,
        mergedInto: null,
        erasedAt: null,
        [Op.and]: [...(after === "" ? [] : [{ id: { [Op.gt]: after } }]), ...(ids ? [{ id: [...ids] }] : [])],
      },
      order: ["id"],
      limit: PAGE,
    });
    const vehicles = await VehicleRow.findAll({
      where: { businessId, customerId: rows.map(({ id }) => id) },
      order: ["id"],
    });
    const text = lines({ customers: rows.map(toCustomer), vehicles: vehicles.map(toVehicle) });
    // Each page brings its headings; only the first ones stay.
    res.write(isFirst || type !== "text/csv" ? text : text.slice(text.indexOf("\r\n") + 2));
    after = rows.at(-1)?.id ?? "";
    if (rows.length < PAGE) break;
  }
  res.end();
}

const CUSTOMER_HEADINGS = ["Name", "Business", "Phone", "Phone 2", "Phone 3", "Email", "Email 2", "Street", "Town", "State", "Postcode", "Gate code", "Dog", "Access notes", "Tax exemption", "Found us by", "Notes"]; // prettier-ignore
const CONTACT_HEADINGS = ["Customer", "Phone", "Contact", "Contact role", "Contact phone", "Contact email"];
const CAR_HEADINGS = [
  "Customer",
  "Phone",
  "VIN",
  "Plate",
  "Plate state",
  "Year",
  "Make",
  "Model",
  "Color",
  "Unit number",
];

/**
 * What a table program may take for a formula, in the signs of other scripts too. A phone or a number alone that begins
 * with + or - is none.
 * @see OWASP, CSV injection
 */
const FORMULA = /^\s*[=@\uFF1D\uFF20\uFF0B\uFF0D]|^[\t\r\n]|^\s*[+-](?![\d\s().-]*(?:ext\. \d+)?$)/;

function csv(headings: readonly string[], lines: readonly Line[]): string {
  const data = lines.map((line) => line.map((cell) => cell ?? ""));
  const text = Papa.unparse({ fields: [...headings], data }, { escapeFormulae: FORMULA });
  return data.length === 0 ? `${headings.join(",")}\r\n` : `${text}\r\n`;
}

function phoneText(customer: Pick<Customer, "phones">, index: number): string {
  const phone = customer.phones[index];
  return phone ? showPhone(phone.number, phone.extension) : "";
}

function customerLine(customer: Customer): Line {
  const { kind, name, emails, taxExemption, foundUsBy, notes, serviceAddresses } = customer;
  const place = mainPlace(customer);
  const access = serviceAddresses[0]?.access;
  const phones = [0, 1, 2].map((index) => phoneText(customer, index));
  const isBusiness = kind === "business";
  return [
    isBusiness ? "" : name, isBusiness ? name : "", ...phones, emails[0]?.address, emails[1]?.address,
    place?.street, place?.town, place?.region, place?.postcode, access?.gateCode, access?.dog, access?.note, taxExemption?.number, foundUsBy, notes,
  ]; // prettier-ignore
}

function contactLines(customer: Customer): Line[] {
  return customer.contacts.map(({ name, role, phone, email }) =>
    [customer.name, phoneText(customer, 0), name, role, phone ? showPhone(phone.number, phone.extension) : "", email],
  ); // prettier-ignore
}

function carLines({ customers, vehicles }: Page): Line[] {
  const byId = new Map(customers.map((customer) => [customer.id, customer]));
  return vehicles.flatMap(({ customerId, vin, plate, region, year, make, model, color, unitNumber }) => {
    const customer = byId.get(customerId);
    if (!customer) return [];
    return [[customer.name, phoneText(customer, 0), vin, plate, region, year === null ? "" : String(year), make, model, color, unitNumber]];
  }); // prettier-ignore
}
