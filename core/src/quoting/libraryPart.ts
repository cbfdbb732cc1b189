import type { LibraryJob } from "./libraryJob";
import type { PartLine } from "./quoteLine";

type Numbered = Pick<PartLine, "partNumber" | "brand">;
type Priced = Pick<PartLine, "costCents" | "priceCents">;

/** What a part of a number costs by the library: of a line, a grade or another quality; null: the library does not have it. */
export function libraryPart(library: readonly LibraryJob[], { partNumber, brand }: Numbered): Priced | null {
  if (partNumber === null) return null;
  const parts: readonly (Numbered & Priced)[] = library.flatMap(({ lines, fits, variants }) => [
    ...lines.filter((line): line is PartLine => line.kind === "part"),
    ...fits.flatMap(({ grades }) => grades),
    ...variants.flatMap((variant) => variant.parts),
  ]);
  const found = parts.find((part) => part.partNumber === partNumber && part.brand === brand);
  return found ? { costCents: found.costCents, priceCents: found.priceCents } : null;
}
