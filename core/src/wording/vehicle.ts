interface Named {
  year: number | null;
  make: string | null;
  model: string | null;
}

/** A car's name, from what is known. @example showVehicle({ year: 2019, make: "HONDA", model: "Accord" }) //=> "2019 Honda Accord" */
export function showVehicle({ year, make, model }: Named): string {
  const name = [year, make === null ? null : titleCase(make), model]
    .filter((part) => part !== null && part !== "")
    .join(" ");
  return name === "" ? "Car without a name" : name;
}

/** Makes are published in capitals; short ones are abbreviations and stay. */
function titleCase(make: string): string {
  if (make !== make.toUpperCase() || make.length <= 3) return make;
  return make
    .toLowerCase()
    .replace(/(^|[\s-])(\p{L})/gu, (_, before: string, letter: string) => before + letter.toUpperCase());
}
