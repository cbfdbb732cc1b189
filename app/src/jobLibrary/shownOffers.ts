import { wordsOf, type LibraryJob, type Offer } from "@mechanon/core";

/**
 * The jobs to choose from: what fits findings and concerns first, each once; then favorites, those used last, and all
 * others. With letters typed, those each word of which begins one of title, area or parts.
 *
 * @param area - empty: all.
 * @param last - ids of the jobs used last, the last one first.
 */
export function shownOffers(
  fitting: readonly Offer[],
  library: readonly LibraryJob[],
  typed: string,
  area: string,
  last: readonly string[] = [],
): Offer[] {
  const first = fitting.filter(
    ({ libraryJob }, index) => fitting.findIndex((other) => other.libraryJob.id === libraryJob.id) === index,
  );
  const others = library
    .filter((job) => !first.some(({ libraryJob }) => libraryJob.id === job.id))
    .map((libraryJob): Offer => ({ libraryJob, pointIds: [], concernId: null }))
    .sort((one, other) => standing(one, last) - standing(other, last));
  const words = wordsOf(typed);
  return [...first, ...others].filter(({ libraryJob: job }) => {
    if (words.length === 0) return area === "" || job.area === area;
    const written = wordsOf([job.title, job.area, ...job.lines.map(({ description }) => description)].join(" "));
    return words.every((word) => written.some((each) => each.startsWith(word)));
  });
}

/** Lower stands higher; the same: in the library's order. */
function standing({ libraryJob: { id, isFavorite } }: Offer, last: readonly string[]): number {
  if (isFavorite) return -1;
  const at = last.indexOf(id);
  return at < 0 ? last.length : at;
}
