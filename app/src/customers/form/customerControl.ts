import type { Control } from "react-hook-form";
import type { customerFields, CustomerFields } from "@mechanon/contract";
import type { z } from "zod";

/** What the parts of a customer's form share. */
export type CustomerControl = Control<CustomerFields, unknown, z.output<typeof customerFields>>;
