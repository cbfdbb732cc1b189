import { Controller, type Control } from "react-hook-form";
import type { z } from "zod";
import { PickedField } from "./PickedField";
import type { readJob, TypedJob } from "./typedJob";

interface PickedFormFieldProps {
  control: Control<TypedJob, unknown, z.output<typeof readJob>>;
  name: "curesPoints" | "answersConcerns" | "companions" | "brings";
  title: string;
  /** Of the field others are found by. */
  label: string;
  items: readonly { id: string; title: string }[];
}

/** Some of many, as a field of a job of the library. */
export function PickedFormField({ control, name, ...rest }: PickedFormFieldProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => <PickedField {...rest} chosen={field.value} onChange={field.onChange} />}
    />
  );
}
