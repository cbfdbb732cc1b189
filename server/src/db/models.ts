import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from "sequelize";
import { upgradeVisit, upgradeWorkOrder } from "@mechanon/core";
import type {
  BusinessSettings,
  CustomerDetails,
  CustomerKind,
  LibraryJob,
  Right,
  SpecCorrection,
  SpecSheet,
  VisitState,
  Wait,
  WorkOrderState,
} from "@mechanon/core";
import type { ImportView, RowOutcome } from "@mechanon/contract";
import { requireBusiness } from "./tenantModel";

type Attributes<M extends Model> = InferAttributes<M>;

export class Business extends Model<InferAttributes<Business>, InferCreationAttributes<Business>> {
  declare id: string;
  declare name: string;
  declare timeZone: string;
  declare settings: BusinessSettings;
  declare nextNumber: CreationOptional<number>;
  declare isDemo: CreationOptional<boolean>;
}
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
export class LibraryJobRow extends Model<InferAttributes<LibraryJobRow>, InferCreationAttributes<LibraryJobRow>> {
  declare businessId: string;
  declare id: string;
  declare position: number;
  declare job: LibraryJob;
}
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
export class SupplierRow extends Model<InferAttributes<SupplierRow>, InferCreationAttributes<SupplierRow>> {
  declare businessId: string;
  declare id: string;
  declare name: string;
  declare position: number;
}
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

export class ImportRow extends Model<InferAttributes<ImportRow>, InferCreationAttributes<ImportRow>> {
  declare businessId: string;
  declare importId: string;
  declare row: number;
  declare cells: string[];
  declare outcome: CreationOptional<RowOutcome | null>;
  declare name: CreationOptional<string>;
  declare remarks: CreationOptional<string[]>;
  declare joinsRow: CreationOptional<number | null>;
  declare customerId: CreationOptional<string | null>;
  declare chosen: CreationOptional<boolean>;
  declare applied: CreationOptional<boolean>;
  declare vehicleId: CreationOptional<string | null>;
  /** The details a filled customer had. */
  declare before: CreationOptional<CustomerDetails | null>;
  declare versionAfter: CreationOptional<number | null>;
}
export class ImportFile extends Model<InferAttributes<ImportFile>, InferCreationAttributes<ImportFile>> {
  declare businessId: string;
  declare id: string;
  declare fileName: string;
  declare bytes: Buffer;
  declare format: "csv" | "vcard";
  declare status: ImportView["status"];
  declare encoding: string;
  declare columns: ImportView["columns"];
  declare mapping: ImportView["mapping"];
  declare doubles: ImportView["doubles"];
  declare rowCount: CreationOptional<number>;
  declare doneCount: CreationOptional<number>;
  declare keptByUndo: CreationOptional<number | null>;
  declare problem: CreationOptional<string | null>;
  declare personId: string;
  declare createdAt: CreationOptional<Date>;
}

const { UUID, TEXT, INTEGER, BIGINT, BOOLEAN, JSONB, DATE, BLOB, ARRAY } = DataTypes;
// Each use needs an object of its own: Sequelize writes the column name into it.
const key = () => ({ type: UUID, primaryKey: true }) as const;
const text = () => ({ type: TEXT, allowNull: false }) as const;
const maybeText = TEXT;
// Sequelize writes NULL for what is left out, so the defaults stand here as well as in the migration.
const no = () => ({ type: BOOLEAN, defaultValue: false }) as const;
const one = () => ({ type: INTEGER, defaultValue: 1 }) as const;
const none = () => ({ type: INTEGER, defaultValue: 0 }) as const;
const now = () => ({ type: DATE, defaultValue: DataTypes.NOW }) as const;
/** A stored state of any version, which reads as it is written now. */
const broughtForward = <Stored, State>(upgrade: (stored: Stored) => State) => ({
  type: JSONB,
  get(this: Model): State | undefined {
    const stored = this.getDataValue("state") as Stored | undefined;
    return stored === undefined ? undefined : upgrade(stored);
  },
});
/** The first work order of a business. */
const FIRST_NUMBER = 1001;

