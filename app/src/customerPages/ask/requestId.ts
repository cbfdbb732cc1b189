import { v7 as uuid, validate } from "uuid";

/**
 * The id of the request that is being written on this device, the same after the page was loaded anew.
 * @param next - begins another one under this id.
 */
export function requestIdOf(slug: string, next?: string): string {
  const name = `mechanon-asking-${slug}`;
  try {
    const kept = localStorage.getItem(name);
    if (next === undefined && kept !== null && validate(kept)) return kept;
    const id = next ?? uuid();
    localStorage.setItem(name, id);
    return id;
  } catch {
    // A browser that keeps nothing begins anew with each load.
    return next ?? uuid();
  }
}
