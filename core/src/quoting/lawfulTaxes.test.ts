import { lawfulTaxes, taxPlaceOf } from "./lawfulTaxes";
import type { TaxPlace } from "./pricingRules";

const PLACES: TaxPlace[] = [
  { id: "hood", title: "Hood", postcodes: ["982", "981-01"], towns: [], taxes: [] },
  {
    ...{ id: "point", title: "Point", postcodes: [], towns: ["Gull Point"] },
    taxes: [
      { id: "state", percent: 6, on: ["part"], from: null },
      { id: "state", percent: 7, on: ["part"], from: "2027-01-01" },
      { id: "ferry", percent: 1, on: ["labor"], from: "2027-06-01" },
    ],
  },
];
const RULES = { taxPlaces: PLACES, pricing: { taxes: [{ id: "usual", percent: 8, on: ["part" as const] }] } };

it.each([
  ["by the beginning of its postcode", { postcode: "98250", town: "" }, "hood"],
  ["by one that is written with a dash", { postcode: "98101", town: "" }, "hood"],
  ["by its town, however it is written", { postcode: "", town: "gull point" }, "point"],
  ["nowhere of the list", { postcode: "97000", town: "Elsewhere" }, undefined],
  ["nowhere where nobody knows where it is", null, undefined],
])("a place is found %s", (_name, at, id) => {
  expect(taxPlaceOf(RULES, at)?.id).toBe(id);
});

it("a place that names nothing is everywhere, after those that do", () => {
  const everywhere = {
    ...RULES,
    taxPlaces: [...PLACES, { id: "all", title: "All", postcodes: [], towns: [], taxes: [] }],
  };
  expect(taxPlaceOf(everywhere, { postcode: "98250", town: "" })?.id).toBe("hood");
  expect(taxPlaceOf(everywhere, null)?.id).toBe("all");
});

it.each([
  ["2026-12-31", [["state", 6]]],
  ["2027-01-01", [["state", 7]]],
  [
    "2027-06-01",
    [
      ["state", 7],
      ["ferry", 1],
    ],
  ],
])("on %s those hold that hold by then", (day, taxes) => {
  expect(lawfulTaxes(RULES, "point", day).map(({ id, percent }) => [id, percent])).toEqual(taxes);
});

it("elsewhere, and where the place is gone, the usual ones hold", () => {
  for (const place of [null, "gone"]) expect(lawfulTaxes(RULES, place, "2027-01-01")).toEqual(RULES.pricing.taxes);
});
