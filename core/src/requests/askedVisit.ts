import { z } from "zod";
import { instant, uuid } from "../commands/fields";
import { readPhone } from "../customers/phone";
import { language } from "../languages/language";
import { typedPlace } from "../places/place";
import { text } from "../text/text";

/** More show nothing new. */
export const MOST_PHOTOS = 6;

/** The car, as its owner says it: what is known of it, and the rest empty. */
export const askedCar = z.strictObject({
  plate: text(12),
  region: text(3),
  vin: text(17),
  /** null: not said. */
  year: z.number().int().min(1900).max(2100).nullable(),
  make: text(60),
  model: text(60),
});
export type AskedCar = z.infer<typeof askedCar>;

/** A time that was picked of those offered. */
export const askedTime = z
  .strictObject({ mechanicId: uuid, startsAt: instant, endsAt: instant })
  .refine(({ startsAt, endsAt }) => startsAt < endsAt, "it ends before it begins");
export type AskedTime = z.infer<typeof askedTime>;

/** What a customer asks for on the public page, field by field. */
export const askedFields = z.strictObject({
  language,
  name: text(120).min(1, "who is asking?"),
  /** As it was typed; empty: by mail only. */
  phone: text(40),
  email: text(200),
  place: typedPlace,
  car: askedCar,
  wishIds: z.array(text(60).min(1)).max(20),
  words: text(2000),
  photoIds: z.array(uuid).max(MOST_PHOTOS),
  /** false: the key is left, see `keyLies`. */
  isThere: z.boolean(),
  keyLies: text(200),
  time: askedTime,
  /** The terms as they were shown and accepted; empty: there are none. */
  terms: text(500),
  mayText: z.boolean(),
  mayMail: z.boolean(),
});

/** What a customer asks for, once it can be answered. */
export const askedVisit = askedFields
  .refine(({ phone, email }) => phone !== "" || email !== "", { path: ["phone"], message: "a phone or an email" })
  .refine(({ phone }) => phone === "" || readPhone(phone) !== null, {
    path: ["phone"],
    message: "this is no phone number",
  })
  .refine(({ email }) => email === "" || z.email().safeParse(email).success, {
    path: ["email"],
    message: "this is no email address",
  })
  .refine(({ wishIds, words }) => wishIds.length > 0 || words !== "", {
    path: ["words"],
    message: "what should be done?",
  });
export type AskedVisit = z.infer<typeof askedVisit>;
