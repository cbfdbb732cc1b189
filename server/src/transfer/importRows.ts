import {
  isSurelySame,
  likenesses,
  mergedDetails,
  normalizePlate,
  readImportRow,
  surelySameKeys,
  wordsOf,
  type Compared,
  type CustomerDetails,
  type ImportedCar,
  type ImportedRow,
} from "@mechanon/core";
import type { RowOutcome } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import { sureCandidates } from "../customers/likely";
import type { NewVehicle } from "../customers/insertCustomers";
import { CustomerRow } from "../customers/model";
import { ImportRow, type ImportFile } from "./model";
import { VehicleRow } from "../vehicles/model";
import { cleanVin } from "@mechanon/core/vin";

/** A row with what becomes of it. */
export interface PlannedRow {
  row: ImportRow;
  read: ImportedRow;
  outcome: RowOutcome;
  remarks: string[];
  /** Whom it fills. */
  known: CustomerRow | null;
  /** The row of this file it joins. */
  joinsRow: number | null;
}

/** Reaches and names met so far in a file, with the row that brought them. */
export class SeenRows {
  private readonly rows = new Map<string, number>();

  /** The earlier row of the same customer, if there is one; notes this one. */
  meet(row: number, keys: readonly string[]): number | null {
    const first = keys.map((key) => this.rows.get(key)).find((each) => each !== undefined);
    for (const key of keys) if (!this.rows.has(key)) this.rows.set(key, first ?? row);
    return first ?? null;
  }
}

/** Decides what becomes of each row of a batch, without changing anything. */
export async function planRows(
  db: Sequelize,
  file: Pick<ImportFile, "businessId" | "mapping" | "doubles" | "columns" | "format">,
  rows: readonly ImportRow[],
  seen: SeenRows,
): Promise<PlannedRow[]> {
  const { businessId, mapping, doubles } = file;
  const reads = rows.map((row) => ({ row, read: readImportRow(row.cells, mapping) }));
  const sound = reads.filter(({ read }) => read.fault === null);
  const ids = await sureCandidates(
    db,
    businessId,
    sound.map(({ read }) => comparedOf(read)),
  );
  const kept = await CustomerRow.findAll({
    where: { businessId, id: ids, erasedAt: null, mergedInto: null },
    raw: true,
  });
  const index = new KeptIndex(kept);
  const own = await ownRecords(
    businessId,
    sound.flatMap(({ read }) => read.ownId ?? []),
  );
  return reads.map(({ row, read }): PlannedRow => {
    const remarks = [...read.remarks, ...raggedRemark(file, row)];
    if (read.fault !== null)
      return { row, read, outcome: "fault", remarks: [read.fault, ...remarks], known: null, joinsRow: null };
    const itself = doubles === "add" || read.ownId === null ? null : ownOf(read, own);
    const keys = [...(itself ? [`id ${itself.id}`] : []), ...surelySameKeys(comparedOf(read))];
    const joinsRow = doubles === "add" ? null : seen.meet(row.row, keys);
    if (joinsRow !== null)
      return {
        row,
        read,
        outcome: "joins",
        remarks: [`same customer as row ${joinsRow}`, ...remarks],
        known: null,
        joinsRow,
      };
    const known = doubles === "add" ? null : (itself ?? index.sameAs(read));
    if (known === null) return { row, read, outcome: "new", remarks, known, joinsRow };
    const outcome = doubles === "skip" ? "skips" : "fills";
    return { row, read, outcome, remarks: [`kept already: ${known.name}`, ...remarks], known, joinsRow };
  });
}

/** The records of ours that a file written by us names, by that name; one merged since leads to the kept one. */
async function ownRecords(businessId: string, ids: readonly string[]): Promise<Map<string, CustomerRow>> {
  const found = new Map<string, CustomerRow>();
  if (ids.length === 0) return found;
  let wanted = new Map(ids.map((id) => [id, [id]]));
  while (wanted.size > 0) {
    const rows = await CustomerRow.findAll({
      where: { businessId, id: [...wanted.keys()], erasedAt: null },
      raw: true,
    });
    const further = new Map<string, string[]>();
    for (const row of rows) {
      const names = wanted.get(row.id) ?? [];
      if (row.mergedInto === null) for (const name of names) found.set(name, row);
      else further.set(row.mergedInto, [...(further.get(row.mergedInto) ?? []), ...names]);
    }
    wanted = further;
  }
  return found;
}

/** The record a row says it is; not where the row is about somebody else by now, its number copied along. */
function ownOf(read: ImportedRow, own: ReadonlyMap<string, CustomerRow>): CustomerRow | null {
  const row = own.get(read.ownId ?? "");
  if (!row) return null;
  const isSameName = wordsOf(row.name).join(" ") === wordsOf(read.name).join(" ");
  return isSameName || likenesses(comparedOf(read), { name: row.name, ...row.details }).length > 0 ? row : null;
}

/** Kept customers by what they can be told the same by. */
class KeptIndex {
  private readonly byKey = new Map<string, CustomerRow[]>();

  constructor(kept: readonly CustomerRow[]) {
    for (const row of kept)
      for (const key of keysOf({ name: row.name, ...row.details }))
        this.byKey.set(key, [...(this.byKey.get(key) ?? []), row]);
  }

