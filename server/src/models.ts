import type { Sequelize } from "sequelize";
import { defineAccess } from "./access/model";
import { defineCustomers } from "./customers/model";
import { defineMessages } from "./messages/model";
import { defineSettings } from "./settings/model";
import { defineSourcing } from "./sourcing/model";
import { defineTransfer } from "./transfer/model";
import { defineVehicles } from "./vehicles/model";
import { defineVisits } from "./visits/model";
import { defineWorkOrders } from "./workOrders/model";

/** Ties the models of all areas to a database. They hold columns only; every rule lives in core or in the services. */
export function defineModels(sequelize: Sequelize): void {
  defineAccess(sequelize);
  defineCustomers(sequelize);
  defineMessages(sequelize);
  defineSettings(sequelize);
  defineSourcing(sequelize);
  defineTransfer(sequelize);
  defineVehicles(sequelize);
  defineVisits(sequelize);
  defineWorkOrders(sequelize);
}
