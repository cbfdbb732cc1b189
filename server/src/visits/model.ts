import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from "sequelize";
import { upgradeVisit, type VisitState } from "@mechanon/core";
import { key, broughtForward } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class VisitRow extends Model<InferAttributes<VisitRow>, InferCreationAttributes<VisitRow>> {
  declare businessId: string;
  declare id: string;
  declare revision: number;
  declare mechanicId: string;
  declare startsAt: Date;
  declare endsAt: Date;
  declare cancelled: boolean;
  declare state: VisitState;
}

export class VisitWorkOrder extends Model<InferAttributes<VisitWorkOrder>, InferCreationAttributes<VisitWorkOrder>> {
  declare businessId: string;
  declare visitId: string;
  declare workOrderId: string;
}

export function defineVisits(sequelize: Sequelize): void {
  tenant(sequelize, VisitRow, "visits", {
    businessId: key(),
    id: key(),
    revision: DataTypes.INTEGER,
    mechanicId: DataTypes.UUID,
    startsAt: DataTypes.DATE,
    endsAt: DataTypes.DATE,
    cancelled: DataTypes.BOOLEAN,
    state: broughtForward(upgradeVisit),
  });
  tenant(sequelize, VisitWorkOrder, "visit_work_orders", { businessId: key(), visitId: key(), workOrderId: key() });
}
