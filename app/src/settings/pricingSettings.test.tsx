import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { pricingSettingsOf } from "@mechanon/core";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { curveOf } from "./curveOf";
import { readMileBands, typedMileBands } from "./mileBands";
import { PricingSettings } from "./PricingSettings";
import { StockSettings } from "./StockSettings";
import { bandsFault, readBands, typedBandsOf, withBand } from "./typedBands";
import { pricingOf, readPricing, typedPricingOf } from "./typedPricing";

const BEFORE = pricingSettingsOf(SETTINGS_SAMPLE.rules);
const type = (label: string, value: string): void => fireEvent.changeText(screen.getByLabelText(label), value);
const press = (name: string): void => fireEvent.press(screen.getByRole("button", { name }));

it("comes back as it stands when nothing is typed", () => {
  const read = readPricing.parse(typedPricingOf(SETTINGS_SAMPLE));
  expect(pricingOf(read)).toEqual(BEFORE);
});

it("saves tables, fees, discounts, the target and the days whole", async () => {
  const server = fakeServer({
    "PATCH /api/business/pricing": { body: BEFORE },
    "GET /api/business": { body: BUSINESS },
  });
  show(<PricingSettings />);
  type("Margin to reach, percent", "45");
  type("A quote is good for, days", "30");
  type("A yes holds so much above its price, percent", "10");
  type("and at most so much above", "50");
  press("Add a band to standard");
  type("up to, band 1 of standard", "50");
  type("Cost from, band 2 of standard", "50.01");
  type("times, band 2 of standard", "2.5");
  press("Fees, 0 fees");
  press("Add a fee");
  type("Fee", "Tire disposal");
  type("Price, Tire disposal", "4");
  fireEvent.press(screen.getByRole("checkbox", { name: "Tire" }));
  press("Discounts, 0 discounts");
  press("Add a discount");
  type("Discount", "Neighbor");
  type("Takes off, Neighbor", "10%");
  fireEvent.press(screen.getByTestId("save-prices"));
  await waitFor(() => {
    const body = server.asked.find(({ method }) => method === "PATCH")?.body as {
      pricing: { from: unknown; to: object }[];
    };
    expect(body.pricing[0]?.from).toEqual(BEFORE);
    expect(body.pricing[0]?.to).toMatchObject({
      tables: [
        {
          bands: [
            { upTo: 5000, times: 2 },
            { upTo: null, times: 2.5 },
          ],
        },
      ],
      fees: [{ title: "Tire disposal", priceCents: 400, on: { what: "part", kinds: ["tire"], each: true } }],
      offers: [{ title: "Neighbor", off: { percent: 10 }, code: null, until: null }],
      ...{ targetMarginPercent: 45, quoteDays: 30, tolerance: { percent: 10, amountCents: 5000 } },
    });
  });
});

it("refuses a gap with where it is, shows a dip, and takes it once the owner says so", async () => {
  fakeServer({
    "PATCH /api/business/pricing": problemReply(409, "version/changed", "changed"),
    "GET /api/business": { body: BUSINESS },
  });
  show(<PricingSettings />);
  press("Add a band to standard");
  type("up to, band 1 of standard", "50");
  expect(screen.getByText("✕ nothing stands for a cost from $50.01 to $100.00")).toBeTruthy();
  type("Cost from, band 2 of standard", "50.01");
  type("times, band 2 of standard", "1.5");
  fireEvent.press(screen.getByTestId("save-prices"));
  expect(await screen.findByText(/Something above does not fit yet/)).toBeTruthy();
  expect(screen.getByText("○ It dips: a part at $50.01 sells for $75.02, one at $50.00 for $100.00.")).toBeTruthy();
  fireEvent.press(screen.getByRole("checkbox", { name: "It may dip there" }));
  fireEvent.press(screen.getByTestId("save-prices"));
  expect(await screen.findByText(/Somebody else changed the same meanwhile/)).toBeTruthy();
});

