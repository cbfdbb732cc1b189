import { SPEC_FIELDS } from "./specSheet";

/** What is tightened to which torque. @example showTorque({ key: "wheelTorqueLbFt", value: "80" }) //=> "Wheel nuts 80 lb ft" */
export function showTorque({ key, value }: { key: string; value: string }): string {
  const field = SPEC_FIELDS.find((each) => each.key === key);
  const name = (field?.label ?? key).replace(/, torque$/, "");
  return `${name} ${[value, field?.unit].filter(Boolean).join(" ")}`;
}