/** Ties the models to a database. They hold columns only; every rule lives in core or in the services. */
export function defineModels(sequelize: Sequelize): void {
  Business.init(
    {
      id: key(),
      name: text(),
      timeZone: text(),
      settings: JSONB,
      nextNumber: { type: INTEGER, defaultValue: FIRST_NUMBER },
      isDemo: no(),
    },
    { sequelize, tableName: "businesses" },
  );
  tenant(sequelize, Person, "people", {
    businessId: key(),
    id: key(),
    login: text(),
    name: text(),
    role: text(),
    isMechanic: BOOLEAN,
    rights: ARRAY(TEXT),
    passwordHash: text(),
    demoPassword: maybeText,
  });
  tenant(sequelize, CustomerRow, "customers", {
    businessId: key(),
    id: key(),
    kind: text(),
    name: text(),
    details: JSONB,
    version: one(),
    mergedInto: UUID,
    erasedAt: DATE,
    createdAt: now(),
    searchVersion: { type: INTEGER, defaultValue: 0 },
  });
  tenant(sequelize, CustomerMerge, "customer_merges", {
    businessId: key(),
    id: key(),
    keptId: UUID,
    mergedId: UUID,
    mergedBy: UUID,
    mergedAt: DATE,
    undoneAt: DATE,
    vehicleIds: ARRAY(UUID),
    workOrderIds: ARRAY(UUID),
    keptBefore: JSONB,
    keptVersion: INTEGER,
    drivesBefore: JSONB,
  });
  tenant(sequelize, ImportFile, "imports", {
    businessId: key(), id: key(), fileName: text(), bytes: BLOB, format: text(), status: text(), encoding: text(), columns: JSONB, mapping: JSONB, doubles: text(),
    rowCount: none(), doneCount: none(), keptByUndo: INTEGER, problem: maybeText, personId: UUID, createdAt: now(),
  }); // prettier-ignore
  tenant(sequelize, ImportRow, "import_rows", {
    businessId: key(), importId: key(), row: { type: INTEGER, primaryKey: true }, cells: JSONB, outcome: maybeText, name: { type: TEXT, defaultValue: "" },
    remarks: { type: ARRAY(TEXT), defaultValue: [] }, joinsRow: INTEGER, customerId: UUID, chosen: { type: BOOLEAN, defaultValue: true }, applied: no(),
    vehicleId: UUID, before: JSONB, versionAfter: INTEGER,
  }); // prettier-ignore
  tenant(sequelize, VehicleRow, "vehicles", {
    businessId: key(), id: key(), customerId: UUID, vin: maybeText, plate: maybeText, plateKey: maybeText, region: maybeText, year: INTEGER, make: maybeText,
    model: maybeText, trim: maybeText, engine: maybeText, drive: maybeText, color: maybeText, version: one(), vinNote: maybeText, transmission: maybeText,
    unitNumber: maybeText, nickname: maybeText, photoId: UUID, corrections: { type: JSONB, defaultValue: [] }, specs: JSONB,
  }); // prettier-ignore
  tenant(sequelize, VehiclePersonRow, "vehicle_people", {
    businessId: key(),
    vehicleId: key(),
    customerId: key(),
    role: text(),
  });
  tenant(sequelize, VehicleMove, "vehicle_moves", {
    businessId: key(),
    id: key(),
    vehicleId: UUID,
    fromCustomerId: UUID,
    toCustomerId: UUID,
    movedBy: UUID,
    movedAt: now(),
  });
  tenant(sequelize, LibraryJobRow, "library_jobs", {
    businessId: key(),
    id: { type: TEXT, primaryKey: true },
    position: INTEGER,
    job: JSONB,
  });
  tenant(sequelize, WorkOrderRow, "work_orders", {
    businessId: key(), id: key(), number: INTEGER, customerId: UUID, vehicleId: UUID, revision: INTEGER, state: broughtForward(upgradeWorkOrder), waitsFor: maybeText, waitsSince: DATE,
    totalCents: BIGINT, dueCents: BIGINT, laterCount: INTEGER, openConflicts: INTEGER, concerns: ARRAY(TEXT), openedAt: DATE,
  }); // prettier-ignore
  tenant(sequelize, VisitRow, "visits", {
    businessId: key(),
    id: key(),
    revision: INTEGER,
    mechanicId: UUID,
    startsAt: DATE,
    endsAt: DATE,
    cancelled: BOOLEAN,
    state: broughtForward(upgradeVisit),
  });
  tenant(sequelize, VisitWorkOrder, "visit_work_orders", { businessId: key(), visitId: key(), workOrderId: key() });
  tenant(sequelize, SupplierRow, "suppliers", {
    businessId: key(),
    id: { type: TEXT, primaryKey: true },
    name: text(),
    position: INTEGER,
  });
  tenant(sequelize, Message, "messages", {
    businessId: key(),
    id: key(),
    workOrderId: UUID,
    recipient: text(),
    text: text(),
    status: text(),
    lastError: maybeText,
    createdAt: now(),
    sentAt: DATE,
  });
}

function tenant<M extends Model>(
  sequelize: Sequelize,
  model: ModelStatic<M>,
  tableName: string,
  attributes: ModelAttributes<M, Attributes<M>>,
): void {
  model.init(attributes, { sequelize, tableName, modelName: model.name });
  requireBusiness(model);
}
