import { ByteReader } from "./bytes";
import { FIRST_YEAR, VIN_TABLE_MAGIC } from "./encode";
import { VIN_FIELDS, type VinFacts, type VinField } from "./fields";
import { LineTable } from "./lines";
import { compileKey, FIRST_KEY_INDEX, mayMatchFirst, type KeyMatcher } from "./keyMatcher";
import { VIN_VEHICLE_KINDS, type VinVehicleKind } from "./source";

/** A maker's code with the schemas that hold for each span of model years. */
export interface VinMaker {
  wmi: string;
  maker: string;
  make: string | null;
  country: string | null;
  kind: VinVehicleKind;
  schemas: { schema: number; yearFrom: number; yearTo: number }[];
}

/** One line of a schema: what it says of every VIN that its key matches. */
export interface VinTableRow {
  matcher: KeyMatcher;
  facts: readonly (readonly [VinField, string])[];
  schema: number;
}

/** The VIN data in memory. Keys, facts and schemas are unpacked when first asked for, then kept. */
export interface VinTable {
  maker(wmi: string): VinMaker | null;
  /** Codes of all makers. */
  wmis(): readonly string[];
  /** All rows of a maker's model year, unpacked anew: for picking without a VIN. */
  rowsOfYear(maker: VinMaker, modelYear: number): VinTableRow[];
  /** The rows that may hold for a maker's VIN of a model year, unpacked once and kept; each is still to be matched. */
  rowsFor(maker: VinMaker, modelYear: number, vin: string): readonly VinTableRow[];
  engineFacts(engineName: string): VinFacts | null;
}

/** Unpacked maker-years kept at a time: a few megabytes. */
const MOST_SPANS_KEPT = 400;

/**
 * Opens the compact table made by `encodeVinTable`.
 *
 * @param bytes - the whole file, uncompressed.
 * @throws {RangeError} when the bytes are not such a file or are cut short.
 */
export function readVinTable(bytes: Uint8Array): VinTable {
  const reader = new ByteReader(bytes);
  const magic = new TextDecoder().decode(reader.section());
  if (magic !== VIN_TABLE_MAGIC) throw new RangeError(`not a VIN table: starts with "${magic.slice(0, 8)}"`);
  const texts = new LineTable(reader.section());
  const keys = new LineTable(reader.section());
  const wmis = new TextDecoder().decode(reader.section()).split("\n");
  const bundleSizes = reader.section();
  const factFields = allVarints(reader.section());
  const factTexts = allVarints(reader.section());
  const bundleStarts = startsOf(bundleSizes);
  const bundleCount = bundleStarts.length - 1;
  const rowKeys = deltas(reader.section());
  const rowBundles = deltas(reader.section());
  const schemaStarts = startsOf(reader.section());
  const schemaSteps = allVarints(reader.section());
  const makers = readMakers(new ByteReader(reader.section()), texts, wmis);
  const engines = readEngines(new ByteReader(reader.section()), texts);

  const matchers: (KeyMatcher | undefined)[] = new Array<KeyMatcher | undefined>(keys.length);
  const bundles: (VinFacts | undefined)[] = new Array<VinFacts | undefined>(bundleCount);
  const spans = new Map<string, { rows: VinTableRow[]; byFirst: Map<string, VinTableRow[]> }>();

  const bundle = (id: number): VinFacts => {
    const known = bundles[id];
    if (known) return known;
    const facts: VinFacts = {};
    for (let index = bundleStarts[id] ?? 0; index < (bundleStarts[id + 1] ?? 0); index++) {
      const field = VIN_FIELDS[factFields[index] ?? -1];
      if (field) facts[field] = texts.get(factTexts[index] ?? -1) ?? "";
    }
    bundles[id] = facts;
    return facts;
  };

  const factsOf = (row: number): readonly (readonly [VinField, string])[] => {
    const facts = bundle(rowBundles[row] ?? 0);
    return VIN_FIELDS.flatMap((field) => (facts[field] === undefined ? [] : [[field, facts[field]] as const]));
  };
  const matcherOf = (row: number): KeyMatcher => {
    const key = rowKeys[row] ?? 0;
    return (matchers[key] ??= compileKey(keys.get(key) ?? ""));
  };
  const rowsOf = (schema: number): VinTableRow[] => {
    let row = 0;
    return Array.from(schemaSteps.subarray(schemaStarts[schema] ?? 0, schemaStarts[schema + 1] ?? 0), (step) => {
      row += step;
      return { matcher: matcherOf(row), facts: factsOf(row), schema };
    });
  };

  const rowsOfYear = (maker: VinMaker, modelYear: number): VinTableRow[] =>
    maker.schemas
      .filter(({ yearFrom, yearTo }) => yearFrom <= modelYear && modelYear <= yearTo)
      .flatMap(({ schema }) => rowsOf(schema));

  return {
    maker: makers,
    wmis: () => wmis,
    rowsOfYear,
    rowsFor(maker, modelYear, vin) {
      const key = `${maker.wmi}/${modelYear}`;
      let span = spans.get(key);
      if (!span) {
        if (spans.size >= MOST_SPANS_KEPT) spans.clear();
        span = { rows: rowsOfYear(maker, modelYear), byFirst: new Map() };
        spans.set(key, span);
      }
      // Most keys fix the first position; sorting by it leaves few rows to try.
      const first = vin.charAt(FIRST_KEY_INDEX);
      let rows = span.byFirst.get(first);
      if (!rows) {
        rows = span.rows.filter(({ matcher }) => mayMatchFirst(matcher, first));
        span.byFirst.set(first, rows);
      }
      return rows;
    },
    engineFacts(engineName) {
      const id = engines.get(engineName.trim().toUpperCase());
      return id === undefined ? null : bundle(id);
    },
  };
}

