import { z } from "zod";
import { CalcError } from "../calc/error";
import { decimalField, nameField } from "../calc/fields";
import { parseInput } from "../calc/parse";
import { uniqueIds } from "../calc/uniqueIds";
import { exact, fromTenThousandths } from "../exact/decimal";

const laborInput = z.strictObject({
  steps: z.record(z.string(), decimalField),
  operations: z.array(z.strictObject({ id: nameField, steps: z.array(z.string()) })),
});

/** Hours of operations done together and each by itself. */
export interface LaborOverlap {
  operations: { id: string; hours: number; alone: number }[];
  hours: number;
  saved: number;
}

/**
 * Labor of several operations done together: a step they share is paid once, to the first that has it.
 *
 * @param raw - `steps` with their hours and `operations` that list them.
 * @throws {CalcError} with code and path for anything that does not fit.
 * @see calculations.md, labor
 */
export function overlapLabor(raw: unknown): LaborOverlap {
  const { steps, operations } = parseInput(laborInput, raw);
  uniqueIds(operations, "operations");
  const hoursOf = new Map(Object.entries(steps).map(([name, hours]) => [name, exact(hours)]));
  const paid = new Set<string>();
  let hours = 0n;
  let alone = 0n;
  const shares = operations.map((operation, index) => {
    let own = 0n;
    let byItself = 0n;
    for (const step of new Set(operation.steps)) {
      const stepHours = hoursOf.get(step);
      if (stepHours === undefined) {
        const path = `operations[${index}].steps[${operation.steps.indexOf(step)}]`;
        throw new CalcError("unknown-reference", `${path} names "${step}", which is not there`, path);
      }
      byItself += stepHours;
      if (!paid.has(step)) own += stepHours;
      paid.add(step);
    }
    hours += own;
    alone += byItself;
    return { id: operation.id, hours: fromTenThousandths(own), alone: fromTenThousandths(byItself) };
  });
  return { operations: shares, hours: fromTenThousandths(hours), saved: fromTenThousandths(alone - hours) };
}
