import { fold } from "../search/fold";

/** What a column of a file can hold, with the headings it is known by. */
const HEADINGS = {
  name: ["name", "full name", "customer", "customer name", "client", "contact name", "display name", "fn"],
  firstName: ["first name", "first", "given name", "forename"],
  lastName: ["last name", "last", "surname", "family name"],
  business: ["business", "business name", "company", "company name", "organization", "organisation", "firm", "fleet"],
  phone: ["phone", "telephone", "tel", "phone number", "phone 1", "phone 2", "phone 3", "other phone"],
  mobilePhone: ["mobile", "cell", "cell phone", "mobile phone", "cellphone", "handy"],
  workPhone: ["work phone", "office phone", "business phone", "office"],
  homePhone: ["home phone", "home"],
  email: ["email", "e-mail", "email address", "mail", "email 1", "email 2"],
  street: ["street", "address", "address 1", "street address", "address line 1", "service address"],
  town: ["town", "city", "place", "locality"],
  region: ["state", "region", "province"],
  postcode: ["postcode", "zip", "zip code", "postal code"],
  gateCode: ["gate code", "gate"],
  dog: ["dog"],
  accessNote: ["access", "access notes", "directions"],
  notes: ["notes", "note", "remarks", "comment", "comments"],
  foundUsBy: ["found us by", "referred by", "source", "how found"],
  taxExemption: ["tax exemption", "tax exempt number", "exemption number", "tax id"],
  contactName: ["contact", "contact person", "second contact"],
  contactRole: ["contact role", "role", "title"],
  contactPhone: ["contact phone"],
  contactEmail: ["contact email"],
  carVin: ["vin", "vehicle vin", "chassis number"],
  carPlate: ["plate", "license plate", "licence plate", "tag", "registration"],
  carRegion: ["plate state", "plate region", "tag state"],
  carYear: ["year", "vehicle year", "model year", "car year"],
  carMake: ["make", "vehicle make", "car make"],
  carModel: ["model", "vehicle model", "car model"],
  carColor: ["color", "colour", "vehicle color", "car color"],
  carUnit: ["unit", "unit number", "unit no", "fleet number", "car number"],
} as const;

export type ImportField = keyof typeof HEADINGS;
export const IMPORT_FIELDS = Object.keys(HEADINGS) as [ImportField, ...ImportField[]];

/**
 * What each column likely holds, by its heading; null where nothing is known of it.
 * @example
 * guessColumns(["First Name", "Last Name", "Cell", "Shoe size"]) //=> ["firstName", "lastName", "mobilePhone", null]
 */
export function guessColumns(headings: readonly string[]): (ImportField | null)[] {
  return headings.map((heading) => {
    const words = fold(heading)
      .replace(/[^\p{L}\p{N}]+/gu, " ")
      .trim();
    return (
      IMPORT_FIELDS.find((field) =>
        (HEADINGS[field] as readonly string[]).some((known) => fold(known).replace(/-/g, " ") === words),
      ) ?? null
    );
  });
}
