import { z } from "zod";
import { noAccessNotes, noDetails, type Contact, type CustomerDetails, type CustomerKind } from "../customers/details";
import { tidyName } from "../customers/personName";
import { readPhone } from "../customers/phone";
import type { ImportField } from "./importFields";

export interface ImportedCar {
  vin: string | null;
  plate: string | null;
  region: string | null;
  year: number | null;
  make: string | null;
  model: string | null;
  color: string | null;
  unitNumber: string | null;
}

/** A customer as a row of a file gives it. Ids are made later. */
export interface ImportedRow {
  kind: CustomerKind;
  name: string;
  details: CustomerDetails;
  car: ImportedCar | null;
  /** What did not fit; it stands in the notes, so that nothing is lost. */
  remarks: string[];
  /** Why the row cannot be taken at all. */
  fault: string | null;
}

const LONGEST = 300;
const PHONE_LABELS = { phone: "", mobilePhone: "Mobile", workPhone: "Work", homePhone: "Home" } as const;
const email = z.email();

/**
 * Reads one row of a file.
 *
 * @param mapping - what each column holds; null: not taken.
 */
export function readImportRow(values: readonly string[], mapping: readonly (ImportField | null)[]): ImportedRow {
  const cells = new Map<ImportField, string[]>();
  mapping.forEach((field, column) => {
    const value = cleanCell(values[column] ?? "");
    if (field !== null && value !== "") cells.set(field, [...(cells.get(field) ?? []), value]);
  });
  const first = (field: ImportField): string => cells.get(field)?.[0] ?? "";
  const remarks: string[] = [];
  const formulas = [...cells.values()].flat().filter((value) => /^[=@]/.test(value));
  if (formulas.length > 0) remarks.push(`"${short(formulas[0] ?? "")}" looks like a formula; it is taken as text`);

  const person = tidyName(first("name") || [first("firstName"), first("lastName")].filter(Boolean).join(" "));
  const business = tidyName(first("business"));
  const name = (business || person).slice(0, LONGEST);
  const left: string[] = [];
  const details = noDetails();
  details.phones = phones(cells, left, remarks);
  details.emails = emails(cells.get("email") ?? [], left, remarks);
  details.contacts = contacts(business === "" ? "" : person, cells, left, remarks);
  const place = {
    street: first("street"),
    town: first("town"),
    region: first("region"),
    postcode: first("postcode"),
    latitude: null,
    longitude: null,
  };
  const access = { ...noAccessNotes(), gateCode: first("gateCode"), dog: first("dog"), note: first("accessNote") };
  if ([place.street, place.town, place.region, place.postcode, ...Object.values(access)].some(Boolean))
    details.serviceAddresses = [{ id: "", label: "", place, access }];
  details.foundUsBy = first("foundUsBy") || null;
  details.taxExemption = first("taxExemption") === "" ? null : { number: first("taxExemption") };
  const car = carOf(cells, left, remarks);
  details.notes = [...(cells.get("notes") ?? []), ...left].join("\n");
  return {
    kind: business === "" ? "person" : "business",
    name,
    details,
    car,
    remarks,
    fault: faultOf(name, values),
  };
}

function faultOf(name: string, values: readonly string[]): string | null {
  if (values.every((value) => value.trim() === "")) return "the row is empty";
  if (name === "") return "no name and no business name";
  return null;
}

/** A cell without control signs, and without the apostrophe that keeps a formula from running in a table program. */
function cleanCell(value: string): string {
  return value
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, "")
    .trim()
    .replace(/^'(?=[=+\-@\t\r])/, "");
}

function phones(cells: Cells, left: string[], remarks: string[]): CustomerDetails["phones"] {
  const found: CustomerDetails["phones"] = [];
  for (const [field, label] of Object.entries(PHONE_LABELS) as [keyof typeof PHONE_LABELS, string][])
    for (const typed of cells.get(field) ?? []) {
      const phone = readPhone(typed);
      if (phone === null) leave("phone", typed, left, remarks);
      else if (!found.some(({ number }) => number === phone.number)) found.push({ ...phone, label });
    }
  return found;
}

function emails(typed: readonly string[], left: string[], remarks: string[]): CustomerDetails["emails"] {
  const found: CustomerDetails["emails"] = [];
  // Several in one cell come with commas, semicolons or blanks between them.
  for (const address of typed.flatMap((value) => value.split(/[\s,;]+/)).filter(Boolean))
    if (!email.safeParse(address).success) leave("email", address, left, remarks);
    else if (!found.some((each) => each.address.toLowerCase() === address.toLowerCase()))
      found.push({ address, label: "" });
  return found;
}

function contacts(person: string, cells: Cells, left: string[], remarks: string[]): Contact[] {
  const name = tidyName(cells.get("contactName")?.[0] ?? "");
  const made = [
    // Who stands beside a business's name is the one to talk to.
    ...(person === "" ? [] : [{ name: person, role: "", phone: "", email: "" }]),
    ...(name === ""
      ? []
      : [
          {
            name,
            role: cells.get("contactRole")?.[0] ?? "",
            phone: cells.get("contactPhone")?.[0] ?? "",
            email: cells.get("contactEmail")?.[0] ?? "",
          },
        ]),
  ];
  return made.map(({ name: contactName, role, phone: typed, email: address }) => {
    const phone = typed === "" ? null : readPhone(typed);
    if (typed !== "" && phone === null) leave("phone", typed, left, remarks);
    const isEmail = email.safeParse(address).success;
    if (address !== "" && !isEmail) leave("email", address, left, remarks);
    return {
      id: "",
      name: contactName.slice(0, LONGEST),
      role: role.slice(0, 60),
      phone: phone === null ? null : { ...phone, label: "" },
      email: isEmail ? address : null,
      approvalLimitCents: 0,
      mayPay: false,
      mayHandOverKeys: false,
    };
  });
}

type Cells = ReadonlyMap<ImportField, readonly string[]>;

function carOf(cells: Cells, left: string[], remarks: string[]): ImportedCar | null {
  const text = (field: ImportField): string | null => cells.get(field)?.[0]?.slice(0, 80) ?? null;
  const typedYear = cells.get("carYear")?.[0] ?? "";
  const year = /^(18|19|20)\d\d$/.test(typedYear) ? Number(typedYear) : null;
  if (typedYear !== "" && year === null) leave("year", typedYear, left, remarks);
  const typedVin = (text("carVin") ?? "").replace(/[\s-]/g, "").toUpperCase();
  const vin = /^[A-Z0-9]{5,20}$/.test(typedVin) ? typedVin : null;
  if (typedVin !== "" && vin === null) leave("VIN", typedVin, left, remarks);
  const plate = text("carPlate")?.slice(0, 20) ?? null;
  const car = { vin, plate, region: text("carRegion")?.slice(0, 20) ?? null, year, make: text("carMake"), model: text("carModel"), color: text("carColor")?.slice(0, 40) ?? null, unitNumber: text("carUnit")?.slice(0, 40) ?? null }; // prettier-ignore
  return [car.vin, car.plate, car.make, car.model].some((value) => value !== null) ? car : null;
}

/** What does not fit its field goes into the notes, and is told. */
function leave(what: string, typed: string, left: string[], remarks: string[]): void {
  left.push(`${what[0]?.toUpperCase()}${what.slice(1)} as it came: ${typed}`);
  remarks.push(`"${short(typed)}" is no ${what}; it is kept in the notes`);
}

function short(text: string): string {
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
