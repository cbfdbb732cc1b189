import { z } from "zod";
import { noAccessNotes, noDetails, type Contact, type CustomerDetails, type CustomerKind } from "../customers/details";
import { tidyName } from "../customers/personName";
import { readPhone } from "../customers/phone";
import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "../vin/checkDigit";
import { rowCells, short, type RowCells } from "./cells";
import type { ImportField } from "./importFields";

export interface ImportedCar {
  vin: string | null;
  /** Why a VIN is kept although its check digit does not hold. */
  vinNote: string | null;
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
  /** The record of ours the row says it is, where the file was written by us; null for any other. */
  ownId: string | null;
  kind: CustomerKind;
  name: string;
  details: CustomerDetails;
  car: ImportedCar | null;
  /** What did not fit; it stands in the notes, so that nothing is lost. */
  remarks: string[];
  /** Why the row cannot be taken at all. */
  fault: string | null;
}

const LONGEST_NAME = 300;
const PHONE_LABELS = { phone: "", mobilePhone: "Mobile", workPhone: "Work", homePhone: "Home" } as const;
const PHONE_FIELDS = Object.keys(PHONE_LABELS) as (keyof typeof PHONE_LABELS)[];
/** What belongs to a name, as people of the title write it. */
const PERSONAL_TITLE = /^(?:prof\.?|dr\.?|rev\.?|prof\.? dr\.?|capt\.?)$/i;
const email = z.email();
const uuid = z.uuid();

/**
 * Reads one row of a file.
 *
 * @param mapping - what each column holds; null: not taken.
 */
