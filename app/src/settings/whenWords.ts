import { POWER_TITLES, VEHICLE_CLASS_TITLES, type LaborRate } from "@mechanon/core";

/**
 * When a rate stands by itself, in one line.
 * @param years - only for cars older than so many, as typed; empty: of any age.
 */
export function whenWords(when: LaborRate["when"], years: string): string {
  const all = [
    when.isDiagnosis ? "diagnosis" : "",
    when.isAfterHours ? "after hours" : "",
    when.hasCustomersPart ? "the customer brings a part" : "",
    when.vehicleClasses.map((each) => VEHICLE_CLASS_TITLES[each].toLowerCase()).join(" or "),
    when.powers.map((each) => POWER_TITLES[each].toLowerCase()).join(" or "),
    years.trim() === "" ? "" : `older than ${years.trim()} years`,
  ].filter((each) => each !== "");
  return all.length === 0 ? "Only where it is chosen" : `Stands for: ${all.join(", and ")}`;
}
