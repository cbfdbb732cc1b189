import { z } from "zod";
import { showPhone, toE164 } from "@mechanon/core";

export const idField = z.uuid();
export const idParams = z.object({ id: idField });
export const dayField = z.iso.date();

/** A line of text for one field; control characters are no text. */
export const textField = (most: number) =>
  z
    .string()
    .trim()
    .max(most, `at most ${most} characters`)
    // PostgreSQL cannot store U+0000, and no name holds the other controls.
    .refine(
      (value) => !/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/.test(value),
      "contains characters that cannot be stored",
    );

/** A phone in any format, stored as E.164; empty is none. */
export const phoneField = z
  .string()
  .trim()
  .max(40)
  .transform((typed, context) => {
    if (typed === "") return null;
    const number = toE164(typed);
    if (number === null)
      context.addIssue({
        code: "custom",
        message: `"${typed}" is no phone number; ten digits, or + and the country first, like ${showPhone("+15415550123")}`,
      });
    return number;
  });

/** An email address; empty is none. */
export const emailField = z
  .string()
  .trim()
  .max(254)
  .transform((typed, context) => {
    if (typed === "") return null;
    if (!z.email().safeParse(typed).success)
      context.addIssue({ code: "custom", message: "an email looks like name@example.com" });
    return typed;
  });
