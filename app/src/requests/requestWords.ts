import { showMoment, showVehicle } from "@mechanon/core";
import type { VisitRequest } from "@mechanon/contract";

/** What a request is about, in one line. @example "Oil change is due, it hums" */
export function wishLine({ wishes, asked: { words } }: Pick<VisitRequest, "wishes" | "asked">): string {
  return [...wishes, words.trim()].filter((each) => each !== "").join(", ");
}

/** The car as its owner told it; empty: nothing was told. */
export function carLine({ asked: { car } }: Pick<VisitRequest, "asked">): string {
  const { year, make, model, plate, region, vin } = car;
  const name =
    year === null && make === "" && model === "" ? "" : showVehicle({ year, make: make || null, model: model || null });
  return [name, plate === "" ? "" : `${plate} ${region}`.trim(), vin].filter((each) => each !== "").join(" · ");
}

/** When they want it, with whoever could come. */
export function timeLine({ asked: { time }, mechanicName }: VisitRequest, zone: string, today: string): string {
  return [showMoment(time.startsAt, zone, today), mechanicName.split(" ")[0]].filter(Boolean).join(", ");
}

/** What became of a request, and by whom. */
export function takenLine({ status, takenBy, asked: { name } }: VisitRequest): string {
  const who = takenBy?.name.split(" ")[0] ?? "";
  switch (status) {
    case "agreed":
      return `${who} took ${name}’s request`;
    case "offered":
      return `${who} offered ${name} other times`;
    case "declined":
      return `${who} declined ${name}’s request`;
    case "withdrawn":
      return `${name} took the request back`;
    case "waiting":
      return `${name} waits for an answer`;
  }
}
