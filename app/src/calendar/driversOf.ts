import type { BusinessView, DayVisit } from "@mechanon/contract";

/** Somebody with a lane in the calendar. */
export interface Driver {
  id: string;
  name: string;
  /** They drive no more: what is booked with them has to go to somebody else. */
  hasLeft: boolean;
}

/** The mechanics, and whoever else visits are still booked with. */
export function driversOf({ people }: Pick<BusinessView, "people">, stops: readonly DayVisit[]): Driver[] {
  const mechanics = people.filter(({ isMechanic }) => isMechanic).map(({ id, name }) => ({ id, name, hasLeft: false }));
  const left = new Map(
    stops
      .filter(({ visit }) => visit.leftAt === null && !mechanics.some(({ id }) => id === visit.mechanicId))
      .map(({ visit, mechanicName }) => [
        visit.mechanicId,
        { id: visit.mechanicId, name: mechanicName, hasLeft: true },
      ]),
  );
  return [...mechanics, ...left.values()];
}
