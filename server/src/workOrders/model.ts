import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import { upgradeWorkOrder, type Wait, type WorkOrderState } from "@mechanon/core";
import { key, broughtForward } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class WorkOrderRow extends Model<InferAttributes<WorkOrderRow>, InferCreationAttributes<WorkOrderRow>> {
  declare businessId: string;
  declare id: string;
  declare number: number;
  declare customerId: string | null;
  declare vehicleId: string | null;
  declare revision: number;
  declare state: WorkOrderState;
  declare waitsFor: Wait | null;
  declare waitsSince: Date;
  declare totalCents: number;
  declare dueCents: number;
  /** Jobs put off. */
  declare laterCount: number;
  declare openConflicts: number;
  /** What the customer called for, as lists show it. */
  declare concerns: CreationOptional<string[] | null>;
  declare openedAt: Date;
}

export function defineWorkOrders(sequelize: Sequelize): void {
  tenant(sequelize, WorkOrderRow, "work_orders", {
    businessId: key(),
    id: key(),
    number: DataTypes.INTEGER,
    customerId: DataTypes.UUID,
    vehicleId: DataTypes.UUID,
    revision: DataTypes.INTEGER,
    state: broughtForward(upgradeWorkOrder),
    waitsFor: DataTypes.TEXT,
    waitsSince: DataTypes.DATE,
    totalCents: DataTypes.BIGINT,
    dueCents: DataTypes.BIGINT,
    laterCount: DataTypes.INTEGER,
    openConflicts: DataTypes.INTEGER,
    concerns: DataTypes.ARRAY(DataTypes.TEXT),
    openedAt: DataTypes.DATE,
  });
}
