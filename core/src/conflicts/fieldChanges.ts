import { dequal } from "dequal";

/** What somebody changed of a record: the changed fields as they were, and as they are to be. */
export interface FieldChanges<Fields extends object> {
  was: Partial<Fields>;
  becomes: Partial<Fields>;
}

/**
 * What of a record was changed.
 * @example changedFields({ plate: "K1", color: "red" }, { plate: "K2", color: "red" }) //=> { was: { plate: "K1" }, becomes: { plate: "K2" } }
 */
export function changedFields<Fields extends object>(before: Fields, after: Partial<Fields>): FieldChanges<Fields> {
  const was: Partial<Fields> = {};
  const becomes: Partial<Fields> = {};
  for (const key of keysOf(after))
    if (!dequal(before[key], after[key])) {
      was[key] = before[key];
      becomes[key] = after[key];
    }
  return { was, becomes };
}

/**
 * A record with one person's changes made to it, whatever others changed of its other fields meanwhile.
 *
 * @param now - the record as it is.
 * @returns `overtaken`: the fields somebody else changed to something else meanwhile; they are as the others left them.
 */
export function makeChanges<Fields extends object>(
  now: Fields,
  { was, becomes }: FieldChanges<Fields>,
): { fields: Fields; overtaken: (keyof Fields)[] } {
  const fields = { ...now };
  const overtaken: (keyof Fields)[] = [];
  for (const key of keysOf(becomes)) {
    const value = becomes[key];
    if (value === undefined) continue;
    if (dequal(now[key], was[key]) || dequal(now[key], value)) fields[key] = value;
    else overtaken.push(key);
  }
  return { fields, overtaken };
}

function keysOf<Fields extends object>(fields: Fields): (keyof Fields)[] {
  // What a record's own keys are, TypeScript widens to any text.
  return Object.keys(fields) as (keyof Fields)[];
}