export function readImportRow(values: readonly string[], mapping: readonly (ImportField | null)[]): ImportedRow {
  const cells = rowCells(values, mapping);
  const { first, remarks, left } = cells;
  const formula = mapping
    .flatMap((field) => (field === null ? [] : cells.all(field)))
    .find((value) => /^[=@]/.test(value));
  if (formula !== undefined) remarks.push(`"${short(formula)}" looks like a formula; it is taken as text`);
  const prefix = first("namePrefix");
  const isTitle = PERSONAL_TITLE.test(prefix);
  const parts = [isTitle ? prefix : "", first("firstName"), first("lastName"), first("nameSuffix")].filter(Boolean);
  const person = tidyName(first("name") || parts.join(" "));
  const business = tidyName(first("business"));
  // Any other title is what somebody does there, or how they are addressed.
  const does = isTitle || first("name") === prefix ? "" : prefix;
  if (does !== "" && (business === "" || person === "")) left.push(`Title: ${does}`);
  const name = cells.fitting("name", business || person, LONGEST_NAME);
  const details = noDetails();
  details.knownFrom = cells.fitting("way to know them", first("knownFrom"), 200);
  details.phones = phones(cells);
  details.emails = emails(cells);
  details.contacts = contacts(business === "" ? "" : person, does, cells);
  details.serviceAddresses = sites(cells);
  details.billingAddress = billingAddress(cells);
  details.foundUsBy = first("foundUsBy") || null;
  details.taxExemption =
    first("taxExemption") === "" ? null : { number: cells.fitting("tax exemption", first("taxExemption"), 60) };
  details.usualPayer =
    first("usualPayer") === "" ? null : { name: cells.fitting("payer", first("usualPayer"), 300), customerId: null };
  const car = carOf(cells);
  for (const value of cells.all("leftOver")) {
    left.push(value);
    remarks.push(`"${short(value)}" has no place of its own; it is kept in the notes`);
  }
  details.notes = [...cells.all("notes"), ...left].join("\n");
  const ownId = uuid.safeParse(first("ownId").replace(/^urn:uuid:/i, ""));
  return {
    ownId: ownId.success ? ownId.data : null,
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

function phones(cells: RowCells): CustomerDetails["phones"] {
  const found: CustomerDetails["phones"] = [];
  for (const { field, value, label } of cells.labeled(PHONE_FIELDS, "phoneLabel")) {
    const phone = readPhone(value);
    if (phone === null) cells.leave("phone", value);
    else if (!found.some(({ number, extension }) => number === phone.number && extension === phone.extension))
      found.push({
        ...phone,
        label: cells.fitting("label", label || PHONE_LABELS[field as keyof typeof PHONE_LABELS], 40),
      });
  }
  return found;
}

function emails(cells: RowCells): CustomerDetails["emails"] {
  const found: CustomerDetails["emails"] = [];
  for (const { value, label } of cells.labeled(["email"], "emailLabel"))
    // Several in one cell come with commas, semicolons or blanks between them.
    for (const address of value.split(/[\s,;]+/).filter(Boolean))
      if (!email.safeParse(address).success) cells.leave("email", address);
      else if (!found.some((each) => each.address.toLowerCase() === address.toLowerCase()))
        found.push({ address, label: cells.fitting("label", label, 40) });
  return found;
}

/** The places of work: the first of each kind of column is of the first place, the second of the second. */
function sites(cells: RowCells): CustomerDetails["serviceAddresses"] {
  const columns = {
    label: cells.placed("placeLabel"),
    street: cells.placed("street"),
    number: cells.placed("houseNumber"),
    more: cells.placed("streetMore"),
    box: cells.placed("poBox"),
    town: cells.placed("town"),
    region: cells.placed("region"),
    postcode: cells.placed("postcode"),
    gateCode: cells.placed("gateCode"),
    dog: cells.placed("dog"),
    slope: cells.placed("slope"),
    heightLimit: cells.placed("heightLimit"),
    surface: cells.placed("surface"),
    note: cells.placed("accessNote"),
  };
  const count = Math.max(...Object.values(columns).map(({ length }) => length));
  return Array.from({ length: count }, (_, index) => index).flatMap((index) => {
    const at = (column: keyof typeof columns): string => columns[column][index] ?? "";
    const box = at("box") === "" || /box|postfach/i.test(at("box")) ? at("box") : `PO Box ${at("box")}`;
    const street = [[at("street"), at("number")].filter(Boolean).join(" "), at("more"), box].filter(Boolean).join(", ");
    const place = {
      street: cells.fitting("street", street, 200),
      town: cells.fitting("town", at("town"), 100),
      region: cells.fitting("state", at("region"), 40),
      postcode: cells.fitting("postcode", at("postcode"), 20),
      latitude: null,
      longitude: null,
    };
    const access = {
      ...noAccessNotes(),
      gateCode: cells.fitting("gate code", at("gateCode"), 60),
      dog: cells.fitting("dog", at("dog"), 100),
      slope: cells.fitting("slope", at("slope"), 60),
      heightLimit: cells.fitting("height limit", at("heightLimit"), 60),
      surface: cells.fitting("surface", at("surface"), 60),
      note: cells.fitting("way in", at("note"), 500),
    };
    const isKnown = [place.street, place.town, place.region, place.postcode, ...Object.values(access)].some(Boolean);
    return isKnown ? [{ id: "", label: cells.fitting("label", at("label"), 60), place, access }] : [];
  });
}

function billingAddress({ first, fitting }: RowCells): CustomerDetails["billingAddress"] {
  const place = {
    street: fitting("street", first("billStreet"), 200),
    town: fitting("town", first("billTown"), 100),
    region: fitting("state", first("billRegion"), 40),
    postcode: fitting("postcode", first("billPostcode"), 20),
    latitude: null,
    longitude: null,
  };
  return [place.street, place.town, place.region, place.postcode].some(Boolean) ? place : null;
}

function contacts(person: string, does: string, cells: RowCells): Contact[] {
  const [names, roles, phoneCells, emailCells] = (
    ["contactName", "contactRole", "contactPhone", "contactEmail"] as const
  ).map(cells.placed);
  const count = Math.max(...[names, roles, phoneCells, emailCells].map((column) => column?.length ?? 0));
  const listed = Array.from({ length: count }, (_, index) => ({
    name: tidyName(names?.[index] ?? ""),
    role: roles?.[index] ?? "",
    phone: phoneCells?.[index] ?? "",
    email: emailCells?.[index] ?? "",
  }));
  // Who stands beside a business's name is the one to talk to.
  const made = [...(person === "" ? [] : [{ name: person, role: does, phone: "", email: "" }]), ...listed];
  return made.flatMap(({ name, role, phone: typed, email: address }) => {
    const phone = typed === "" ? null : readPhone(typed);
    if (typed !== "" && phone === null) cells.leave("phone", typed);
    const isEmail = email.safeParse(address).success;
    if (address !== "" && !isEmail) cells.leave("email", address);
    if (name === "") {
      if (phone !== null) cells.leave("contact without a name", typed);
      if (isEmail) cells.leave("contact without a name", address);
      return [];
    }
    return [
      {
        id: "",
        name: cells.fitting("name", name, LONGEST_NAME),
        role: cells.fitting("role", role, 60),
        phone: phone === null ? null : { ...phone, label: "" },
        email: isEmail ? address : null,
        approvalLimitCents: 0,
        mayPay: false,
        mayHandOverKeys: false,
      },
    ];
  });
}

/** Where check digits are the law; elsewhere position 9 may be anything. */
const WITH_CHECK_DIGIT = /^[1-5]/;
const VIN_NOTE = "So it stood in a file; the check digit does not hold";

function carOf(cells: RowCells): ImportedCar | null {
  const text = (field: ImportField, what: string, most: number): string | null =>
    cells.fitting(what, cells.first(field), most) || null;
  const typedYear = cells.first("carYear");
  const year = /^(18|19|20)\d\d$/.test(typedYear) ? Number(typedYear) : null;
  if (typedYear !== "" && year === null) cells.leave("year", typedYear);
  const typedVin = cells.first("carVin").replace(/[\s-]/g, "").toUpperCase();
  const vin = /^[A-Z0-9]{5,20}$/.test(typedVin) ? typedVin : null;
  if (typedVin !== "" && vin === null) cells.leave("VIN", typedVin);
  const isWrong =
    vin !== null &&
    vin.length === 17 &&
    WITH_CHECK_DIGIT.test(vin) &&
    expectedCheckDigit(vin) !== vin[CHECK_DIGIT_INDEX];
  if (isWrong) cells.remarks.push(`the check digit of the VIN ${vin} does not hold; it is kept, and marked`);
  const typedPlate = cells.first("carPlate");
  if (typedPlate.length > 20) cells.leave("plate", typedPlate);
  const car = {
    vin,
    vinNote: isWrong ? VIN_NOTE : null,
    plate: typedPlate === "" || typedPlate.length > 20 ? null : typedPlate,
    region: text("carRegion", "state", 20),
    year,
    make: text("carMake", "make", 80),
    model: text("carModel", "model", 120),
    color: text("carColor", "color", 40),
    unitNumber: text("carUnit", "unit number", 40),
  };
  return [car.vin, car.plate, car.make, car.model].some((value) => value !== null) ? car : null;
}
