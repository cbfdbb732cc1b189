import { z } from "zod";
import { LANGUAGES } from "../languages/language";
import { ANSWERS } from "../quoting/slice";
import { digestOf } from "./digest";
import { shownQuote } from "./shownQuote";
import { ANSWER_WAYS, signature } from "./slice";

const cents = z.number().int().nonnegative();

/** What was agreed, without who agreed: kept as long as the bill. */
const agreedFacts = z.object({
  /** A photo: one that was shown on a phone without a signal, and arrived after its answer. */
  of: z.enum(["answer", "takenBack", "photo"]),
  id: z.string(),
  /** Of a photo: the answer it was shown with. */
  completes: z.string().optional(),
  workOrderId: z.string(),
  at: z.iso.datetime(),
  way: z.enum(ANSWER_WAYS),
  language: z.enum(LANGUAGES),
  /** Prices, lines, taxes and terms as they were shown; null: nothing was. */
  shown: shownQuote.omit({ found: true, photos: true, words: true, concerns: true }).nullable(),
  answers: z.array(
    z.object({
      jobId: z.string(),
      title: z.string(),
      answer: z.enum(ANSWERS).nullable(),
      cents,
      otherId: z.string().nullable().optional(),
      askOn: z.string().optional(),
    }),
  ),
  totalCents: cents,
});

/** Who agreed, and what was found on their car and said. */
const agreedPerson = z.object({
  name: z.string(),
  signature,
  phone: z.string().nullable(),
  needsAlso: z.string().nullable(),
  reasons: z.array(z.string()),
  found: shownQuote.shape.found,
  /** What the quote opened with, and why they called, as it stood on it. */
  words: shownQuote.shape.words,
  concerns: shownQuote.shape.concerns,
});

/** The photos that were shown, by the checksums of their bytes. */
const agreedPhotos = shownQuote.shape.photos;

/** The three parts of a copy: each with a digest of its own, so that one can go and the others still prove. */
export const AGREED_PARTS = ["facts", "person", "photos"] as const;
export type AgreedPart = (typeof AGREED_PARTS)[number];

/** What was agreed, as it is kept for good. */
export interface Agreed {
  facts: z.infer<typeof agreedFacts>;
  person: z.infer<typeof agreedPerson> | null;
  photos: z.infer<typeof agreedPhotos> | null;
}
/** Secret numbers, one for each part; null: erased with it. */
export type Salts = Readonly<Record<AgreedPart, string | null>>;

/** A frozen copy in the chain of its business. */
export interface SealedCopy extends Agreed {
  /** Its place in the chain, from 1. */
  place: number;
  salts: Salts;
  digests: Readonly<Record<AgreedPart, string>>;
  /** The link of the copy before; empty for the first. */
  previous: string;
  /** The digest of its place, the copy before and its parts' digests. */
  link: string;
}

export const sealedCopy = z.object({
  facts: agreedFacts,
  person: agreedPerson.nullable(),
  photos: agreedPhotos.nullable(),
  place: z.number().int().positive(),
  salts: z.object({ facts: z.string().nullable(), person: z.string().nullable(), photos: z.string().nullable() }),
  digests: z.object({ facts: z.string(), person: z.string(), photos: z.string() }),
  previous: z.string(),
  link: z.string(),
}) satisfies z.ZodType<SealedCopy>;

/**
 * Freezes what was agreed as the next copy of a chain.
 *
 * @param salts - secret numbers nobody can guess, 16 bytes as hex for each part.
 */
export function seal(
  agreed: Required<Agreed>,
  last: Pick<SealedCopy, "place" | "link"> | null,
  salts: Readonly<Record<AgreedPart, string>>,
): SealedCopy {
  const digests = {
    facts: digestOf(agreed.facts, salts.facts),
    person: digestOf(agreed.person, salts.person),
    photos: digestOf(agreed.photos, salts.photos),
  };
  const place = (last?.place ?? 0) + 1;
  const previous = last?.link ?? "";
  return { ...agreed, place, salts, digests, previous, link: linkOf(place, previous, digests) };
}

function linkOf(place: number, previous: string, digests: SealedCopy["digests"]): string {
  return digestOf({ place, previous, digests });
}

/** What is wrong with a copy of a chain. */
export const LINK_FAULTS = ["place", "previous", "link", ...AGREED_PARTS] as const;
export type LinkFault = (typeof LINK_FAULTS)[number];

/**
 * The first that is wrong with a copy; null: it is as it was sealed. A part that was erased with its salt proves by its
 * digest alone.
 *
 * @param last - the copy before it in the chain; null: it is the first.
 */
export function linkFault(copy: SealedCopy, last: Pick<SealedCopy, "place" | "link"> | null): LinkFault | null {
  if (copy.place !== (last?.place ?? 0) + 1) return "place";
  if (copy.previous !== (last?.link ?? "")) return "previous";
  const broken = AGREED_PARTS.find((part) => !isAsSealed(copy, part));
  if (broken) return broken;
  return copy.link === linkOf(copy.place, copy.previous, copy.digests) ? null : "link";
}

function isAsSealed(copy: SealedCopy, part: AgreedPart): boolean {
  const salt = copy.salts[part];
  // Erased: neither what it was nor the salt to try out what it may have been.
  if (salt === null) return part !== "facts" && copy[part] === null;
  return copy.digests[part] === digestOf(copy[part], salt);
}

/** A copy without the person: no name, no signature, no photos, and no salt by which they could be found out. */
export function copyWithoutPerson<Copy extends Pick<SealedCopy, "person" | "photos" | "salts">>(copy: Copy): Copy {
  return { ...copy, person: null, photos: null, salts: { ...copy.salts, person: null, photos: null } };
}
