import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from "sequelize";
import type { MessageKind, Paper } from "@mechanon/core";
import type { MessageStatus } from "@mechanon/contract";
import { key, no, none, text, now } from "../db/columns";
import { tenant } from "../db/tenantModel";

export class Message extends Model<InferAttributes<Message>, InferCreationAttributes<Message>> {
  declare businessId: string;
  declare id: string;
  declare workOrderId: string | null;
  declare customerId: CreationOptional<string | null>;
  declare requestId: CreationOptional<string | null>;
  declare visitId: CreationOptional<string | null>;
  /** Null: of no kind the owner sets, such as words of a person. */
  declare kind: CreationOptional<MessageKind | null>;
  declare channel: CreationOptional<"text" | "mail" | "page">;
  declare subject: CreationOptional<string | null>;
  declare isIncoming: CreationOptional<boolean>;
  /** Whom it goes to; of one that came in: whom it is from. */
  declare recipient: string;
  declare text: string;
  declare status: MessageStatus;
  declare lastError: CreationOptional<string | null>;
  declare createdAt: CreationOptional<Date>;
  declare sentAt: CreationOptional<Date | null>;
  /** The paper a mail brings along. */
  declare attaches: CreationOptional<Paper | null>;
  /** How often it was sent once more. */
  declare attempt: CreationOptional<number>;
  declare deliveredAt: CreationOptional<Date | null>;
  declare answeredAt: CreationOptional<Date | null>;
}

export function defineMessages(sequelize: Sequelize): void {
  tenant(sequelize, Message, "messages", {
    businessId: key(),
    id: key(),
    workOrderId: DataTypes.UUID,
    customerId: DataTypes.UUID,
    requestId: DataTypes.UUID,
    visitId: DataTypes.UUID,
    kind: DataTypes.TEXT,
    channel: { type: DataTypes.TEXT, defaultValue: "text" },
    subject: DataTypes.TEXT,
    isIncoming: no(),
    recipient: text(),
    text: text(),
    status: text(),
    lastError: DataTypes.TEXT,
    createdAt: now(),
    sentAt: DataTypes.DATE,
    attaches: DataTypes.TEXT,
    attempt: none(),
    deliveredAt: DataTypes.DATE,
    answeredAt: DataTypes.DATE,
  });
}
