import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import type { CustomerDetails, CustomerKind } from "@mechanon/core";
import { key, text, one, now } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class CustomerRow extends Model<InferAttributes<CustomerRow>, InferCreationAttributes<CustomerRow>> {
  declare businessId: string;
  declare id: string;
  declare kind: CustomerKind;
  declare name: string;
  declare details: CustomerDetails;
  declare version: CreationOptional<number>;
  /** The record this one became part of. */
  declare mergedInto: CreationOptional<string | null>;
  declare erasedAt: CreationOptional<Date | null>;
  declare createdAt: CreationOptional<Date>;
  declare searchVersion: CreationOptional<number>;
}

export class CustomerMerge extends Model<InferAttributes<CustomerMerge>, InferCreationAttributes<CustomerMerge>> {
  declare businessId: string;
  declare id: string;
  declare keptId: string;
  declare mergedId: string;
  declare mergedBy: string;
  declare mergedAt: Date;
  declare undoneAt: CreationOptional<Date | null>;
  declare vehicleIds: string[];
  declare workOrderIds: string[];
  declare keptBefore: { kind: CustomerKind; name: string; details: CustomerDetails };
  declare keptVersion: number;
  declare drivesBefore: { vehicleId: string; customerId: string; role: string }[];
}

export function defineCustomers(sequelize: Sequelize): void {
  tenant(sequelize, CustomerRow, "customers", {
    businessId: key(),
    id: key(),
    kind: text(),
    name: text(),
    details: DataTypes.JSONB,
    version: one(),
    mergedInto: DataTypes.UUID,
    erasedAt: DataTypes.DATE,
    createdAt: now(),
    searchVersion: { type: DataTypes.INTEGER, defaultValue: 0 },
  });
  tenant(sequelize, CustomerMerge, "customer_merges", {
    businessId: key(),
    id: key(),
    keptId: DataTypes.UUID,
    mergedId: DataTypes.UUID,
    mergedBy: DataTypes.UUID,
    mergedAt: DataTypes.DATE,
    undoneAt: DataTypes.DATE,
    vehicleIds: DataTypes.ARRAY(DataTypes.UUID),
    workOrderIds: DataTypes.ARRAY(DataTypes.UUID),
    keptBefore: DataTypes.JSONB,
    keptVersion: DataTypes.INTEGER,
    drivesBefore: DataTypes.JSONB,
  });
}
