import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from "sequelize";
import type { Right } from "@mechanon/core";
import { key, text } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  declare businessId: string;
  declare id: string;
  declare login: string;
  declare name: string;
  declare role: string;
  declare isMechanic: boolean;
  declare rights: Right[];
  declare passwordHash: string;
  declare demoPassword: string | null;
}

export function defineAccess(sequelize: Sequelize): void {
  tenant(sequelize, Person, "people", {
    businessId: key(),
    id: key(),
    login: text(),
    name: text(),
    role: text(),
    isMechanic: DataTypes.BOOLEAN,
    rights: DataTypes.ARRAY(DataTypes.TEXT),
    passwordHash: text(),
    demoPassword: DataTypes.TEXT,
  });
}
