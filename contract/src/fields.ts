import { z } from "zod";
import { readPhone, showPhone, type CustomerPhone } from "@mechanon/core";

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

/** A phone in any format, an extension with it or beside it; stored as E.164. */
export const phoneField = z
  .strictObject({
    number: z.string().trim().min(1, "a phone number is needed").max(60),
    extension: z
      .string()
      .trim()
      .regex(/^\d{0,10}$/, "an extension is up to ten digits")
      .nullish(),
    label: textField(40).default(""),
  })
  .transform(({ number: typed, extension, label }, context): CustomerPhone => {
    const phone = readPhone(typed);
    if (phone === null) {
      context.addIssue({
        code: "custom",
        path: ["number"],
        message: `"${typed}" is no phone number; ten digits, or + and the country first, like ${showPhone("+15415550123")}`,
      });
      return z.NEVER;
    }
    return { number: phone.number, extension: extension || phone.extension, label };
  });

/** An email address. */
export const emailField = z.string().trim().max(254).pipe(z.email("an email looks like name@example.com"));

/** A page of a long list. */
export const pageQuery = { from: z.coerce.number().int().min(0).max(10_000_000).default(0) };
