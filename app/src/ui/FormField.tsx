import { Controller, get, type Control, type FieldPath, type FieldValues } from "react-hook-form";
import { Field, type FieldProps } from "./Field";

export interface FormFieldProps<Fields extends FieldValues, Read> extends Omit<
  FieldProps,
  "value" | "onChangeText" | "error"
> {
  control: Control<Fields, unknown, Read>;
  name: FieldPath<Fields>;
  /** Told of every change, for what follows from it. */
  onTyped?: (value: string) => void;
}

/** A text field of a form, with its fault. */
export function FormField<Fields extends FieldValues, Read = Fields>({
  control,
  name,
  onTyped,
  ...rest
}: FormFieldProps<Fields, Read>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, formState }) => {
        const fault: unknown = get(formState.errors, name);
        const typed: unknown = field.value;
        return (
          <Field
            autoComplete="off"
            {...rest}
            // The first field that does not fit is gone to.
            ref={field.ref}
            value={typeof typed === "string" ? typed : ""}
            onChangeText={(value) => {
              field.onChange(value);
              onTyped?.(value);
            }}
            onBlur={field.onBlur}
            error={typeof fault === "object" && fault !== null && "message" in fault ? String(fault.message) : null}
          />
        );
      }}
    />
  );
}
