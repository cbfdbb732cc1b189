import {
  standingTable,
  stockPriceCents,
  showMoney,
  type ClientWorkOrderCommand,
  type JobFit,
  type LibraryJob,
  type MoneyRules,
  type NewLine,
  type StockItem,
} from "@mechanon/core";
import type { UsedPart } from "@mechanon/contract";

/** A part that can be put on a job, and where it comes from. */
export type PartChoice = { key: string; title: string; why: string } & (
  | { from: "van"; item: StockItem }
  | { from: "library"; libraryJobId: string; libraryLineId: string }
  | { from: "before"; used: UsedPart }
);

const MOST = 6;

/** Whether a name has all the words, each as the beginning of one of its own. */
function hasWords(name: string, words: readonly string[]): boolean {
  const parts = name.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  return words.every((word) => parts.some((part) => part.startsWith(word)));
}

/** Parts by the words of their names: the van's first, those kept ready, those used before. */
export function partChoices(
  typed: string,
  stock: readonly StockItem[],
  library: readonly LibraryJob[],
  used: readonly UsedPart[],
  rules: MoneyRules,
): PartChoice[] {
  const words = typed
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
  if (words.length === 0) return [];
  const onVan = stock
    .filter(({ title, brand, partNumber }) => hasWords(`${title} ${brand ?? ""} ${partNumber ?? ""}`, words))
    .map((item): PartChoice => ({
      ...{ key: `van-${item.id}`, title: item.title, from: "van", item },
      why: `${item.count} on the van, ${showMoney(stockPriceCents(item, rules))}`,
    }));
  const seen = new Set<string>();
  const kept = library.flatMap((job) =>
    job.lines.flatMap((line): PartChoice[] => {
      if (line.kind !== "part" || !hasWords(`${line.description} ${line.brand ?? ""} ${line.partNumber ?? ""}`, words))
        return [];
      const name = `${line.description} ${line.partNumber ?? ""}`;
      if (seen.has(name)) return [];
      seen.add(name);
      return [
        {
          ...{ key: `library-${job.id}-${line.id}`, title: line.description, from: "library" },
          ...{ libraryJobId: job.id, libraryLineId: line.id, why: `Kept ready, of ${job.title}` },
        },
      ];
    }),
  );
  const before = used.map((part): PartChoice => ({
    ...{ key: `before-${part.description}-${part.positions}`, from: "before", used: part },
    title: [part.description, part.positions.replaceAll(",", ", ")].filter(Boolean).join(", "),
    why: `Used before, last cost ${showMoney(part.costCents)}`,
  }));
  return [...onVan.slice(0, MOST), ...kept.slice(0, MOST), ...before.slice(0, MOST)];
}

/** What a part is put on a job with. */
interface AddedTo {
  jobId: string;
  lineId: string;
  quantity: number;
  rules: MoneyRules;
  fit: Pick<JobFit, "facts" | "isAfterHours">;
}

/** Puts a part on a job, from wherever it comes. */
export function partCommand(
  choice: PartChoice,
  { jobId, lineId, quantity, rules, fit }: AddedTo,
): ClientWorkOrderCommand {
  switch (choice.from) {
    case "van":
      return { type: "addStockPart", jobId, lineId, itemId: choice.item.id, quantity };
    case "library": {
      const { libraryJobId, libraryLineId } = choice;
      const whole = fitOf({ ...fit, positions: [], variantId: null });
      return { type: "addPart", jobId, lineId, libraryJobId, libraryLineId, fit: whole };
    }
    case "before":
      return { type: "addLine", jobId, line: usedPartLine(lineId, choice.title, choice.used, quantity, rules) };
  }
}

/** A part used before as a new line: by kind and place, at its last cost, without brand. */
function usedPartLine(
  id: string,
  title: string,
  { costCents, partKind, day }: UsedPart,
  quantity: number,
  rules: MoneyRules,
): NewLine {
  return {
    ...{ id, kind: "part", description: title, quantity, costCents, partKind },
    ...{ markup: standingTable(rules, { partKind }), priceCents: null, partNumber: null, brand: null },
    from: { of: "before", day },
  };
}

/** A job's fit as a command takes it. */
export function fitOf(fit: JobFit): Omit<JobFit, "positions"> & { positions: JobFit["positions"][number][] } {
  return { ...fit, positions: [...fit.positions] };
}
