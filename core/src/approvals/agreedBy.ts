import type { Language } from "../languages/language";
import type { GivenAnswers } from "./recordAnswers";
import type { Agreed } from "./sealedCopy";
import type { ShownQuote } from "./shownQuote";
import { chosenWay } from "./sumShown";
import type { TakenBack } from "./slice";

/** Where and when something was agreed. */
export interface AgreedWhere {
  workOrderId: string;
  at: string;
  language: Language;
}

/** What an answer agrees to, for its frozen copy. @param shown - what was shown, with the checksums of the photos that are here. */
export function agreedByAnswer(
  { approvalId: id, way, answers, totalCents, name, signature, phone, needsAlso }: GivenAnswers,
  shown: ShownQuote | null,
  { workOrderId, at, language }: AgreedWhere,
): Required<Agreed> {
  return {
    facts: {
      ...{ of: "answer", id, workOrderId, at, way, language: shown?.language ?? language, totalCents },
      shown: shown && pricesOf(shown),
      answers: answers.map(({ jobId, title, answer, totalCents: seen, otherId, askOn }) => {
        const was = shown?.jobs.find((job) => job.id === jobId);
        return {
          ...{ jobId, title, answer, cents: was ? chosenWay(was, { otherId }).cents : seen },
          ...(otherId === undefined ? {} : { otherId }),
          ...(askOn === undefined ? {} : { askOn }),
        };
      }),
    },
    person: {
      ...{ name, signature, phone: phone ?? null, needsAlso: needsAlso ?? null, found: shown?.found ?? [] },
      ...(shown?.words === undefined ? {} : { words: shown.words }),
      ...(shown?.concerns === undefined ? {} : { concerns: shown.concerns }),
      reasons: answers.map(({ reason = "" }) => reason),
    },
    photos: shown?.photos ?? [],
  };
}

/** Without what tells of a person: what was found, shown and said. */
function pricesOf({
  found: _found,
  photos: _photos,
  words: _words,
  concerns: _said,
  ...prices
}: ShownQuote): NonNullable<Agreed["facts"]["shown"]> {
  return prices;
}

/** What a photo adds to an answer it was shown with, and arrived after. @param id - of this copy. */
export function agreedByPhoto(
  id: string,
  photo: ShownQuote["photos"][number],
  completes: string,
  { workOrderId, at, language }: AgreedWhere,
): Required<Agreed> {
  return {
    facts: {
      ...{ of: "photo", id, completes, workOrderId, at, way: "signed", language, shown: null, totalCents: 0 },
      answers: [],
    },
    person: { name: "", signature: [], phone: null, needsAlso: null, reasons: [], found: [] },
    photos: [photo],
  };
}

/** What taking a yes back agrees to. */
export function agreedByTakingBack(
  { id, jobId, title, costCents, name }: TakenBack,
  { workOrderId, at, language }: AgreedWhere,
): Required<Agreed> {
  return {
    facts: {
      ...{ of: "takenBack", id, workOrderId, at, way: "page", language, shown: null, totalCents: costCents },
      answers: [{ jobId, title, answer: null, cents: costCents }],
    },
    person: { name, signature: [], phone: null, needsAlso: null, reasons: [], found: [] },
    photos: [],
  };
}
