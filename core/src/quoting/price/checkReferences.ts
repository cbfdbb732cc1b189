import { CalcError } from "../../calc/error";
import { uniqueIds } from "../../calc/uniqueIds";
import type { JobInput, LineInput, MarkupInput, PriceInput } from "./input";

/**
 * Checks what no single value shows: ids given twice, references to nothing, bands that do not rise, set prices that
 * contradict themselves.
 * @throws {CalcError} for the first such fault.
 */
export function checkReferences(input: PriceInput): void {
  for (const [name, table] of Object.entries(input.rules.markup ?? {})) checkBands(table, `rules.markup.${name}`);
  const taxes = uniqueIds(input.rules.taxes ?? [], "rules.taxes");
  const payers = uniqueIds(input.payers, "payers");
  uniqueIds(input.jobs, "jobs");
  uniqueIds(input.discounts ?? [], "discounts");
  const markups = new Set(Object.keys(input.rules.markup ?? {}));
  const lineIds = new Set<string>();
  input.jobs.forEach((job, jobIndex) => {
    const path = `jobs[${jobIndex}]`;
    if (!payers.has(job.payer)) throw unknown(`${path}.payer`, job.payer);
    job.lines.forEach((line, lineIndex) => {
      const linePath = `${path}.lines[${lineIndex}]`;
      if (lineIds.has(line.id))
        throw new CalcError("duplicate-id", `line "${line.id}" is there twice`, `${linePath}.id`);
      lineIds.add(line.id);
      checkLine(line, linePath, markups, taxes);
    });
    checkSetPrice(job, path);
  });
}

function checkBands({ bands }: MarkupInput, path: string): void {
  if (bands.length === 0)
    throw new CalcError("not-allowed", `${path}.bands needs a last band without a limit`, `${path}.bands`);
  let last = -1;
  bands.forEach(({ upTo }, index) => {
    const limit = upTo ?? null;
    const isLast = index === bands.length - 1;
    const bandPath = `${path}.bands[${index}].upTo`;
    if (isLast !== (limit === null))
      throw new CalcError("not-allowed", `${bandPath}: only the last band is without a limit`, bandPath);
    if (limit !== null && limit <= last) throw new CalcError("not-allowed", `${bandPath}: bands must rise`, bandPath);
    last = limit ?? last;
  });
}

function checkLine(line: LineInput, path: string, markups: Set<string>, taxes: Set<string>): void {
  line.taxes?.forEach((tax, index) => {
    if (!taxes.has(tax)) throw unknown(`${path}.taxes[${index}]`, tax);
  });
  if (line.kind !== "part" && line.kind !== "fee") return;
  const markup = line.markup ?? null;
  if (markup !== null && !markups.has(markup)) throw unknown(`${path}.markup`, markup);
  if ((line.price ?? null) !== null) return;
  if (line.kind === "fee" && (line.cost ?? null) === null)
    throw new CalcError("missing", `${path} needs a price, or a cost with a markup`, `${path}.price`);
  if (markup === null) throw new CalcError("missing", `${path} needs a markup where it has no price`, `${path}.markup`);
}

function checkSetPrice(job: JobInput, path: string): void {
  if (!job.setPrice) return;
  job.lines.forEach((line, index) => {
    if (line.kind !== "core" && line.discount)
      throw new CalcError(
        "not-allowed",
        "a line of a job with a set price has no discount of its own",
        `${path}.lines[${index}].discount`,
      );
  });
  const named = new Set<string>();
  job.setPrice.included?.forEach(({ line: id }, index) => {
    const linePath = `${path}.setPrice.included[${index}].line`;
    const line = job.lines.find((candidate) => candidate.id === id);
    if (!line) throw unknown(linePath, id);
    if (line.kind !== "part" && line.kind !== "fee")
      throw new CalcError("not-allowed", `a ${line.kind} line has no included quantity`, linePath);
    if (named.has(id)) throw new CalcError("duplicate-id", `"${id}" is included twice`, linePath);
    named.add(id);
  });
}

function unknown(path: string, id: string): CalcError {
  return new CalcError("unknown-reference", `${path} names "${id}", which is not there`, path);
}
