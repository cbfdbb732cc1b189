import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from "sequelize";
import { key, text } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class SupplierRow extends Model<InferAttributes<SupplierRow>, InferCreationAttributes<SupplierRow>> {
  declare businessId: string;
  declare id: string;
  declare name: string;
  declare position: number;
  declare phone: string | null;
}

export function defineSourcing(sequelize: Sequelize): void {
  tenant(sequelize, SupplierRow, "suppliers", {
    businessId: key(),
    id: { type: DataTypes.TEXT, primaryKey: true },
    name: text(),
    position: DataTypes.INTEGER,
    phone: DataTypes.TEXT,
  });
}
