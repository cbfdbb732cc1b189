import { CalcError } from "./error";

/**
 * The ids of a list.
 * @param path - the list's own path, for the error.
 * @throws {CalcError} `duplicate-id` at the second of two equal ids.
 */
export function uniqueIds(list: readonly { id: string }[], path: string): Set<string> {
  const ids = new Set<string>();
  list.forEach(({ id }, index) => {
    if (ids.has(id)) throw new CalcError("duplicate-id", `"${id}" is there twice`, `${path}[${index}].id`);
    ids.add(id);
  });
  return ids;
}
