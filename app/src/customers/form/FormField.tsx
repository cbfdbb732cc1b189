import { Controller, get, type Control, type FieldPath } from "react-hook-form";
import type { CustomerFields } from "@mechanon/contract";
import { Field, type FieldProps } from "../../ui/Field";

export type CustomerControl = Control<CustomerFields>;

export interface FormFieldProps extends Omit<FieldProps, "value" | "onChangeText" | "error"> {
  control: CustomerControl;
  name: FieldPath<CustomerFields>;
  /** Told of every change, for what follows from it. */
  onTyped?: (value: string) => void;
}

/** A text field of the customer form, with its fault. */
export function FormField({ control, name, onTyped, ...rest }: FormFieldProps) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, formState }) => {
        const fault: unknown = get(formState.errors, name);
        return (
          <Field
            autoComplete="off"
            {...rest}
            // The first field that does not fit is gone to.
            ref={field.ref}
            value={typeof field.value === "string" ? field.value : ""}
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
