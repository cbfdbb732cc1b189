import type { Business } from "../session/useSession";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";

export interface PlateFieldsProps {
  business: Business;
  plate: string;
  region: string;
  onChange: (typed: { plate: string; region: string }) => void;
}

/** The plate of a car that is picked or typed, if it has one. */
export function PlateFields({ business, plate, region, onChange }: PlateFieldsProps) {
  const state = region || (business.settings.regions[0] ?? "");
  return (
    <>
      <Field
        label="Plate, if it has one"
        mono
        autoCapitalize="characters"
        value={plate}
        onChangeText={(typed) => onChange({ plate: typed, region: state })}
        maxLength={20}
        autoComplete="off"
      />
      {plate.trim() === "" ? null : (
        <Choices
          label="State of the plate"
          options={business.settings.regions.map((value) => ({ value, label: value }))}
          value={state}
          onChoose={(chosen) => onChange({ plate, region: chosen })}
        />
      )}
    </>
  );
}
