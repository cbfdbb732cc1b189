import { z } from "zod";
import {
  CONTACT_WAYS,
  CUSTOMER_KINDS,
  LIKENESSES,
  customerDetails,
  language,
  noAccessNotes,
  tidyName,
  typedPlace,
} from "@mechanon/core";
import { emailField, idField, instantField, phoneField, textField, versionField } from "../fields";

const nameField = textField(300).min(1, "a name is needed").transform(tidyName);

export const placeBody = typedPlace;

const accessBody = z.strictObject({
  gateCode: textField(60),
  dog: textField(100),
  slope: textField(60),
  heightLimit: textField(60),
  surface: textField(60),
  note: textField(500),
});

export const contactBody = z.strictObject({
  id: idField,
  name: nameField,
  role: textField(60).default(""),
  phone: phoneField.nullable().default(null),
  email: emailField.nullable().default(null),
  approvalLimitCents: z.number().int().min(0).max(100_000_000).nullable().default(0),
  mayPay: z.boolean().default(false),
  mayHandOverKeys: z.boolean().default(false),
});

const consentBody = z.strictObject({ given: z.boolean(), at: instantField, how: textField(100) });

const detailsBody = {
  knownFrom: textField(200).default(""),
  phones: z.array(phoneField).max(20).default([]),
  emails: z
    .array(z.strictObject({ address: emailField, label: textField(40).default("") }))
    .max(20)
    .default([]),
  preferredContact: z.enum(CONTACT_WAYS).nullable().default(null),
  textConsent: consentBody.nullable().default(null),
  emailConsent: consentBody.nullable().default(null),
  language: language.default("en"),
  contacts: z.array(contactBody).max(100).default([]),
  billingAddress: placeBody.nullable().default(null),
  serviceAddresses: z
    .array(
      z.strictObject({
        id: idField,
        label: textField(60).default(""),
        place: placeBody,
        access: accessBody.default(noAccessNotes),
      }),
    )
    .max(100)
    .default([]),
  taxExemption: z
    .strictObject({ number: textField(60).min(1, "the number of the exemption is needed") })
    .nullable()
    .default(null),
  usualPayer: z
    .strictObject({ name: nameField, customerId: idField.nullable().default(null) })
    .nullable()
    .default(null),
  notes: textField(5000).default(""),
  foundUsBy: textField(100).nullable().default(null),
  newcomerAnswers: z
    .array(
      z.strictObject({
        questionId: textField(60).min(1),
        question: textField(300),
        answer: textField(1000),
      }),
    )
    .max(50)
    .default([]),
  serviceIntervals: z
    .array(
      z.strictObject({
        id: textField(60).min(1),
        title: textField(80),
        miles: z.number().int().min(100).max(500_000).nullable(),
        months: z.number().int().min(1).max(240).nullable(),
      }),
    )
    .max(60)
    .default([]),
};

/** A new customer: a name is enough. */
export const customerBody = z.strictObject({
  id: idField,
  kind: z.enum(CUSTOMER_KINDS).default("person"),
  name: nameField,
  ...detailsBody,
  /** Likely the same ones somebody has looked at and said: no, another. */
  notTheSameAs: z.array(idField).max(50).default([]),
  /** Keep it although phone or email are somebody's already: it was taken down without a signal, and is merged later. */
  keepTwice: z.boolean().default(false),
});
/** What a person types of a customer. */
export const customerFields = customerBody.omit({ id: true, notTheSameAs: true, keepTwice: true });
export type CustomerFields = z.input<typeof customerFields>;
export const customerChanges = customerFields.extend({ version: versionField });

export const customer = customerDetails
  .extend({
    id: z.string(),
    kind: z.enum(CUSTOMER_KINDS),
    name: z.string(),
    version: z.number().int(),
    createdAt: z.string(),
    /** When all that told who it was went. */
    erasedAt: z.string().nullable(),
  })
  .meta({ id: "Customer" });
export type Customer = z.infer<typeof customer>;

/** Somebody who may be the same as the one being typed, and why. */
export const likelySame = z.object({
  customer,
  likenesses: z.array(z.enum(LIKENESSES)),
  cars: z.array(z.string()),
});
export type LikelySame = z.infer<typeof likelySame>;

/** What of a kept customer can be changed. */
export function fieldsOf({
  id: _id,
  version: _version,
  createdAt: _at,
  erasedAt: _erased,
  ...fields
}: Customer): CustomerFields {
  return fields;
}
