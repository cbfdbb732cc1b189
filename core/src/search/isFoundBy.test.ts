import { isFoundBy } from "./isFoundBy";
import { readSearch } from "./searchQuery";
import { searchTerms } from "./searchTerms";

const place = {
  street: "18 Heron Landing",
  town: "Larkhaven",
  region: "WA",
  postcode: "98099",
  latitude: null,
  longitude: null,
};
const TERMS = searchTerms(
  {
    name: "Noor Haddad-Bell",
    kind: "person",
    knownFrom: "from the bakery",
    phones: [{ number: "+13605550141", extension: null, label: "mobile" }],
    emails: [{ address: "noor@example.com", label: "" }],
    contacts: [],
    serviceAddresses: [
      {
        id: "a",
        label: "Home",
        place,
        gate: "",
        notes: "",
        dog: false,
        surface: null,
        isSloped: null,
        heightLimitInches: null,
      },
    ],
    billingAddress: null,
  } as unknown as Parameters<typeof searchTerms>[0],
  [{ id: "car", vin: "1HGCV1F34KA048217", plateKey: "LRK12O4", make: "Honda", model: "Accord", color: "Blue" }],
);

it.each([
  ["noor", true],
  ["bell had", true],
  ["heron", true],
  ["bakery", true],
  ["blue accord", true],
  ["0141", true],
  ["(360) 555-0141", true],
  ["+49 30 555 0141", false],
  ["048217", true],
  ["noor@ex", true],
  ["bram", false],
  ["noor bram", false],
])("%s: %s", (typed, isFound) => {
  expect(isFoundBy(TERMS, readSearch(typed))).toBe(isFound);
});
