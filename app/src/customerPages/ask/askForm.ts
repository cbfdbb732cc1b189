import { z } from "zod";
import {
  askedTime,
  readPhone,
  type AskedTime,
  type AskedVisit,
  type Language,
  type Place,
  type WordKey,
} from "@mechanon/core";
import { strangersCar, type AskPage } from "@mechanon/contract";

const CAR_WAYS = ["plate", "vin", "hand"] as const;

/** What is typed on the page that asks for a visit. */
export const typedAsking = z.object({
  wishIds: z.array(z.string()),
  words: z.string(),
  photoIds: z.array(z.string()),
  carWay: z.enum(CAR_WAYS),
  plate: z.string(),
  carRegion: z.string(),
  vin: z.string(),
  year: z.string(),
  make: z.string(),
  model: z.string(),
  /** Confirmed of those found; null: none. */
  car: strangersCar.nullable(),
  street: z.string(),
  postcode: z.string(),
  town: z.string(),
  region: z.string(),
  isThere: z.boolean(),
  keyLies: z.string(),
  time: askedTime.nullable(),
  name: z.string(),
  phone: z.string(),
  email: z.string(),
  emailAgain: z.string(),
  mayText: z.boolean(),
  mayMail: z.boolean(),
  acceptsTerms: z.boolean(),
});
export type TypedAsking = z.infer<typeof typedAsking>;
/** Words of what is missing, by field. */
export type AskFaults = Partial<Record<keyof TypedAsking, string>>;

/** Nothing is typed yet. @param region - in which most cars here are registered. */
export function emptyAsking(region: string): TypedAsking {
  return {
    wishIds: [],
    words: "",
    photoIds: [],
    carWay: "plate",
    plate: "",
    carRegion: region,
    vin: "",
    year: "",
    make: "",
    model: "",
    car: null,
    street: "",
    postcode: "",
    town: "",
    region,
    isThere: true,
    keyLies: "",
    time: null,
    name: "",
    phone: "",
    email: "",
    emailAgain: "",
    mayText: false,
    mayMail: false,
    acceptsTerms: false,
  };
}

/** Where it is to be, as far as it is typed. */
export function placeAsked({
  street,
  town,
  region,
  postcode,
}: Pick<TypedAsking, "street" | "town" | "region" | "postcode">): Place {
  return {
    street: street.trim(),
    town: town.trim(),
    region: region.trim(),
    postcode: postcode.trim(),
    latitude: null,
    longitude: null,
  };
}

/** Whether there is enough to look for times. */
export function canLookForTimes({
  wishIds,
  words,
  street,
}: Pick<TypedAsking, "wishIds" | "words" | "street">): boolean {
  return (wishIds.length > 0 || words.trim() !== "") && street.trim() !== "";
}

/** What the terms are for whoever reads them. */
export function termsFor({ terms }: Pick<AskPage, "terms">, language: Language): string {
  return terms[language];
}

/** What is missing or does not fit, by field, in the order of the page. @param t - says it. */
export function askFaults(typed: TypedAsking, terms: string, t: (key: WordKey) => string): AskFaults {
  const { wishIds, words, street, isThere, keyLies, time, name, phone, email, emailAgain } = typed;
  const [tel, mail] = [phone.trim(), email.trim()];
  const faults: [keyof TypedAsking, WordKey, boolean][] = [
    ["words", "ask.needWhat", wishIds.length === 0 && words.trim() === ""],
    ["car", "ask.carTyped", isCarUnconfirmed(typed)],
    ["street", "ask.needStreet", street.trim() === ""],
    ["keyLies", "ask.needKey", !isThere && keyLies.trim() === ""],
    ["time", "ask.needTime", time === null],
    ["name", "ask.needName", name.trim() === ""],
    ["phone", "ask.badPhone", tel !== "" && readPhone(tel) === null],
    ["phone", "ask.needReach", tel === "" && mail === ""],
    ["email", "ask.badEmail", mail !== "" && !z.email().safeParse(mail).success],
    ["emailAgain", "ask.emailsDiffer", mail.toLowerCase() !== emailAgain.trim().toLowerCase()],
    ["mayText", "ask.needConsent", !waysOf(typed).mayText && !waysOf(typed).mayMail],
    ["acceptsTerms", "ask.needTerms", terms !== "" && !typed.acceptsTerms],
  ];
  // Of two of one field the first says it.
  return faults.reduce<AskFaults>(
    (all, [field, words, holds]) => (holds && !all[field] ? { ...all, [field]: t(words) } : all),
    {},
  );
}

/** The ways they may be told by: only where there is something to be told at. */
function waysOf({ mayText, mayMail, phone, email }: TypedAsking): { mayText: boolean; mayMail: boolean } {
  return { mayText: mayText && phone.trim() !== "", mayMail: mayMail && email.trim() !== "" };
}

/** A plate or VIN that was typed and not confirmed would be lost without a word. */
function isCarUnconfirmed({ car, carWay, plate, vin }: TypedAsking): boolean {
  if (car !== null || carWay === "hand") return false;
  return (carWay === "plate" ? plate : vin).trim() !== "";
}

/** What is sent; whoever calls has seen to its faults. */
export function askedOf(typed: TypedAsking, time: AskedTime, language: Language, terms: string): AskedVisit {
  const { name, phone, email, wishIds, words, photoIds, isThere, keyLies, carWay, car } = typed;
  const byHand = {
    plate: "",
    region: "",
    vin: "",
    year: readYear(typed.year),
    make: typed.make.trim(),
    model: typed.model.trim(),
  };
  return {
    language,
    name: name.trim(),
    phone: phone.trim(),
    email: email.trim(),
    place: placeAsked(typed),
    car: car ?? (carWay === "hand" ? byHand : { ...byHand, year: null, make: "", model: "" }),
    wishIds,
    words: words.trim(),
    photoIds,
    isThere,
    keyLies: isThere ? "" : keyLies.trim(),
    time,
    terms,
    ...waysOf(typed),
  };
}

function readYear(typed: string): number | null {
  const year = Number(typed.trim());
  return Number.isInteger(year) && year >= 1900 && year <= 2100 ? year : null;
}
