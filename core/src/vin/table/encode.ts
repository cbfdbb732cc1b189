import { ByteWriter } from "./bytes";
import { VIN_FIELDS, type VinFacts } from "./fields";
import { VIN_VEHICLE_KINDS, type VinTableSource } from "./source";

/** First bytes of a table file; the last character is the version of the layout. */
export const VIN_TABLE_MAGIC = "MVIN1";

/**
 * Packs the decoded vPIC rows into one small file: strings and keys are kept once, identical rows once, identical
 * schemas once, and each kind of number in a column of its own so that it compresses.
 *
 * @param source - makers, schemas and engines as plain rows.
 * @returns The file's bytes, read back by `readVinTable`.
 */
export function encodeVinTable(source: VinTableSource): Uint8Array {
  const texts = new Interner();
  const keys = new Interner();
  const bundles = new Interner();
  const packFacts = (facts: VinFacts): string =>
    VIN_FIELDS.flatMap((field, index) => {
      const value = facts[field];
      return value === undefined ? [] : [`${index},${texts.of(value)}`];
    }).join(";");

  const rowIds = new Interner();
  const schemaRows = source.schemas.map((rows) =>
    rows.map(({ key, facts }) => rowIds.of(`${keys.of(key)}/${bundles.of(packFacts(facts))}`)),
  );
  const engines = source.engines.map(({ name, facts }) => [texts.of(name), bundles.of(packFacts(facts))] as const);

  // Rows are renumbered by key so that the rows of a schema lie close together and their distances are small.
  const rows = rowIds.values.map((row, id) => ({ id, pair: row.split("/").map(Number) as [number, number] }));
  const firstUse = new Map<number, number>();
  for (const ids of schemaRows) for (const id of ids) if (!firstUse.has(id)) firstUse.set(id, firstUse.size);
  rows.sort((a, b) => (firstUse.get(a.id) ?? 0) - (firstUse.get(b.id) ?? 0));
  const place = new Map(rows.map(({ id }, index) => [id, index]));
  const schemas = new Interner();
  const schemaOf = schemaRows.map((ids) => {
    const sorted = ids.map((id) => place.get(id) ?? 0).sort((a, b) => a - b);
    return schemas.of(sorted.join(","));
  });

  const bundleSizes = new ByteWriter();
  const bundleFields = new ByteWriter();
  const bundleTexts = new ByteWriter();
  for (const bundle of bundles.values) {
    const facts = bundle === "" ? [] : bundle.split(";").map((fact) => fact.split(",").map(Number) as [number, number]);
    bundleSizes.varint(facts.length);
    for (const [field, text] of facts) {
      bundleFields.varint(field);
      bundleTexts.varint(text);
    }
  }
  const rowKeys = new ByteWriter();
  const rowBundles = new ByteWriter();
  let lastKey = 0;
  let lastBundle = 0;
  for (const { pair } of rows) {
    rowKeys.varint(zigzag(pair[0] - lastKey));
    rowBundles.varint(zigzag(pair[1] - lastBundle));
    [lastKey, lastBundle] = pair;
  }
  const schemaSizes = new ByteWriter();
  const schemaSteps = new ByteWriter();
  for (const schema of schemas.values) {
    const ids = schema === "" ? [] : schema.split(",").map(Number);
    schemaSizes.varint(ids.length);
    let last = 0;
    for (const id of ids) {
      schemaSteps.varint(id - last);
      last = id;
    }
  }
  const makers = new ByteWriter();
  makers.varint(source.makers.length);
  const optional = (value: string | null): number => (value === null ? 0 : texts.of(value) + 1);
  for (const maker of source.makers) {
    makers.varint(texts.of(maker.maker));
    makers.varint(optional(maker.make));
    makers.varint(optional(maker.country));
    makers.varint(VIN_VEHICLE_KINDS.indexOf(maker.kind));
    makers.varint(maker.schemas.length);
    for (const { schema, yearFrom, yearTo } of maker.schemas) {
      makers.varint(schemaOf[schema] ?? 0);
      makers.varint(yearFrom - FIRST_YEAR);
      makers.varint(yearTo === null ? 0 : yearTo - yearFrom + 1);
    }
  }
  const engineColumn = new ByteWriter();
  engineColumn.varint(engines.length);
  for (const [name, bundle] of engines) {
    engineColumn.varint(name);
    engineColumn.varint(bundle);
  }
  // Makers add strings too, so the string table is written only now.
  const final = new ByteWriter();
  final.section(new TextEncoder().encode(VIN_TABLE_MAGIC));
  final.text(texts.values);
  final.text(keys.values);
  final.text(source.makers.map(({ wmi }) => wmi));
  for (const column of [
    bundleSizes,
    bundleFields,
    bundleTexts,
    rowKeys,
    rowBundles,
    schemaSizes,
    schemaSteps,
    makers,
    engineColumn,
  ])
    final.section(column.toBytes());
  return final.toBytes();
}

/** Years are stored as their distance from this one; no pattern is older. */
export const FIRST_YEAR = 1900;

function zigzag(value: number): number {
  return value < 0 ? -value * 2 - 1 : value * 2;
}

/** Numbers distinct strings in the order they are first seen. */
class Interner {
  readonly values: string[] = [];
  private readonly places = new Map<string, number>();

  of(value: string): number {
    const known = this.places.get(value);
    if (known !== undefined) return known;
    this.places.set(value, this.values.length);
    this.values.push(value);
    return this.values.length - 1;
  }
}
