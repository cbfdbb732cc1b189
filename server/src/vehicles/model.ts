import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import type { SpecCorrection, SpecSheet } from "@mechanon/core";
import { key, text, one, now } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class VehicleRow extends Model<InferAttributes<VehicleRow>, InferCreationAttributes<VehicleRow>> {
  declare businessId: string;
  declare id: string;
  declare customerId: string;
  declare vin: string | null;
  declare plate: string | null;
  declare plateKey: string | null;
  declare region: string | null;
  declare year: number | null;
  declare make: string | null;
  declare model: string | null;
  declare trim: string | null;
  declare engine: string | null;
  declare drive: string | null;
  declare color: string | null;
  declare version: CreationOptional<number>;
  declare vinNote: CreationOptional<string | null>;
  declare transmission: CreationOptional<string | null>;
  declare unitNumber: CreationOptional<string | null>;
  declare nickname: CreationOptional<string | null>;
  declare photoId: CreationOptional<string | null>;
  /** Every correction ever made, oldest first. */
  declare corrections: CreationOptional<SpecCorrection[]>;
  /** As the source gave it last. */
  declare specs: CreationOptional<SpecSheet | null>;
}

export class VehiclePersonRow extends Model<
  InferAttributes<VehiclePersonRow>,
  InferCreationAttributes<VehiclePersonRow>
> {
  declare businessId: string;
  declare vehicleId: string;
  declare customerId: string;
  declare role: string;
}

export class VehicleMove extends Model<InferAttributes<VehicleMove>, InferCreationAttributes<VehicleMove>> {
  declare businessId: string;
  declare id: string;
  declare vehicleId: string;
  declare fromCustomerId: string;
  declare toCustomerId: string;
  declare movedBy: string;
  declare movedAt: CreationOptional<Date>;
}

export function defineVehicles(sequelize: Sequelize): void {
  tenant(sequelize, VehicleRow, "vehicles", {
    businessId: key(),
    id: key(),
    customerId: DataTypes.UUID,
    vin: DataTypes.TEXT,
    plate: DataTypes.TEXT,
    plateKey: DataTypes.TEXT,
    region: DataTypes.TEXT,
    year: DataTypes.INTEGER,
    make: DataTypes.TEXT,
    model: DataTypes.TEXT,
    trim: DataTypes.TEXT,
    engine: DataTypes.TEXT,
    drive: DataTypes.TEXT,
    color: DataTypes.TEXT,
    version: one(),
    vinNote: DataTypes.TEXT,
    transmission: DataTypes.TEXT,
    unitNumber: DataTypes.TEXT,
    nickname: DataTypes.TEXT,
    photoId: DataTypes.UUID,
    corrections: { type: DataTypes.JSONB, defaultValue: [] },
    specs: DataTypes.JSONB,
  });
  tenant(sequelize, VehiclePersonRow, "vehicle_people", {
    businessId: key(),
    vehicleId: key(),
    customerId: key(),
    role: text(),
  });
  tenant(sequelize, VehicleMove, "vehicle_moves", {
    businessId: key(),
    id: key(),
    vehicleId: DataTypes.UUID,
    fromCustomerId: DataTypes.UUID,
    toCustomerId: DataTypes.UUID,
    movedBy: DataTypes.UUID,
    movedAt: now(),
  });
}
