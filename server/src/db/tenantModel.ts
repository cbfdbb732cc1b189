import type { Model, ModelStatic } from "sequelize";

/**
 * Makes a model refuse every look-up and every bulk change that does not name the business: the one place that keeps
 * businesses apart.
 * @throws {Error} from the query that forgot it, a fault of the program.
 */
export function requireBusiness<M extends Model>(model: ModelStatic<M>): void {
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
