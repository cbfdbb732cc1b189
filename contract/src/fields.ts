import { z } from "zod";
import { instant, readPhone, showPhone, text, type CustomerPhone } from "@mechanon/core";

export const idField = z.uuid();
export const idParams = z.object({ id: idField });
/** A moment in those years. */
export const instantField = instant;
/** A day of the years a business may live in. */
export const dayField = z.iso
  .date()
  .refine((day) => day >= "2000" && day < "2200", "is not in this century or the next");

/** A line of text for one field. */
export const textField = text;
/** A version that a change is made from. */
export const versionField = z.number().int().min(1).max(2_000_000_000);

/** A phone in any format, an extension with it or beside it; stored as E.164. */
export const phoneField = z
  .strictObject({
    number: text(60).min(1, "a phone number is needed"),
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
