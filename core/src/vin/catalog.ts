import { describeEngine, type VinEngine } from "./engine";
import { engineName } from "./engineName";
import { keyMatches, keysAgree, vinBits, type KeyMatcher } from "./table/keyMatcher";
import type { VinMaker, VinTable, VinTableRow } from "./table/read";
import type { VinFacts } from "./table/fields";
import type { VinVehicleKind } from "./table/source";

/** A make with how much the data says of it in a year: the more, the likelier it is on the road. */
export interface CatalogMake {
  make: string;
  models: string[];
}

/** What is left open about a car of a known model. */
export interface Variants {
  trims: string[];
  /** Each as it is shown, such as `2.0 L 4 cyl`. */
  engines: string[];
  drives: string[];
}

/** Model years the data describes, the newest first. @param currentYear - no model year is after the next one. */
export function catalogYears(currentYear: number): number[] {
  const first = 1981;
  return Array.from({ length: currentYear + 2 - first }, (_, index) => currentYear + 1 - index);
}

/** What is picked from: cars with light trucks and vans, or what has two wheels. */
export type CatalogGroup = "car" | "motorcycle";
const KINDS: Record<CatalogGroup, readonly VinVehicleKind[]> = {
  car: ["car", "mpv", "truck"],
  motorcycle: ["motorcycle"],
};

/** A model that was built so many years before and after is on the road more than one that came and went. */
const YEARS_ASIDE = 3;

/**
 * Makes and models of a model year, the likeliest first: makes with many models from many plants; models the data says
 * much of, and that were built for long. It reads all the data of three years, so a caller keeps the answer.
 */
export function catalogMakes(table: VinTable, modelYear: number, group: CatalogGroup): CatalogMake[] {
  const makes = new Map<string, { models: Map<string, number>; plants: Set<string> }>();
  forModelsOf(table, modelYear, group, (make, model, maker) => {
    const known = makes.get(make) ?? { models: new Map<string, number>(), plants: new Set<string>() };
    known.models.set(model, (known.models.get(model) ?? 0) + 1);
    // Makers of heavy trucks have hundreds of models, and one plant says little.
    if (maker.kind !== "truck") known.plants.add(maker.wmi);
    makes.set(make, known);
  });
  const lasting = new Map<string, number>();
  for (const year of [modelYear - YEARS_ASIDE, modelYear + YEARS_ASIDE]) {
    const seen = new Set<string>();
    forModelsOf(table, year, group, (make, model) => seen.add(`${make}\t${model}`));
    for (const key of seen) lasting.set(key, (lasting.get(key) ?? 0) + 1);
  }
  const weight = ({ models, plants }: { models: Map<string, number>; plants: Set<string> }): number =>
    Math.sqrt(models.size) * plants.size;
  const modelWeight = (make: string, model: string, rows: number): number =>
    // What begins with a sign is a replica or a kit: "'34".
    /^[\p{L}\p{N}]/u.test(model) ? Math.log2(1 + rows) + 2 * (lasting.get(`${make}\t${model}`) ?? 0) : -1;
  return [...makes]
    .sort(([a, one], [b, other]) => weight(other) - weight(one) || a.localeCompare(b))
    .map(([make, { models }]) => ({
      make,
      models: [...models]
        .sort(
          ([a, rows], [b, otherRows]) =>
            modelWeight(make, b, otherRows) - modelWeight(make, a, rows) || a.localeCompare(b, "en", { numeric: true }),
        )
        .map(([model]) => model),
    }));
}

/** Tells every model of a year, once for each row that names it. */
function forModelsOf(
  table: VinTable,
  modelYear: number,
  group: CatalogGroup,
  tell: (make: string, model: string, maker: VinMaker) => void,
): void {
  for (const maker of makersOf(table, modelYear)) {
    if (!KINDS[group].includes(maker.kind)) continue;
    for (const { facts } of table.rowsOfYear(maker, modelYear)) {
      const [make = "", model = ""] = facts.find(([field]) => field === "model")?.[1].split("\t") ?? [];
      if (make !== "" && model !== "") tell(make, model, maker);
    }
  }
}

function makersOf(table: VinTable, modelYear: number): VinMaker[] {
  return table.wmis().flatMap((wmi) => {
    const maker = table.maker(wmi);
    return maker?.schemas.some(({ yearFrom, yearTo }) => yearFrom <= modelYear && modelYear <= yearTo) ? [maker] : [];
  });
}

/**
 * What a model comes with: trims, engines and drives.
 *
 * @param vin - where it is known, only what agrees with it.
 */
export function catalogVariants(
  table: VinTable,
  car: { year: number; make: string; model: string },
  vin: string | null = null,
): Variants {
  const found = { trims: new Set<string>(), engines: new Set<string>(), drives: new Set<string>() };
  const wanted = `${car.make}\t${car.model}`.toUpperCase();
  const known = vin === null ? null : table.maker(vin.slice(0, 3));
  for (const maker of known ? [known] : makersOf(table, car.year))
    collect(table, table.rowsOfYear(maker, car.year), wanted, vin, found);
  const sorted = (names: Set<string>): string[] =>
    [...names].sort((a, b) => a.localeCompare(b, "en", { numeric: true }));
  return {
    trims: sorted(new Set([...found.trims].flatMap(splitTrims))),
    engines: sorted(found.engines),
    drives: sorted(found.drives),
  };
}

function collect(
  table: VinTable,
  rows: readonly VinTableRow[],
  wanted: string,
  vin: string | null,
  found: Record<keyof Variants, Set<string>>,
): void {
  const bits = vin === null ? null : vinBits(vin);
  const fitting = bits ? rows.filter(({ matcher }) => keyMatches(matcher, bits)) : rows;
  const models = fitting.filter(({ facts }) =>
    facts.some(([field, value]) => field === "model" && value.toUpperCase() === wanted),
  );
  if (models.length === 0) return;
  const schemas = new Set(models.map(({ schema }) => schema));
  const keys: KeyMatcher[] = models.map(({ matcher }) => matcher);
  for (const { matcher, facts, schema } of fitting) {
    if (!schemas.has(schema) || !keys.some((key) => keysAgree(key, matcher))) continue;
    // A row of another model of the same schema says nothing of this one.
    if (facts.some(([field, value]) => field === "model" && value.toUpperCase() !== wanted)) continue;
    const said: VinFacts = Object.fromEntries(facts);
    if (said.trim) found.trims.add(said.trim);
    if (said.drive) found.drives.add(said.drive);
    const engine = engineOf(said, table);
    if (engine) found.engines.add(engine);
  }
}

/** Several trims under one key are published as one name, `LX/EX`. */
export function splitTrims(trim: string): string[] {
  const parts = trim.split("/").map((part) => part.trim());
  return parts.length > 1 && parts.every((part) => /^[A-Z]{1,4}\d?( \S.*)?$/i.test(part) && !part.includes("+"))
    ? parts
    : [trim];
}

function engineOf(facts: VinFacts, table: VinTable): string | null {
  const engine: VinEngine = describeEngine(facts, table);
  return engine.displacementL === null ? null : engineName(engine);
}