  sameAs(read: ImportedRow): CustomerRow | null {
    const mine = comparedOf(read);
    const near = keysOf(mine).flatMap((key) => this.byKey.get(key) ?? []);
    return near.find((row) => isSurelySame(likenesses(mine, { name: row.name, ...row.details }))) ?? null;
  }
}

function comparedOf({ name, details }: ImportedRow): Compared {
  return { name, ...details };
}

function keysOf({ name, phones, emails, contacts }: Compared): string[] {
  return [
    ...phones.map(({ number }) => number),
    ...emails.map(({ address }) => address.toLowerCase()),
    ...contacts.flatMap(({ phone, email }) => [phone?.number ?? "", email?.toLowerCase() ?? ""]),
    name.toLowerCase(),
  ].filter((key) => key !== "");
}

function raggedRemark({ columns, format }: Pick<ImportFile, "columns" | "format">, { cells }: ImportRow): string[] {
  if (format !== "csv" || cells.length === columns.length) return [];
  return [`the row has ${cells.length} columns, the heading ${columns.length}`];
}

/** Details with ids of their own for what has none yet. */
export function withIds(details: CustomerDetails): CustomerDetails {
  return {
    ...details,
    contacts: details.contacts.map((contact) => ({ ...contact, id: contact.id || uuid() })),
    serviceAddresses: details.serviceAddresses.map((address) => ({ ...address, id: address.id || uuid() })),
  };
}

export function joinedDetails(before: CustomerDetails, read: ImportedRow): CustomerDetails {
  return withIds(mergedDetails(before, read.details));
}

/** The cars rows bring. */
export interface CarsOfRows {
  /** Not kept yet, by row. */
  fresh: Map<number, NewVehicle>;
  /** Kept since an earlier import brought them, by row: they stay as long as one of the two does. */
  broughtBefore: Map<number, string>;
}

/** The cars of rows; a plate without its state is taken for one of the home state. */
export async function carsOfRows(
  businessId: string,
  planned: readonly PlannedRow[],
  homeRegion: string,
  taken: Set<string>,
): Promise<CarsOfRows> {
  const cars = planned.flatMap(({ row, read, known }) =>
    read.car ? [{ row: row.row, car: toNewVehicle(read.car, homeRegion), ownerId: known?.id ?? null }] : [],
  );
  const attributes = ["id", "customerId", "vin", "region", "plateKey", "year", "make", "model"];
  const [byVin, byPlate, ofOwners] = await Promise.all([
    VehicleRow.findAll({ attributes, where: { businessId, vin: cars.flatMap(({ car }) => car.vin ?? []) } }),
    // The state belongs to it: plates are kept in order of both.
    VehicleRow.findAll({
      attributes,
      where: {
        businessId,
        region: [...new Set(cars.flatMap(({ car }) => car.region ?? []))],
        plateKey: cars.flatMap(({ car }) => car.plateKey ?? []),
      },
    }),
    VehicleRow.findAll({ attributes, where: { businessId, customerId: cars.flatMap(({ ownerId }) => ownerId ?? []) } }),
  ]);
  const kept = new Map([
    ...[...byVin, ...byPlate].flatMap((row) => carKeys(row).map((key) => [key, row.id] as const)),
    ...ofOwners.map((row) => [nameKeyOf(row, row.customerId), row.id] as const),
  ]);
  const fresh = new Map<number, NewVehicle>();
  const met = new Map<number, string>();
  for (const { row, car, ownerId } of cars) {
    const codes = carKeys(car);
    // A car without VIN and plate is told from the owner's others by its name alone.
    const own = codes.length > 0 || ownerId === null ? codes : [nameKeyOf(car, ownerId)];
    const keptId = own.map((key) => kept.get(key)).find((id) => id !== undefined);
    if (keptId !== undefined) met.set(row, keptId);
    if (keptId !== undefined || own.some((key) => taken.has(key))) continue;
    for (const key of own) taken.add(key);
    fresh.set(row, car);
  }
  const brought = await ImportRow.findAll({
    attributes: ["vehicleId"],
    where: { businessId, vehicleId: [...met.values()], applied: true },
    raw: true,
  });
  const isBrought = new Set(brought.map(({ vehicleId }) => vehicleId));
  return { fresh, broughtBefore: new Map([...met].filter(([, id]) => isBrought.has(id))) };
}

function nameKeyOf({ year, make, model }: Pick<NewVehicle, "year" | "make" | "model">, ownerId: string): string {
  return `${ownerId} ${[year, make, model].join(" ").toLowerCase()}`;
}

function toNewVehicle(car: ImportedCar, homeRegion: string): NewVehicle {
  const plate =
    car.plate === null || !/[\p{L}\p{N}]/u.test(car.plate)
      ? null
      : normalizePlate({ plate: car.plate, region: car.region ?? homeRegion });
  return {
    id: uuid(),
    ...car,
    vin: car.vin === null ? null : cleanVin(car.vin),
    plate: plate?.plate ?? null,
    plateKey: plate?.key ?? null,
    region: plate?.region ?? null,
  };
}

function carKeys({ vin, region, plateKey }: Pick<NewVehicle, "vin" | "region" | "plateKey">): string[] {
  return [...(vin === null ? [] : [vin]), ...(plateKey === null ? [] : [`${region ?? ""} ${plateKey}`])];
}
