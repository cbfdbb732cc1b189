import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import type { CustomerDetails } from "@mechanon/core";
import type { ImportView, RowOutcome } from "@mechanon/contract";
import { key, text, no, none, now } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class ImportFile extends Model<InferAttributes<ImportFile>, InferCreationAttributes<ImportFile>> {
  declare businessId: string;
  declare id: string;
  declare fileName: string;
  declare bytes: Buffer;
  declare format: "csv" | "vcard";
  declare status: ImportView["status"];
  declare encoding: string;
  declare columns: ImportView["columns"];
  declare mapping: ImportView["mapping"];
  declare doubles: ImportView["doubles"];
  declare rowCount: CreationOptional<number>;
  declare doneCount: CreationOptional<number>;
  declare keptByUndo: CreationOptional<number | null>;
  declare problem: CreationOptional<string | null>;
  declare personId: string;
  declare createdAt: CreationOptional<Date>;
}

export class ImportRow extends Model<InferAttributes<ImportRow>, InferCreationAttributes<ImportRow>> {
  declare businessId: string;
  declare importId: string;
  declare row: number;
  declare cells: string[];
  declare outcome: CreationOptional<RowOutcome | null>;
  declare name: CreationOptional<string>;
  declare remarks: CreationOptional<string[]>;
  declare joinsRow: CreationOptional<number | null>;
  declare customerId: CreationOptional<string | null>;
  declare chosen: CreationOptional<boolean>;
  declare applied: CreationOptional<boolean>;
  declare vehicleId: CreationOptional<string | null>;
  /** The details a filled customer had. */
  declare before: CreationOptional<CustomerDetails | null>;
  declare versionAfter: CreationOptional<number | null>;
}

export function defineTransfer(sequelize: Sequelize): void {
  tenant(sequelize, ImportFile, "imports", {
    businessId: key(),
    id: key(),
    fileName: text(),
    bytes: DataTypes.BLOB,
    format: text(),
    status: text(),
    encoding: text(),
    columns: DataTypes.JSONB,
    mapping: DataTypes.JSONB,
    doubles: text(),
    rowCount: none(),
    doneCount: none(),
    keptByUndo: DataTypes.INTEGER,
    problem: DataTypes.TEXT,
    personId: DataTypes.UUID,
    createdAt: now(),
  });
  tenant(sequelize, ImportRow, "import_rows", {
    businessId: key(),
    importId: key(),
    row: { type: DataTypes.INTEGER, primaryKey: true },
    cells: DataTypes.JSONB,
    outcome: DataTypes.TEXT,
    name: { type: DataTypes.TEXT, defaultValue: "" },
    remarks: { type: DataTypes.ARRAY(DataTypes.TEXT), defaultValue: [] },
    joinsRow: DataTypes.INTEGER,
    customerId: DataTypes.UUID,
    chosen: { type: DataTypes.BOOLEAN, defaultValue: true },
    applied: no(),
    vehicleId: DataTypes.UUID,
    before: DataTypes.JSONB,
    versionAfter: DataTypes.INTEGER,
  });
}
