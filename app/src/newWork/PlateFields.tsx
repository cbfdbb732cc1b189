import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { useDraft } from "./draft";
import type { Business } from "../session/useSession";

/** The plate of a car that is picked or typed, if it has one. */
export function PlateFields({ business }: { business: Business }) {
  const { draft, change } = useDraft();
  const [home = ""] = business.settings.regions;
  return (
    <>
      <Field
        label="Plate, if it has one"
        mono
        autoCapitalize="characters"
        value={draft.plate}
        onChangeText={(plate) => change({ plate })}
        maxLength={20}
        autoComplete="off"
      />
      {draft.plate.trim() === "" ? null : (
        <Choices
          label="State of the plate"
          options={business.settings.regions.map((value) => ({ value, label: value }))}
          value={draft.plateRegion || home}
          onChoose={(plateRegion) => change({ plateRegion })}
        />
      )}
    </>
  );
}
