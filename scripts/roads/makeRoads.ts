import type { RoadClass, RoadFile } from "@mechanon/core";

type Feature = RoadFile["features"][number];

/** A street that has to be there. */
interface GivenStreet {
  name: string;
  town: string;
  latitude: number;
  longitude: number;
}

const [SOUTH, WEST] = [47.995, -122.652];
const [ROWS, COLUMNS] = [58, 62];
const [STEP_NORTH, STEP_EAST] = [0.00118, 0.00135];
/** The sound between the two towns. */
const [WATER_FROM, WATER_TO] = [48.0172, 48.0206];
const BRIDGE_COLUMN = 30;
const FERRY_COLUMN = 8;
const FERRY = { crossingMinutes: 9, departures: Array.from({ length: 25 }, (_, index) => 6 * 60 + index * 40) };
/** So many roads between two crossings carry one name. */
const BLOCK = 9;
const NUMBERS_PER_ROAD = 16;
const MAIN_EVERY = 10;
const SEED = 20_261_127;

const FIRST = ["Alder", "Anchor", "Barnacle", "Beacon", "Bell", "Bramble", "Breaker", "Buoy", "Camas", "Capstan", "Chandler", "Clamshell", "Cormorant", "Dory", "Driftwood", "Dunlin", "Eelgrass", "Fathom", "Fern", "Gale", "Galley", "Gannet", "Halyard", "Harrier", "Jetty", "Juniper", "Keel", "Lantern", "Larch", "Limpet", "Marsh", "Mooring", "Murre", "Otter", "Pelican", "Periwinkle", "Pilot", "Plover", "Quay", "Rigger", "Rudder", "Salal", "Sandpiper", "Scoter", "Skiff", "Spindrift", "Tern", "Thimble", "Tiller", "Wharf"]; // prettier-ignore
const SECOND = ["Street", "Lane", "Way", "Road", "Bend", "Row", "Hill", "Court", "Terrace", "Path"];

/** The made-up roads of the region: a grid with its corners moved, cut by water, with a bridge and a ferry; the same each time. */
export function makeRoads(streets: readonly GivenStreet[]): RoadFile {
  const random = seeded(SEED);
  const jitter = (step: number): number => (random() - 0.5) * step * 0.35;
  const points = Array.from({ length: ROWS }, (_row, row) =>
    Array.from({ length: COLUMNS }, (_column, column): [number, number] => [
      rounded(WEST + column * STEP_EAST + jitter(STEP_EAST)),
      rounded(SOUTH + row * STEP_NORTH + jitter(STEP_NORTH)),
    ]),
  );
  const at = (row: number, column: number): [number, number] => points[row]?.[column] ?? [0, 0];
  const isWater = ([, latitude]: [number, number]): boolean => latitude > WATER_FROM && latitude < WATER_TO;
  const names = new Names(random);
  const given = new Map(streets.map((street) => [blockOf(street), street]));
  const features: Feature[] = [];
  const add = (line: [number, number][], properties: Partial<Feature["properties"]> & { class: RoadClass }): void => {
    if (line.length < 2) return;
    features.push({
      type: "Feature",
      geometry: { type: "LineString", coordinates: line },
      properties: { name: null, town: null, numbers: null, ...properties },
    });
  };
  /** A line of crossings that carries one name; what lies in the water parts it, and so does a gap. */
  const addStreet = (
    crossings: [number, number][],
    isEastWest: boolean,
    index: number,
    named: GivenStreet | undefined,
  ): void => {
    const isMain = index % MAIN_EVERY === 0;
    const town = townAt(crossings[0] ?? [0, 0]);
    const name = named?.name ?? names.next(town);
    const kind: RoadClass = isMain ? "main" : !named && random() < 0.15 ? "lane" : "street";
    let run: [number, number][] = [];
    let first = 1;
    const close = (next: number): void => {
      add(run, { class: kind, name, town, numbers: [first, next - 1] });
      run = [];
      first = next;
    };
    crossings.forEach((crossing, place) => {
      const number = 1 + place * NUMBERS_PER_ROAD;
      const isGap = !named && !isMain && isEastWest && random() < 0.06;
      if (isWater(crossing)) close(number);
      else if (isGap) {
        run.push(crossing);
        close(number);
      } else run.push(crossing);
    });
    close(1 + (crossings.length - 1) * NUMBERS_PER_ROAD);
  };
  for (let row = 0; row < ROWS; row++)
    for (let column = 0; column < COLUMNS - 1; column += BLOCK) {
      const last = Math.min(COLUMNS - 1, column + BLOCK);
      const crossings = range(column, last).map((each) => at(row, each));
      addStreet(crossings, true, row, given.get(`${row} ${column / BLOCK}`));
    }
  for (let column = 0; column < COLUMNS; column++)
    for (let row = 0; row < ROWS - 1; row += BLOCK) {
      const last = Math.min(ROWS - 1, row + BLOCK);
      const crossings = range(row, last).map((each) => at(each, column));
      if (column === BRIDGE_COLUMN) add(crossings, { class: "highway", name: "Sound Bridge Road", town: null });
      else addStreet(crossings, false, column, undefined);
    }
  const shores = range(0, ROWS - 1).filter((row) => !isWater(at(row, FERRY_COLUMN)));
  const north = shores.find((row) => at(row, FERRY_COLUMN)[1] >= WATER_TO) ?? 0;
  const south = shores.filter((row) => at(row, FERRY_COLUMN)[1] <= WATER_FROM).at(-1) ?? 0;
  add([at(south, FERRY_COLUMN), at(north, FERRY_COLUMN)], { class: "ferry", name: "Sound ferry", ...FERRY });
  return { type: "FeatureCollection", features };
}

/** Which stretch of the grid a given street is: the row nearest to its point. */
function blockOf({ latitude, longitude }: GivenStreet): string {
  const row = Math.round((latitude - SOUTH) / STEP_NORTH);
  const column = Math.floor((longitude - WEST) / STEP_EAST);
  return `${row} ${Math.floor(column / BLOCK)}`;
}

function townAt([longitude, latitude]: [number, number]): string {
  if (latitude > WATER_TO) return longitude > -122.588 ? "Millrace" : "Larkhaven";
  return longitude < -122.63 ? "Saltgrass" : "Tidewater Mills";
}

/** Names of streets, each once in a town. */
class Names {
  private readonly used = new Set<string>();
  constructor(private readonly random: () => number) {}
  next(town: string): string {
    for (;;) {
      const pick = (words: readonly string[]): string => words[Math.floor(this.random() * words.length)] ?? "";
      const name = `${pick(FIRST)} ${pick(SECOND)}`;
      if (this.used.has(`${town} ${name}`)) continue;
      this.used.add(`${town} ${name}`);
      return name;
    }
  }
}

/** Numbers from 0 to 1, the same for a seed. @see Park and Miller, Random number generators: good ones are hard to find (1988) */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

function range(from: number, to: number): number[] {
  return Array.from({ length: to - from + 1 }, (_, index) => from + index);
}

function rounded(degrees: number): number {
  return Math.round(degrees * 1e5) / 1e5;
}