/** Every number of a section. Written out as one loop: this is most of what opening the table costs. */
function allVarints(section: Uint8Array): Uint32Array {
  const values = new Uint32Array(section.length);
  let count = 0;
  let value = 0;
  let shift = 0;
  for (let index = 0; index < section.length; index++) {
    const byte = section[index] as number;
    value |= (byte & 127) << shift;
    if (byte < 128) {
      values[count++] = value;
      value = 0;
      shift = 0;
    } else shift += 7;
  }
  return values.subarray(0, count);
}

function deltas(section: Uint8Array): Uint32Array {
  const values = allVarints(section);
  let last = 0;
  for (let index = 0; index < values.length; index++) {
    const step = values[index] ?? 0;
    last += step & 1 ? -((step + 1) >>> 1) : step >>> 1;
    values[index] = last;
  }
  return values;
}

function startsOf(section: Uint8Array): Uint32Array {
  const sizes = allVarints(section);
  const starts = new Uint32Array(sizes.length + 1);
  for (let index = 0; index < sizes.length; index++) starts[index + 1] = (starts[index] ?? 0) + (sizes[index] ?? 0);
  return starts;
}

/** Finds makers by their code; their texts are decoded when one is first asked for. */
function readMakers(reader: ByteReader, texts: LineTable, wmis: string[]): (wmi: string) => VinMaker | null {
  const packed = new Map<string, PackedMaker>();
  const count = reader.varint();
  for (let index = 0; index < count; index++) {
    const ids: PackedMaker["ids"] = [reader.varint(), reader.varint(), reader.varint()];
    const kind = VIN_VEHICLE_KINDS[reader.varint()] ?? "other";
    const schemas: VinMaker["schemas"] = new Array<VinMaker["schemas"][number]>(reader.varint());
    for (let place = 0; place < schemas.length; place++) {
      const schema = reader.varint();
      const yearFrom = reader.varint() + FIRST_YEAR;
      const span = reader.varint();
      schemas[place] = { schema, yearFrom, yearTo: span === 0 ? Infinity : yearFrom + span - 1 };
    }
    packed.set(wmis[index] ?? "", { ids, kind, schemas });
  }
  const optional = (id: number): string | null => (id === 0 ? null : (texts.get(id - 1) ?? null));
  const makers = new Map<string, VinMaker>();
  return (wmi) => {
    const known = makers.get(wmi);
    const found = packed.get(wmi);
    if (known || !found) return known ?? null;
    const { ids, kind, schemas } = found;
    const maker: VinMaker = {
      wmi,
      maker: texts.get(ids[0]) ?? "",
      make: optional(ids[1]),
      country: optional(ids[2]),
      kind,
      schemas,
    };
    makers.set(wmi, maker);
    return maker;
  };
}

/** Maker, make and country as places in the texts. */
interface PackedMaker {
  ids: [number, number, number];
  kind: VinVehicleKind;
  schemas: VinMaker["schemas"];
}

function readEngines(reader: ByteReader, texts: LineTable): Map<string, number> {
  const engines = new Map<string, number>();
  const count = reader.varint();
  for (let index = 0; index < count; index++) {
    const name = texts.get(reader.varint()) ?? "";
    engines.set(name.toUpperCase(), reader.varint());
  }
  return engines;
}
