import type { ConcernPhrase } from "../concerns/phrase";
import type { Concern } from "../concerns/slice";
import { fold } from "../text/fold";
import type { LibraryJob } from "../quoting/libraryJob";
import type { AskedVisit } from "./askedVisit";
import type { PublishedWish } from "./requestSettings";

/** What a request asks for, in our words. */
export interface RequestWork {
  concerns: Pick<Concern, "text" | "kind" | "phraseId">[];
  /** Jobs of the library that do what was wished for, each once. */
  jobs: LibraryJob[];
}

/** Words as long as a concern may be. */
const MOST_CONCERN = 300;

/**
 * What a request is about as concerns and jobs: each wish once, by the ready phrase it stands for, and the customer's own
 * words where they say more than a wish does.
 */
export function workOfRequest(
  { wishIds, words }: Pick<AskedVisit, "wishIds" | "words">,
  wishes: readonly PublishedWish[],
  phrases: readonly ConcernPhrase[],
  library: readonly LibraryJob[],
): RequestWork {
  const picked = [...new Set(wishIds)].flatMap((id) => wishes.find((wish) => wish.id === id) ?? []);
  const concerns = picked.map(({ phraseId, en }): RequestWork["concerns"][number] => {
    const phrase = phrases.find(({ id }) => id === phraseId);
    // A phrase with gaps nobody filled is said by the name the customer picked.
    return phrase && !phrase.text.includes("{")
      ? { text: phrase.text, kind: phrase.kind, phraseId }
      : { text: en, kind: phrase?.kind ?? "wish", phraseId: phrase?.id ?? null };
  });
  const own = words.replace(/\s+/g, " ").trim();
  const isSaid = [...picked.flatMap(({ en, es }) => [en, es]), ...concerns.map(({ text }) => text)].some(
    (said) => fold(said) === fold(own),
  );
  if (own !== "" && !isSaid) concerns.push({ text: own.slice(0, MOST_CONCERN), kind: "fault", phraseId: null });
  const jobIds = new Set(picked.flatMap(({ jobId }) => jobId ?? []));
  return { concerns, jobs: library.filter(({ id }) => jobIds.has(id)) };
}
