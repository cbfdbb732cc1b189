import { AsyncLocalStorage } from "node:async_hooks";
import { validate } from "uuid";

const now = new AsyncLocalStorage<string>();

/**
 * Does something for one business: every statement on the server's connections, raw or of a model, sees and writes only
 * its rows. Set in one place for a request, and for a job of the queue.
 *
 * @throws {TypeError} for what is no id.
 */
export function ofBusiness<T>(businessId: string, work: () => T): T {
  if (!validate(businessId)) throw new TypeError("a business is told by its id");
  return now.run(businessId, work);
}

/** Whose rows may be seen just now; null: nobody's. */
export function businessNow(): string | null {
  return now.getStore() ?? null;
}