it("is not for who may not see cost", () => {
  show(<PricingSettings />, { rights: ["settings"] });
  expect(screen.getByText(/which you may not see/)).toBeTruthy();
});

describe("bands as they are typed", () => {
  const typed = typedBandsOf([
    { upTo: 500, times: 3 },
    { upTo: null, times: 2 },
  ]);
  const fault = (bands: typeof typed): string | null => bandsFault({ bands, neverCheaper: true, mayDip: false });
  it("begin a cent above the one before, and come back the same", () => {
    expect(typed.map(({ from }) => from)).toEqual(["0.00", "5.01"]);
    expect(readBands(typed)).toEqual([
      { upTo: 500, times: 3 },
      { upTo: null, times: 2 },
    ]);
    expect(fault(withBand(typed))).toBeNull();
  });
  it.each([
    [
      "an overlap",
      [
        { from: "0", upTo: "5", times: "3" },
        { from: "4", upTo: "", times: "2" },
      ],
      "two bands stand for a cost of $4.00",
    ],
    ["no cost", [{ from: "0", upTo: "x", times: "3" }], "band 1: a cost looks like 84.50"],
    ["no factor", [{ from: "0", upTo: "", times: "" }], "band 1: times what, like 1.9"],
    ["an end that is open", [{ from: "0", upTo: "5", times: "3" }], "nothing stands for a cost above $5.00"],
  ])("say %s with where", (_name, bands, words) => {
    expect(fault(bands)).toBe(words);
  });
});

it("draws a table from nothing to beyond its last band, its steps exactly", () => {
  const { points, mostCost } = curveOf({
    bands: [
      { upTo: 500, times: 3 },
      { upTo: null, times: 2 },
    ],
    neverCheaper: false,
    ending: null,
  });
  expect([points[0], points.at(-1), mostCost]).toEqual([{ cost: 0, price: 0 }, { cost: 750, price: 1500 }, 750]);
  expect(points).toContainEqual({ cost: 500, price: 1500 });
  expect(points).toContainEqual({ cost: 501, price: 1002 });
});

it.each([
  [
    "10: 35.00, 25: 60, any: 90.00",
    [
      { upToMiles: 10, cents: 3500 },
      { upToMiles: 25, cents: 6000 },
      { upToMiles: null, cents: 9000 },
    ],
  ],
  ["", []],
  ["25: 60, 10: 35", null],
  ["any: 1, 10: 2", null],
  ["0: 1", null],
  ["near: 3", null],
])("call-outs by miles typed as %p", (typed, bands) => {
  expect(readMileBands(typed)).toEqual(bands);
  if (bands && typed.endsWith("90.00")) expect(typedMileBands(bands)).toBe("10: 35.00, 25: 60.00, any: 90.00");
});

it("keeps what is on a van, part by part", async () => {
  const server = fakeServer({
    "PATCH /api/business/stock": { body: { stock: [] } },
    "GET /api/business": { body: BUSINESS },
  });
  show(<StockSettings />);
  expect(screen.getByText(/Nothing is kept of any van yet/)).toBeTruthy();
  press("Add a part");
  fireEvent.press(screen.getByTestId("save-stock"));
  expect(await screen.findByText("✕ what it is")).toBeTruthy();
  type("What it is", "Coolant, gallon");
  type("Cost each, Coolant, gallon", "12.40");
  type("How many, Coolant, gallon", "4");
  type("Barcodes", "0760155501104, 0760155501105");
  fireEvent.press(screen.getByTestId("save-stock"));
  await waitFor(() =>
    expect(server.asked.find(({ method }) => method === "PATCH")?.body).toMatchObject({
      stock: [
        {
          from: null,
          to: {
            title: "Coolant, gallon",
            costCents: 1240,
            priceCents: null,
            count: 4,
            personId: "me",
            codes: ["0760155501104", "0760155501105"],
          },
        },
      ],
    }),
  );
});
