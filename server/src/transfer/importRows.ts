import {
  isSurelySame,
  likenesses,
  mergedDetails,
  normalizePlate,
  readImportRow,
  surelySameKeys,
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
import { CustomerRow, VehicleRow, type ImportFile, type ImportRow } from "../db/models";
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
  return reads.map(({ row, read }): PlannedRow => {
    const remarks = [...read.remarks, ...raggedRemark(file, row)];
    if (read.fault !== null)
      return { row, read, outcome: "fault", remarks: [read.fault, ...remarks], known: null, joinsRow: null };
    const joinsRow = doubles === "add" ? null : seen.meet(row.row, surelySameKeys(comparedOf(read)));
    if (joinsRow !== null)
      return {
        row,
        read,
        outcome: "joins",
        remarks: [`same customer as row ${joinsRow}`, ...remarks],
        known: null,
        joinsRow,
      };
    const known = doubles === "add" ? null : index.sameAs(read);
    if (known === null) return { row, read, outcome: "new", remarks, known, joinsRow };
    const outcome = doubles === "skip" ? "skips" : "fills";
    return { row, read, outcome, remarks: [`kept already: ${known.name}`, ...remarks], known, joinsRow };
  });
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

/** The cars of rows that are not kept yet, by row; a plate without its state is taken for one of the home state. */
export async function newCars(
  businessId: string,
  planned: readonly PlannedRow[],
  homeRegion: string,
  taken: Set<string>,
): Promise<Map<number, NewVehicle>> {
  const cars = planned.flatMap(({ row, read }) =>
    read.car ? [{ row: row.row, car: toNewVehicle(read.car, homeRegion) }] : [],
  );
  const kept = await VehicleRow.findAll({
    attributes: ["vin", "region", "plateKey"],
    where: { businessId, vin: cars.flatMap(({ car }) => car.vin ?? []) },
  });
  const keptByPlate = await VehicleRow.findAll({
    attributes: ["vin", "region", "plateKey"],
    // The state belongs to it: plates are kept in order of both.
    where: {
      businessId,
      region: [...new Set(cars.flatMap(({ car }) => car.region ?? []))],
      plateKey: cars.flatMap(({ car }) => car.plateKey ?? []),
    },
  });
  const keys = new Set([...kept, ...keptByPlate].flatMap(carKeys));
  const fresh = new Map<number, NewVehicle>();
  for (const { row, car } of cars) {
    const own = carKeys(car);
    if (own.some((key) => keys.has(key) || taken.has(key))) continue;
    for (const key of own) taken.add(key);
    fresh.set(row, car);
  }
  return fresh;
}

function toNewVehicle(car: ImportedCar, homeRegion: string): NewVehicle {
  const plate = car.plate === null || !/[\p{L}\p{N}]/u.test(car.plate) ? null : normalizePlate({ plate: car.plate, region: car.region ?? homeRegion }); // prettier-ignore
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
