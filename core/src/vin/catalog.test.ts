import { sampleVinTable } from "../testing/sampleVinTable";
import { catalogMakes, catalogVariants, catalogYears, splitTrims } from "./catalog";
import { decodeVin } from "./decodeVin";
import { describeVehicle } from "./describeVehicle";
import { likelyAnswers } from "./likelyAnswers";

const table = sampleVinTable();

it("goes from next year back to where VINs begin", () => {
  const years = catalogYears(2026);
  expect([years[0], years.at(-1), years.length]).toEqual([2027, 1981, 47]);
});
it("has makes and models of a year, the likeliest first, without trailers, each kind by itself", () => {
  expect(catalogMakes(table, 2018, "car")).toEqual([
    { make: "Tern", models: ["Curlew", "Sandpiper", "Sandpiper GT"] },
    { make: "Heron", models: ["Hauler", "Bittern", "Stilt"] },
  ]);
  expect(catalogMakes(table, 2018, "motorcycle")).toEqual([{ make: "Heron", models: ["Wader"] }]);
  expect(catalogMakes(table, 2005, "car").find(({ make }) => make === "Tern")?.models).toContain("Old Sandpiper");
});
it("says what a model comes with, and nothing of its neighbors", () => {
  expect(catalogVariants(table, { year: 2018, make: "TERN", model: "Sandpiper GT" })).toMatchObject({
    trims: ["AWD Sport"],
    engines: ["2.0 L 4 cyl"],
  });
  expect(catalogVariants(table, { year: 2018, make: "Tern", model: "Curlew" })).toEqual({
    trims: [],
    engines: ["1.5 L Diesel"],
    drives: [],
  });
});
it("narrows by the VIN", () => {
  const plain = "1TZAB9AA0JA012145";
  expect(catalogVariants(table, { year: 2018, make: "Tern", model: "Sandpiper" }, plain).trims).toEqual([]);
});
it.each<[string, string[]]>([
  ["LX/EX", ["LX", "EX"]],
  ["LE/SE/XLE Hybrid", ["LE", "SE", "XLE Hybrid"]],
  ["Limited + M/R", ["Limited + M/R"]],
  ["Premium+AWP+M/R", ["Premium+AWP+M/R"]],
  ["Sport", ["Sport"]],
])("%s is %j", (trim, parts) => {
  expect(splitTrims(trim)).toEqual(parts);
});
it("describes a car from its report, engine in a few words", () => {
  const report = decodeVin("1TZAB2AA0JA012145", { table, currentYear: 2026 });
  expect(describeVehicle(report)).toMatchObject({
    year: 2018,
    make: "Tern",
    model: "Sandpiper GT",
    engine: "2.0 L 4 cyl",
    trim: "AWD Sport",
  });
});

describe("what is asked once", () => {
  const first = (bodyClass: string, year = 2018, known: string[] = []): [string | undefined, string | undefined] => {
    const { drives, transmissions } = likelyAnswers({ bodyClass, year, known });
    return [drives[0], transmissions[0]];
  };
  it("begins with what such a body mostly has", () => {
    expect(first("Sedan/Saloon")).toEqual(["FWD/Front-Wheel Drive", "Automatic"]);
    expect(first("Pickup")).toEqual(["4WD/4-Wheel Drive/4x4", "Automatic"]);
    expect(first("Sport Utility Vehicle (SUV)")).toEqual(["AWD/All-Wheel Drive", "Automatic"]);
    expect(first("Motorcycle - Sport")).toEqual([undefined, "Manual/Standard"]);
  });
  it("begins with what the data names for the model", () => {
    expect(first("Sedan/Saloon", 2018, ["RWD/Rear-Wheel Drive"])[0]).toBe("RWD/Rear-Wheel Drive");
  });
});
