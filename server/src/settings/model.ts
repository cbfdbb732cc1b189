import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import type { BusinessSettings, LibraryJob } from "@mechanon/core";
import { key, no, now, text } from "../db/columns";
import { tenant } from "../db/tenantModel";

/** The first work order of a business. */
const FIRST_NUMBER = 1001;

export class Business extends Model<InferAttributes<Business>, InferCreationAttributes<Business>> {
  declare id: string;
  declare name: string;
  declare timeZone: string;
  declare settings: BusinessSettings;
  declare nextNumber: CreationOptional<number>;
  declare isDemo: CreationOptional<boolean>;
}

export class LibraryJobRow extends Model<InferAttributes<LibraryJobRow>, InferCreationAttributes<LibraryJobRow>> {
  declare businessId: string;
  declare id: string;
  declare position: number;
  declare job: LibraryJob;
}

/** A change of one job of the library; null: the job was not there. */
export class LibraryChangeRow extends Model<
  InferAttributes<LibraryChangeRow>,
  InferCreationAttributes<LibraryChangeRow>
> {
  declare businessId: string;
  declare id: string;
  declare at: CreationOptional<Date>;
  declare personId: string;
  declare jobId: string;
  declare before: LibraryJob | null;
  declare after: LibraryJob | null;
}

export function defineSettings(sequelize: Sequelize): void {
  Business.init(
    {
      id: key(),
      name: text(),
      timeZone: text(),
      settings: DataTypes.JSONB,
      nextNumber: { type: DataTypes.INTEGER, defaultValue: FIRST_NUMBER },
      isDemo: no(),
    },
    { sequelize, tableName: "businesses" },
  );
  tenant(sequelize, LibraryJobRow, "library_jobs", {
    businessId: key(),
    id: { type: DataTypes.TEXT, primaryKey: true },
    position: DataTypes.INTEGER,
    job: DataTypes.JSONB,
  });
  tenant(sequelize, LibraryChangeRow, "library_changes", {
    businessId: key(),
    id: key(),
    at: now(),
    personId: DataTypes.UUID,
    jobId: text(),
    before: DataTypes.JSONB,
    after: DataTypes.JSONB,
  });
}
