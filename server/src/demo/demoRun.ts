import { BUSINESS, PEOPLE, type DemoVisit } from "@mechanon/demo";
import { addDays, dayOf, instantAt, type Place } from "@mechanon/core";
import type { CommandDeps } from "../commands/aggregate";
import type { Deps, Scope } from "../scope";

/** A car of the demo once it is kept. */
interface LoadedCar {
  vehicleId: string;
  customerId: string;
  customerName: string;
  place: Place;
}

/** One loading of the demo: for which business, around which day, and what is kept so far by the scenario's own names. */
export class DemoRun {
  readonly deps: Deps & CommandDeps;
  readonly people = new Map<string, string>();
  readonly cars = new Map<string, LoadedCar>();
  private readonly today: string;

  constructor(
    deps: Deps,
    readonly businessId: string,
    private readonly now: Date,
  ) {
    // What is loaded was done before: nobody is told of it now.
    this.deps = { ...deps, isQuiet: true };
    this.today = dayOf(now.toISOString(), BUSINESS.timeZone);
  }

  /** The instant of a wall-clock time. @param day - days from today. @param time - like `08:15`. */
  at(day: number, time: string): string {
    const [hours = 0, minutes = 0] = time.split(":").map(Number);
    return instantAt(addDays(this.today, day), hours * 60 + minutes, BUSINESS.timeZone);
  }

  /** When a visit starts; one that is under way or over started long enough ago, whatever the hour it is now. */
  startOf({ day, at, minutes, reached }: DemoVisit): string {
    const planned = this.at(day, at);
    const latest = new Date(this.now.getTime() - minutes * 60_000).toISOString();
    return reached !== undefined && planned > latest ? latest : planned;
  }

  /** Who does something in the demo; the owner, if nobody else is named. */
  scope(key: string = "odile"): Scope {
    const person = PEOPLE.find((candidate) => candidate.key === key) ?? PEOPLE[0];
    return {
      businessId: this.businessId,
      businessName: BUSINESS.name,
      timeZone: BUSINESS.timeZone,
      actor: { id: this.people.get(person.key) ?? "", name: person.name, rights: [...person.rights] },
    };
  }
}
