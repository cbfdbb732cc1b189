import type { ImportField } from "@mechanon/core";
import type { ImportView, RowOutcome } from "@mechanon/contract";

/** What a column holds, in words. */
export const FIELD_WORDS: Readonly<Record<ImportField, string>> = {
  ownId: "Our own number",
  name: "Name",
  firstName: "First name",
  lastName: "Last name",
  namePrefix: "Title before the name",
  nameSuffix: "Behind the name",
  business: "Business",
  knownFrom: "How you know them",
  phone: "Phone",
  mobilePhone: "Mobile",
  workPhone: "Work phone",
  homePhone: "Home phone",
  phoneLabel: "Phone's label",
  email: "Email",
  emailLabel: "Email's label",
  placeLabel: "Place's label",
  street: "Street",
  houseNumber: "House number",
  streetMore: "Suite, second line",
  poBox: "PO box",
  town: "Town",
  region: "State",
  postcode: "Postcode",
  gateCode: "Gate code",
  dog: "Dog",
  slope: "Slope",
  heightLimit: "Height limit",
  surface: "Surface",
  accessNote: "Access",
  billStreet: "Bills go to: street",
  billTown: "Bills go to: town",
  billRegion: "Bills go to: state",
  billPostcode: "Bills go to: postcode",
  notes: "Notes",
  leftOver: "Into the notes",
  foundUsBy: "Found us by",
  taxExemption: "Tax exemption",
  usualPayer: "Who usually pays",
  contactName: "Contact",
  contactRole: "Contact's role",
  contactPhone: "Contact's phone",
  contactEmail: "Contact's email",
  carVin: "VIN",
  carPlate: "Plate",
  carRegion: "Plate's state",
  carYear: "Car's year",
  carMake: "Car's make",
  carModel: "Car's model",
  carColor: "Car's color",
  carUnit: "Car's unit number",
};

export const OUTCOME_WORDS: Readonly<Record<RowOutcome, string>> = {
  new: "New customers",
  joins: "Join a row above",
  fills: "Fill in who is kept",
  skips: "Left out, kept already",
  fault: "Cannot be taken",
};

export const DOUBLE_WORDS: Readonly<Record<ImportView["doubles"], string>> = {
  fill: "Fill in what is missing",
  skip: "Leave them out",
  add: "Add them anyway",
};

/** What an import does or did, on one line. */
export function importLine({ status, doneCount, rowCount, counts, keptByUndo }: ImportView): string {
  const taken = counts.new + counts.joins + counts.fills;
  switch (status) {
    case "reading":
      return `Reading, ${doneCount} rows so far`;
    case "checking":
      return `Trying ${doneCount} of ${rowCount}`;
    case "running":
      return `Bringing in ${doneCount} of ${rowCount}`;
    case "undoing":
      return "Taking out again";
    case "read":
      return `${rowCount} rows, not tried yet`;
    case "checked":
      return `${rowCount} rows tried, nothing brought in yet`;
    case "done":
      return `${taken} of ${rowCount} rows brought in`;
    case "undone":
      return keptByUndo === null || keptByUndo === 0
        ? "Taken out again"
        : `Taken out again, but for ${keptByUndo} that were worked with`;
    case "failed":
      return "Failed";
  }
}

/** Whether the server is at work on it. */
export function isUnderWay({ status }: Pick<ImportView, "status">): boolean {
  return status === "reading" || status === "checking" || status === "running" || status === "undoing";
}
