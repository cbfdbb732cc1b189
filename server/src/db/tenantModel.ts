import type { InferAttributes, Model, ModelAttributes, ModelStatic, Sequelize } from "sequelize";

/** A table whose rows belong to a business. @param tableName - as the migrations call it. */
export function tenant<M extends Model>(
  sequelize: Sequelize,
  model: ModelStatic<M>,
  tableName: string,
  attributes: ModelAttributes<M, InferAttributes<M>>,
): void {
  model.init(attributes, { sequelize, tableName, modelName: model.name });
  requireBusiness(model);
}

/**
 * Makes a model refuse every look-up and every bulk change that does not name the business: the one place that keeps
 * businesses apart.
 * @throws {Error} from the query that forgot it, a fault of the program.
 */
function requireBusiness<M extends Model>(model: ModelStatic<M>): void {
  const check = (options: { where?: unknown } | undefined): void => {
    const where = options?.where;
    // Before it deletes, Sequelize has put the columns' own names in already.
    const { businessId, business_id: column } = (where ?? {}) as { businessId?: unknown; business_id?: unknown };
    if ((businessId ?? column) === undefined) throw new Error(`${model.name} was queried without its business`);
  };
  model.addHook("beforeFind", (options) => check(options as { where?: unknown }));
  model.addHook("beforeCount", (options) => check(options as { where?: unknown }));
  model.addHook("beforeBulkUpdate", (options) => check(options as { where?: unknown }));
  model.addHook("beforeBulkDestroy", (options) => check(options as { where?: unknown }));
}
