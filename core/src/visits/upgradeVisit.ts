import { nothingArranged } from "./arranged";
import { VISIT_VERSION, type VisitState } from "./state";

/** A stored visit of any version. What was stored was checked when it was written. */
export type StoredVisit = VisitState | Readonly<Record<string, unknown>>;

/**
 * A stored visit as it is written now; one of this version is handed back as it is.
 *
 * @throws {RangeError} for a version this program does not know: the database is ahead of it.
 */
export function upgradeVisit(stored: StoredVisit): VisitState {
  if (isCurrent(stored)) return stored;
  const version = stored.version ?? 1;
  // Whether a busy mechanic was booked on purpose was not written down; it must not stand in anybody's way now.
  if (version === 1) return upgradeVisit({ ...stored, overlapAllowed: true, version: 2 });
  // Nothing was asked, promised or locked before it could be written down.
  if (version === 2)
    return upgradeVisit({
      ...stored,
      isLocked: false,
      arranged: nothingArranged(),
      readyBy: null,
      anotherTripWhy: "",
      series: null,
      calledOff: null,
      version: 3,
    });
  // Nobody waited for an earlier time, and a drive that began is nearly over.
  if (version === 3)
    return upgradeVisit({ ...stored, wantsEarlier: false, driveMinutes: null, version: VISIT_VERSION });
  throw new RangeError(`visits of version ${JSON.stringify(version)} are not known here`);
}

function isCurrent(stored: StoredVisit): stored is VisitState {
  return stored.version === VISIT_VERSION;
}
