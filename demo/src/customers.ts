import type { AccessNotes, Contact, CustomerDetails, CustomerKind } from "@mechanon/core";

/** A demo car: a real make and model, a made-up VIN whose check digit holds, a made-up plate. */
export interface DemoCar {
  key: string;
  vin: string | null;
  plate: string;
  year: number;
  make: string;
  model: string;
  engine: string | null;
  color: string;
  unitNumber: string | null;
}
export interface DemoCustomer {
  key: string;
  name: string;
  phone: string;
  email: string | null;
  houseNumber: number;
  street: string;
  cars: DemoCar[];
  kind?: CustomerKind;
  /** What is known beyond phone, email and address. */
  more?: Partial<Omit<CustomerDetails, "contacts">> & {
    access?: Partial<AccessNotes>;
    contacts?: (Partial<Contact> & Pick<Contact, "name" | "role">)[];
  };
}

const car = (
  key: string,
  vin: string | null,
  plate: string,
  year: number,
  make: string,
  model: string,
  engine: string | null,
  color: string,
  unitNumber: string | null = null,
): DemoCar => ({
  key,
  vin,
  plate,
  year,
  make,
  model,
  engine,
  color,
  unitNumber,
});

export const CUSTOMERS: DemoCustomer[] = [
  { key: "maren", name: "Maren Oyelaran", phone: "+13605550111", email: "maren@example.com", houseNumber: 18, street: "Heron Landing", more: { textConsent: { given: true, at: "2025-04-02T17:10:00.000Z", how: "Said so on the phone" }, preferredContact: "text", access: { gateCode: "4410", dog: "friendly", slope: "Level", surface: "Concrete" }, contacts: [{ name: "Idris Oyelaran", role: "Spouse", phone: { number: "+13605550131", extension: null, label: "Mobile" }, approvalLimitCents: 30000, mayHandOverKeys: true }], foundUsBy: "A friend" }, cars: [car("maren-accord", "1HGCV1F34KA048217", "LRK1204", 2019, "Honda", "Accord", "1.5 L 4 cyl", "Gray")] },
  { key: "jasper", name: "Jasper Lindqvist", phone: "+13605550112", email: "jasper@example.com", houseNumber: 7, street: "Oyster Shell Lane", cars: [car("jasper-f150", "1FTEW1EP6KFA61904", "LRK2231", 2019, "Ford", "F-150", "2.7 L V6", "Blue"), car("jasper-corolla", "2T1BURHE8GC573018", "LRK2232", 2016, "Toyota", "Corolla", "1.8 L 4 cyl", "White")] },
  { key: "noor", name: "Noor Haddad-Bell", phone: "+13605550113", email: "noor@example.com", houseNumber: 31, street: "Kelp Street", more: { preferredContact: "email", textConsent: { given: false, at: "2026-02-11T19:00:00.000Z", how: "Asked not to be texted" }, access: { slope: "Steep", note: "Park across the street" }, foundUsBy: "Web search" }, cars: [car("noor-prius", "JTDKN3DU2A0152873", "LRK3310", 2010, "Toyota", "Prius", "1.8 L 4 cyl", "Silver")] },
  { key: "teodor", name: "Teodor Vance", phone: "+13605550114", email: null, houseNumber: 2, street: "Foghorn Hill", cars: [car("teodor-outback", "4S4BRBCC8A3351072", "LRK4407", 2010, "Subaru", "Outback", "2.5 L 4 cyl", "Green")] },
  { key: "ingrid", name: "Ingrid Palomar", phone: "+13605550115", email: "ingrid@example.com", houseNumber: 55, street: "Ebb Court", cars: [car("ingrid-malibu", "1G1ZD5ST3JF127509", "LRK5182", 2018, "Chevrolet", "Malibu", "1.5 L 4 cyl", "Red")] },
  { key: "bram", name: "Bram Castellanos", phone: "+13605550116", email: "bram@example.com", houseNumber: 140, street: "Ferry Slip Road", more: { phones: [{ number: "+13605550116", extension: null, label: "Mobile" }, { number: "+13605550196", extension: "12", label: "Work" }], contacts: [{ name: "Lotte Castellanos", role: "Spouse", mayPay: true, approvalLimitCents: null, mayHandOverKeys: true }], notes: "Prefers mornings before eight.", foundUsBy: "The van on the street" }, cars: [car("bram-silverado", "3GCUKREC4JG218460", "LRK6093", 2018, "Chevrolet", "Silverado", "5.3 L V8", "Black"), car("bram-tahoe", "1GNSKBKC1FR561082", "LRK6094", 2015, "Chevrolet", "Tahoe", "5.3 L V8", "Tan")] },
  { key: "sunniva", name: "Sunniva Achterberg", phone: "+13605550117", email: "sunniva@example.com", houseNumber: 9, street: "Madrona Bend", cars: [car("sunniva-crv", "2HKRW2H56JH618204", "TDW7115", 2018, "Honda", "CR-V", "1.5 L 4 cyl", "Blue")] },
  { key: "caspian", name: "Caspian Rowntree", phone: "+13605550118", email: null, houseNumber: 22, street: "Cannery Row East", cars: [car("caspian-rogue", "JN8AS5MT0CW284915", "TDW8126", 2012, "Nissan", "Rogue", "2.5 L", "White")] },
  { key: "delphine", name: "Delphine Marsh", phone: "+13605550119", email: "delphine@example.com", houseNumber: 63, street: "Lamplighter Way", cars: [car("delphine-mazda3", "JM1BL1V78C1604423", "TDW9034", 2012, "Mazda", "Mazda3", "2 L", "Red")] },
  { key: "oskar", name: "Oskar Nwosu", phone: "+13605550120", email: "oskar@example.com", houseNumber: 5, street: "Ropewalk", cars: [car("oskar-soul", "KNDJT2A50D7512386", "LRK1340", 2013, "Kia", "Soul", "1.6 L", "Lime")] },
  { key: "harborbread", name: "Harbor Bread Deliveries", phone: "+13605550121", email: "vans@example.com", houseNumber: 81, street: "Ferry Slip Road", kind: "business", more: { preferredContact: "email", taxExemption: { number: "WA-EX 44-1180" }, contacts: [{ name: "Gideon Maas", role: "Fleet manager", phone: { number: "+13605550151", extension: "3", label: "Office" }, email: "gideon@example.com", approvalLimitCents: 80000, mayPay: true }, { name: "Pilar Quist", role: "Driver", phone: { number: "+13605550152", extension: null, label: "Mobile" }, mayHandOverKeys: true }], access: { gateCode: "0815#", heightLimit: "8 ft 2 in", surface: "Asphalt", note: "Loading dock 2, before ten" }, notes: "Vans are back by three.", foundUsBy: "Another garage" }, cars: [car("bread-transit", "1FTBW2CM0HKA40628", "LRK1451", 2017, "Ford", "Transit", "3.7 L V6", "White", "1"), car("bread-caravan", "2C4RDGBG6ER305871", "LRK1452", 2014, "Dodge", "Grand Caravan", "3.6 L V6", "White", "2")] },
  { key: "petra", name: "Petra Sandoval", phone: "+13605550122", email: "petra@example.com", houseNumber: 12, street: "Heron Landing", more: { foundUsBy: "A friend", newcomerAnswers: [{ questionId: "recommended-by", question: "Who recommended us?", answer: "Maren next door" }, { questionId: "parking", question: "Where is the car parked?", answer: "Driveway" }] }, cars: [car("petra-sonata", "5NPE24AF9FH146032", "LRK1563", 2015, "Hyundai", "Sonata", "2.4 L", "Gray")] },
  { key: "linus", name: "Linus Featherstone", phone: "+13605550123", email: null, houseNumber: 47, street: "Kelp Street", more: { usualPayer: { name: "Featherstone Boat Rental", customerId: null }, access: { surface: "Gravel", dog: "keep the gate shut" } }, cars: [car("linus-cherokee", "1C4RJFAG3FC642190", "LRK1677", 2015, "Jeep", "Grand Cherokee", "3.6 L V6", "Green"), car("linus-boat-trailer", null, "TRL0058", 2006, "Shoreline", "boat trailer", null, "Galvanized")] },
  { key: "amparo", name: "Amparo Whitlock", phone: "+13605550124", email: "amparo@example.com", houseNumber: 3, street: "Ebb Court", cars: [car("amparo-odyssey", "5FNRL5H65EB091537", "LRK1788", 2014, "Honda", "Odyssey", "V6", "Silver")] },
]; // prettier-ignore

/** Cars the plate register knows and the business does not. */
export const REGISTER_ONLY = [
  { region: "WA", plate: "FRY5083", vin: "3FA6P0H76FR193745", color: "White" },
  { region: "WA", plate: "KLP7724", vin: "JF2SJAEC4EH430915", color: "Green" },
  { region: "WA", plate: "MST3309", vin: "1N4AL3AP1FC207731", color: "Black" },
  { region: "OR", plate: "DUN4418", vin: "WBA8E9G59GNT48206", color: "Blue" },
  // Two cars under one plate: a number that was given out again.
  { region: "OR", plate: "TWN2002", vin: "5YJ3E1EAXJF031846", color: "Red" },
  { region: "OR", plate: "TWN2002", vin: "19XFB2F58CE046271", color: "Silver" },
];
