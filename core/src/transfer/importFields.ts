import { fold } from "../text/fold";

/**
 * What a column of a file can hold, with the headings it is known by: ours, and those of other programs and languages.
 * Numbers in a heading ("Phone 2", "Site 3 street") only say which of several it is.
 */
const HEADINGS = {
  ownId: ["mechanon id"],
  name: ["name", "full name", "customer", "customer name", "client", "contact name", "display name", "fn", "kunde", "kundenname", "nom complet", "cliente", "nombre completo"],
  firstName: ["first name", "first", "given name", "forename", "vorname", "prenom", "nombre", "voornaam", "nome"],
  lastName: ["last name", "last", "surname", "family name", "nachname", "familienname", "nom", "nom de famille", "apellido", "apellidos", "achternaam", "cognome"],
  namePrefix: ["title", "prefix", "salutation", "anrede", "titel", "civilite"],
  nameSuffix: ["suffix", "name suffix"],
  business: ["business", "business name", "company", "company name", "organization", "organisation", "firm", "fleet", "firma", "firmenname", "unternehmen", "entreprise", "societe", "empresa", "bedrijf", "ditta"],
  knownFrom: ["known from", "how you know them"],
  phone: ["phone", "telephone", "tel", "phone number", "other phone", "telefon", "telefonnummer", "rufnummer", "telefono", "telefoon"],
  mobilePhone: ["mobile", "cell", "cell phone", "mobile phone", "cellphone", "handy", "mobil", "mobiltelefon", "handynummer", "portable", "movil", "celular", "mobiel", "cellulare"],
  workPhone: ["work phone", "office phone", "business phone", "office", "telefon geschaftlich", "telefon firma"],
  homePhone: ["home phone", "home", "telefon privat", "festnetz"],
  phoneLabel: ["phone label", "phone type"],
  email: ["email", "e mail", "email address", "mail", "e mail adresse", "emailadresse", "courriel", "correo", "correo electronico"],
  emailLabel: ["email label", "email type"],
  placeLabel: ["site", "site label", "site name"],
  street: ["street", "address", "street address", "address line", "service address", "site street", "strasse", "anschrift", "adresse", "rue", "direccion", "calle", "straat", "adres", "indirizzo", "strasse und hausnummer"],
  houseNumber: ["house number", "street number", "hausnummer", "hausnr", "nr"],
  streetMore: ["address line 2", "address 2", "street 2", "suite", "unit no or suite", "apt", "apartment", "adresszusatz", "site street more"],
  poBox: ["po box", "p o box", "post office box", "postfach"],
  town: ["town", "city", "place", "locality", "site town", "ort", "stadt", "wohnort", "ville", "ciudad", "plaats", "citta"],
  region: ["state", "region", "province", "site state", "bundesland", "provincia"],
  postcode: ["postcode", "zip", "zip code", "postal code", "site postcode", "plz", "postleitzahl", "code postal", "codigo postal", "cap"],
  gateCode: ["gate code", "gate", "site gate code"],
  dog: ["dog", "site dog", "hund"],
  slope: ["slope", "site slope"],
  heightLimit: ["height limit", "site height limit"],
  surface: ["surface", "site surface"],
  accessNote: ["access", "access notes", "directions", "site access", "zufahrt"],
  billStreet: ["billing street", "billing address", "bill street", "rechnungsadresse"],
  billTown: ["billing town", "billing city", "bill town"],
  billRegion: ["billing state", "bill state"],
  billPostcode: ["billing postcode", "billing zip", "bill postcode"],
  notes: ["notes", "note", "remarks", "comment", "comments", "notiz", "notizen", "bemerkung", "bemerkungen", "anmerkung", "remarques", "notas", "opmerkingen"],
  leftOver: ["also in the file"],
  foundUsBy: ["found us by", "referred by", "source", "how found"],
  taxExemption: ["tax exemption", "tax exempt number", "exemption number", "tax id"],
  usualPayer: ["usual payer", "who pays"],
  contactName: ["contact", "contact person", "second contact", "ansprechpartner", "kontakt"],
  contactRole: ["contact role", "role", "job title"],
  contactPhone: ["contact phone"],
  contactEmail: ["contact email"],
  carVin: ["vin", "vehicle vin", "chassis number", "fin", "fahrgestellnummer", "fahrzeugidentnummer"],
  carPlate: ["plate", "license plate", "licence plate", "tag", "registration", "kennzeichen", "immatriculation", "matricula", "kenteken", "targa"],
  carRegion: ["plate state", "plate region", "tag state"],
  carYear: ["year", "vehicle year", "model year", "car year", "baujahr", "annee", "ano"],
  carMake: ["make", "vehicle make", "car make", "marke", "hersteller", "marque", "marca", "merk"],
  carModel: ["model", "vehicle model", "car model", "modell", "modele", "modelo", "modello"],
  carColor: ["color", "colour", "vehicle color", "car color", "farbe", "couleur", "kleur", "colore"],
  carUnit: ["unit", "unit number", "unit no", "fleet number", "car number"],
} as const; // prettier-ignore

export type ImportField = keyof typeof HEADINGS;
export const IMPORT_FIELDS = Object.keys(HEADINGS) as [ImportField, ...ImportField[]];

const FIELD_OF_HEADING = new Map<string, ImportField>(
  IMPORT_FIELDS.flatMap((field) => HEADINGS[field].map((heading) => [heading, field] as const)),
);

/**
 * What each column likely holds, by its heading; null where nothing is known of it.
 * @example
 * guessColumns(["First Name", "Nachname", "Phone 2", "Shoe size"]) //=> ["firstName", "lastName", "phone", null]
 */
export function guessColumns(headings: readonly string[]): (ImportField | null)[] {
  return headings.map((heading) => {
    const words = fold(heading)
      .replace(/[^\p{L}\p{N}]+/gu, " ")
      .trim();
    const withoutNumber = words
      .replace(/\b\d+\b/g, " ")
      .replace(/\s+/g, " ")
      .trim();
    return FIELD_OF_HEADING.get(words) ?? FIELD_OF_HEADING.get(withoutNumber) ?? null;
  });
}
