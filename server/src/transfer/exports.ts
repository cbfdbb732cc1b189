import type { Response } from "express";
import { showPhone } from "@mechanon/core";
import type { Customer, Vehicle } from "@mechanon/contract";
import { Op, QueryTypes, type Sequelize } from "sequelize";
import { CustomerRow } from "../customers/model";
import { VehicleRow } from "../vehicles/model";
import { toCustomer } from "../customers/toCustomer";
import type { Scope } from "../scope";
import { toVehicle } from "../vehicles/toVehicle";
import { csv, type Line } from "./csv";
import { customerHeadings, customerLine, type Widths } from "./customerCsv";
import { toVcard } from "./vcard";

const PAGE = 500;
interface Page {
  customers: Customer[];
  vehicles: Vehicle[];
  widths: Widths;
}

/** The files customers leave in; their headings are those an import knows. */
export const EXPORTS = {
  customers: {
    file: "customers.csv",
    type: "text/csv",
    lines: ({ customers, widths }: Page) =>
      csv(
        customerHeadings(widths),
        customers.map((customer) => customerLine(customer, widths)),
      ),
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
  db: Sequelize,
  { businessId }: Scope,
  what: keyof typeof EXPORTS,
  ids: readonly string[] | undefined,
): Promise<void> {
  const { file, type, lines } = EXPORTS[what];
  res.attachment(file).type(`${type}; charset=utf-8`);
  // Table programs take a file without this mark for their own encoding.
  if (type === "text/csv") res.write("\uFEFF");
  const widths = what === "customers" ? await widthsOf(db, businessId) : NO_WIDTHS;
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
    const text = lines({ customers: rows.map(toCustomer), vehicles: vehicles.map(toVehicle), widths });
    // Each page brings its headings; only the first ones stay.
    res.write(isFirst || type !== "text/csv" ? text : text.slice(text.indexOf("\r\n") + 2));
    after = rows.at(-1)?.id ?? "";
    if (rows.length < PAGE) break;
  }
  res.end();
}

const NO_WIDTHS: Widths = { phones: 0, emails: 0, sites: 0, contacts: 0 };

/** So many columns the customers of a business need, one of each kind at least. */
async function widthsOf(db: Sequelize, businessId: string): Promise<Widths> {
  const most = (list: string): string => `greatest(1, coalesce(max(jsonb_array_length(details->'${list}')), 0))::int`;
  const [widths] = await db.query<Widths>(
    `select ${most("phones")} as phones, ${most("emails")} as emails, ${most("serviceAddresses")} as sites,
       ${most("contacts")} as contacts
     from customers where business_id = $1 and merged_into is null and erased_at is null`,
    { bind: [businessId], type: QueryTypes.SELECT },
  );
  return widths ?? NO_WIDTHS;
}

const CONTACT_HEADINGS = [
  "Mechanon id",
  "Customer",
  "Phone",
  "Contact",
  "Contact role",
  "Contact phone",
  "Contact email",
];
const CAR_HEADINGS = [
  "Mechanon id",
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

function phoneText(customer: Pick<Customer, "phones">, index: number): string {
  const phone = customer.phones[index];
  return phone ? showPhone(phone.number, phone.extension) : "";
}

function contactLines(customer: Customer): Line[] {
  return customer.contacts.map(({ name, role, phone, email }) => [
    customer.id,
    customer.name,
    phoneText(customer, 0),
    name,
    role,
    phone ? showPhone(phone.number, phone.extension) : "",
    email,
  ]);
}

function carLines({ customers, vehicles }: Page): Line[] {
  const byId = new Map(customers.map((customer) => [customer.id, customer]));
  return vehicles.flatMap(({ customerId, vin, plate, region, year, make, model, color, unitNumber }) => {
    const customer = byId.get(customerId);
    if (!customer) return [];
    return [
      [
        customer.id,
        customer.name,
        phoneText(customer, 0),
        vin,
        plate,
        region,
        year === null ? "" : String(year),
        make,
        model,
        color,
        unitNumber,
      ],
    ];
  });
}
