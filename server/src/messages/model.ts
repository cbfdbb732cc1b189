import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import { key, text, now } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class Message extends Model<InferAttributes<Message>, InferCreationAttributes<Message>> {
  declare businessId: string;
  declare id: string;
  declare workOrderId: string | null;
  declare recipient: string;
  declare text: string;
  declare status: "waiting" | "sent";
  declare lastError: CreationOptional<string | null>;
  declare createdAt: CreationOptional<Date>;
  declare sentAt: CreationOptional<Date | null>;
}

export function defineMessages(sequelize: Sequelize): void {
  tenant(sequelize, Message, "messages", {
    businessId: key(),
    id: key(),
    workOrderId: DataTypes.UUID,
    recipient: text(),
    text: text(),
    status: text(),
    lastError: DataTypes.TEXT,
    createdAt: now(),
    sentAt: DataTypes.DATE,
  });
}
