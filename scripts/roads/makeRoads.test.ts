import { readFileSync } from "node:fs";
import { findAddress, readRoadNetwork, roadTravel } from "@mechanon/core";
import { STREETS } from "@mechanon/demo";
import { makeRoads } from "./makeRoads";
import { ROADS_FILE } from "./roadsFile";

const made = makeRoads(STREETS);
const network = readRoadNetwork(made);

it("ships as the script makes it, at least 5,000 roads", () => {
  expect(JSON.parse(readFileSync(ROADS_FILE, "utf8"))).toEqual(made);
  expect(network.roads.length).toBeGreaterThan(5_000);
});

it("has every street of the demo with its numbers, a bridge and a ferry, and leads from each to each", () => {
  for (const { name, town } of STREETS) expect(findAddress(network, `18 ${name}`, town)).toHaveLength(1);
  expect(made.features.filter((each) => each.properties.class === "ferry")).toHaveLength(1);
  expect(made.features.some((each) => each.properties.name === "Sound Bridge Road")).toBe(true);
  const travel = roadTravel(network, 600, () => NaN);
  const minutes = STREETS.flatMap((from) => STREETS.map((to) => travel(from, to)));
  expect(minutes.filter((each) => !Number.isFinite(each))).toEqual([]);
  expect(Math.max(...minutes)).toBeLessThan(30);
});
