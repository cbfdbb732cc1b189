/** A stop of a day that stands; minutes are whole and counted from midnight. */
export interface PlannedStop {
  id: string;
  /** An early van waits; null: it need not. */
  from: number | null;
  /** It starts by then; null: it need not. */
  to: number | null;
  /** How long it takes. */
  service: number;
}

/** A day of one van as it is planned. */
export interface PlannedDay {
  id: string;
  leaveAt: number;
  /** Null: the van may come home whenever it does. */
  backBy: number | null;
  /** In the order they are driven. */
  stops: readonly PlannedStop[];
  /** Minutes from row to column: 0 the start, 1..n the stops, n+1 the end, n+2 the new place. */
  travel: readonly (readonly number[])[];
}

/** What is to be put into the days. */
export interface WantedVisit {
  minutes: number;
  /** Its start lies from then on; null: no limit. */
  from: number | null;
  /** Its start lies until then; null: no limit. */
  to: number | null;
}

/** A place between two stops where a visit fits. */
export interface SlotWindow {
  day: string;
  /** The stop before it; null: it comes first. */
  after: string | null;
  /** Its first possible start, on the grid. */
  earliest: number;
  /** Its last; null: nothing limits it. */
  latest: number | null;
  /** Minutes of driving more than without it. */
  added: number;
}

/**
 * Every place in days that stand where a visit fits: no stop starts after its time and no van comes home after its own,
 * or, where it is late already, later than it is. Least added driving first, then the earliest, then the day's place, then the
 * place in the day.
 *
 * @param step - starts lie on a grid of so many minutes from midnight; above 0.
 * @see calculations.md, slots
 */
export function findSlots(visit: WantedVisit, step: number, days: readonly PlannedDay[]): SlotWindow[] {
  return days
    .flatMap((day) => slotsOfDay(visit, step, day))
    .sort((a, b) => a.added - b.added || a.earliest - b.earliest);
}

function slotsOfDay(visit: WantedVisit, step: number, day: PlannedDay): SlotWindow[] {
  const { stops, travel, leaveAt } = day;
  const count = stops.length;
  const [end, place] = [count + 1, count + 2];
  const drive = (from: number, to: number): number => travel[from]?.[to] ?? 0;
  // The plan as it stands: when each node is left, and when each is begun; the last one is the coming home.
  const left = [leaveAt];
  const begun = [leaveAt];
  stops.forEach(({ from, service }, index) => {
    const arrive = (left[index] ?? leaveAt) + drive(index, index + 1);
    const start = Math.max(arrive, from ?? arrive);
    begun.push(start);
    left.push(start + service);
  });
  begun.push((left[count] ?? leaveAt) + drive(count, end));
  const lastStarts = latestStarts(day, begun);
  const windows: SlotWindow[] = [];
  for (let before = 0; before <= count; before++) {
    const next = before + 1;
    const arrive = (left[before] ?? leaveAt) + drive(before, place);
    const earliest = Math.ceil(Math.max(arrive, visit.from ?? arrive) / step) * step;
    const byNext = lastStarts[next] ?? null;
    const last = least(visit.to, byNext === null ? null : byNext - drive(place, next) - visit.minutes);
    const latest = last === null ? null : Math.floor(last / step) * step;
    if (latest !== null && latest < earliest) continue;
    windows.push({
      day: day.id,
      after: stops[before - 1]?.id ?? null,
      earliest,
      latest,
      added: drive(before, place) + drive(place, next) - drive(before, next),
    });
  }
  return windows;
}

/**
 * The last moment at which each node of a day may begin so that it and all after it keep their times; null: whenever.
 * @param planned - when each begins as the day stands: what is late already may be as late as it is.
 */
function latestStarts({ stops, travel, backBy }: PlannedDay, planned: readonly number[]): (number | null)[] {
  const end = stops.length + 1;
  const latest: (number | null)[] = [];
  const limit = (by: number | null, node: number): number | null =>
    by === null ? null : Math.max(by, planned[node] ?? by);
  latest[end] = limit(backBy, end);
  for (let node = stops.length; node >= 1; node--) {
    const stop = stops[node - 1];
    const after = latest[node + 1] ?? null;
    latest[node] = least(
      limit(stop?.to ?? null, node),
      after === null ? null : after - (travel[node]?.[node + 1] ?? 0) - (stop?.service ?? 0),
    );
  }
  return latest;
}

/** The smaller of two, of which null limits nothing. */
function least(one: number | null, other: number | null): number | null {
  if (one === null || other === null) return one ?? other;
  return Math.min(one, other);
}
