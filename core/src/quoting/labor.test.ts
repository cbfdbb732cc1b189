import fc from "fast-check";
import { overlapLabor } from "./labor";

const names = ["wheel", "caliper", "strut", "link", "rod"];
const input = fc.record({
  hours: fc.array(fc.nat(50_000), { minLength: names.length, maxLength: names.length }),
  operations: fc.array(fc.subarray(names), { maxLength: 6 }),
});

it("pays each step once: together never more than one by one, and the shares add up", () => {
  fc.assert(
    fc.property(input, ({ hours, operations }) => {
      const steps = Object.fromEntries(names.map((name, index) => [name, (hours[index] ?? 0) / 10_000]));
      const result = overlapLabor({
        steps,
        operations: operations.map((own, index) => ({ id: String(index), steps: own })),
      });
      const scaled = (value: number): number => Math.round(value * 10_000);
      const sum = (values: number[]): number => values.reduce((all, value) => all + scaled(value), 0);
      const used = new Set(operations.flat());
      expect(scaled(result.hours)).toBe(sum([...used].map((name) => steps[name] ?? 0)));
      expect(sum(result.operations.map((operation) => operation.hours))).toBe(scaled(result.hours));
      expect(sum(result.operations.map(({ alone }) => alone)) - scaled(result.hours)).toBe(scaled(result.saved));
      for (const operation of result.operations) expect(operation.hours).toBeLessThanOrEqual(operation.alone);
    }),
  );
});

it("credits a shared step to the first that has it, whatever their order", () => {
  const steps = { wheel: 0.2, strut: 0.9, rod: 0.5 };
  const [a, b] = [
    { id: "strut", steps: ["wheel", "strut"] },
    { id: "rod", steps: ["rod", "wheel"] },
  ] as const;
  const hoursOf = (operations: readonly object[]): number[] =>
    overlapLabor({ steps, operations }).operations.map(({ hours }) => hours);
  expect(hoursOf([a, b])).toEqual([1.1, 0.5]);
  expect(hoursOf([b, a])).toEqual([0.7, 0.9]);
});

it("counts nothing as nothing", () => {
  expect(overlapLabor({ steps: {}, operations: [] })).toEqual({ operations: [], hours: 0, saved: 0 });
  expect(overlapLabor({ steps: { a: 0 }, operations: [{ id: "x", steps: [] }] })).toMatchObject({ hours: 0, saved: 0 });
});
