import { showWhole } from "../text/showWhole";
interface Named {
  year: number | null;
  make: string | null;
  model: string | null;
}

/** A car's name, from what is known. @example showVehicle({ year: 2019, make: "HONDA", model: "Accord" }) //=> "2019 Honda Accord" */
export function showVehicle(car: Named | null): string {
  if (car === null) return "No car yet";
  const { year, make, model } = car;
  const name = [year, make === null ? null : titleCase(make), model]
    .filter((part) => part !== null && part !== "")
    .join(" ");
  return name === "" ? "Car without a name" : name;
}

/**
 * What tells a car apart from the others on a lot.
 * @example
 * carMarks({ unitNumber: "12", nickname: "Bluebell", color: "Red" }) //=> "Unit 12 · “Bluebell” · Red"
 */
export function carMarks({
  unitNumber,
  nickname,
  color,
}: {
  unitNumber: string | null;
  nickname: string | null;
  color: string | null;
}): string {
  return [unitNumber ? `Unit ${unitNumber}` : null, nickname ? `“${nickname}”` : null, color]
    .filter(Boolean)
    .join(" · ");
}

/** @example showMiles(61240) //=> "61,240 mi" */
export function showMiles(miles: number): string {
  return `${showWhole(miles)} mi`;
}

/** Makes are published in capitals; short ones are abbreviations and stay. */
function titleCase(make: string): string {
  if (make !== make.toUpperCase() || make.length <= 3) return make;
  return make
    .toLowerCase()
    .replace(/(^|[\s-])(\p{L})/gu, (_, before: string, letter: string) => before + letter.toUpperCase());
}
