import { findAddress } from "./findAddress";
import { mapRoads } from "./mapRoads";
import { readRoadNetwork, type RoadFile } from "./roadNetwork";
import { roadTravel } from "./roadTimes";

/** A thousandth of a degree to the north: about 0.069 miles. */
const STEP = 0.001;
const at = (north: number, east = 0): [number, number] => [
  Math.round((-122.6 + east * STEP) * 1e5) / 1e5,
  Math.round((48 + north * STEP) * 1e5) / 1e5,
];
type Properties = Partial<RoadFile["features"][number]["properties"]>;
const road = (coordinates: [number, number][], properties: Properties = {}): RoadFile["features"][number] => ({
  type: "Feature",
  geometry: { type: "LineString", coordinates },
  properties: { name: null, town: null, class: "street", numbers: null, ...properties },
});
const networkOf = (...features: RoadFile["features"]) => readRoadNetwork({ type: "FeatureCollection", features });
const spot = (north: number, east = 0) => ({ latitude: at(north, east)[1], longitude: at(north, east)[0] });
const FAR = (): number => -1;

describe("driving by the roads", () => {
  // 70 steps of a street are 4.8 miles: 12.1 minutes at 24 miles an hour.
  const straight = networkOf(road([at(0), at(35), at(70)]));
  it("takes as long as the roads are long, with getting in and stopping; the same both ways", () => {
    const travel = roadTravel(straight, 600, FAR);
    expect([travel(spot(0), spot(70)), travel(spot(70), spot(0)), travel(spot(10), spot(10))]).toEqual([14, 14, 0]);
    expect(travel(spot(10), spot(20))).toBe(4);
  });
  it("takes longer in the hours in which everybody drives", () => {
    const main = networkOf(road([at(0), at(70)], { class: "main" }));
    expect(roadTravel(main, 600, FAR)(spot(0), spot(70))).toBe(11);
    expect(roadTravel(main, 8 * 60, FAR)(spot(0), spot(70))).toBe(13);
  });
  it("goes the quicker way round, from wherever on a road one is", () => {
    const ring = networkOf(
      road([at(0), at(70)], { class: "lane" }),
      road([at(0), at(0, 10), at(70, 10), at(70)], { class: "highway" }),
    );
    expect(roadTravel(ring, 600, FAR)(spot(1), spot(69))).toBe(9);
  });
  it("waits for the ferry, until the next day after the last", () => {
    const over = networkOf(
      road([at(0), at(10)]),
      road([at(10), at(30)], { class: "ferry", departures: [600, 660], crossingMinutes: 10 }),
      road([at(30), at(40)]),
    );
    // 1.7 minutes to the quay, then until eleven, ten across, 1.7 on land.
    expect(roadTravel(over, 600, FAR)(spot(0), spot(40))).toBe(74);
    expect(roadTravel(over, 655, FAR)(spot(0), spot(40))).toBe(19);
    expect(roadTravel(over, 661, FAR)(spot(0), spot(40))).toBe(1393);
  });
  it("asks for another way where a place is unknown, far from any road or cut off", () => {
    const island = networkOf(road([at(0), at(10)]), road([at(50), at(60)]));
    const travel = roadTravel(island, 600, FAR);
    expect(travel(spot(0), spot(60))).toBe(-1);
    expect(travel(spot(0), spot(500))).toBe(-1);
    expect(travel({ latitude: null, longitude: null }, spot(0))).toBe(-1);
  });
  it("takes no file that is none", () => {
    expect(() => readRoadNetwork({ type: "FeatureCollection", features: [{ type: "Feature" }] })).toThrow();
    expect(() => networkOf(road([at(0)]))).toThrow();
  });
});

describe("an address", () => {
  const network = networkOf(
    road([at(0), at(10), at(20)], { name: "Heron Landing", town: "Larkhaven", numbers: [1, 41] }),
    road([at(20), at(40)], { name: "Heron Landing", town: "Larkhaven", numbers: [42, 82] }),
    road([at(0, 10), at(20, 10)], { name: "Kelp Street", town: "Larkhaven", numbers: [1, 9] }),
    road([at(0, 20), at(20, 20)], { name: "Kelp Street", town: "Millrace", numbers: [1, 9] }),
    road([at(0, 30), at(20, 30)]),
  );
  it("is found by street and number, where its number is", () => {
    expect(findAddress(network, "11 heron landing")).toEqual([
      { street: "11 Heron Landing", town: "Larkhaven", ...spot(5) },
    ]);
    expect(findAddress(network, "62b Heron Landing")).toMatchObject([{ street: "62b Heron Landing", ...spot(30) }]);
    expect(findAddress(network, "Heron Landing")).toHaveLength(1);
  });
  it("is found misspelled by a letter, and with short forms, in the town that is said", () => {
    expect(findAddress(network, "11 Herron Landing")).toHaveLength(1);
    expect(findAddress(network, "3 Kelp St").map(({ town }) => town)).toEqual(["Larkhaven", "Millrace"]);
    expect(findAddress(network, "3 kelp st.", "millrace").map(({ town }) => town)).toEqual(["Millrace"]);
  });
  it.each(["", "12", "99 Heron Landing", "3 Elsewhere Road", "3 Kelp"])("is none for %j", (typed) => {
    expect(findAddress(network, typed)).toEqual([]);
  });
});

describe("the drawn map", () => {
  const file: RoadFile = {
    type: "FeatureCollection",
    features: [
      road([at(0), at(10)], { name: "Quay", class: "main" }),
      road([at(0), at(5)], { class: "lane" }),
      road([at(0), at(5)]),
      road([at(500), at(510)], { class: "main" }),
    ],
  };
  const within = (degrees: number): string[] =>
    mapRoads(file, { south: 48 - degrees / 2, north: 48 + degrees / 2, west: -123, east: -122 }).map(
      (each) => each.class,
    );
  it("has the roads within its bounds, the small ones only from near", () => {
    expect(within(0.02)).toEqual(["main", "lane", "street"]);
    expect(within(0.1)).toEqual(["main", "street"]);
    expect(within(0.2)).toEqual(["main"]);
    expect(within(2)).toEqual(["main", "main"]);
  });
});
