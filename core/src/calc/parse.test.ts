import { z } from "zod";
import { CalcError, formatPath } from "./error";
import { asCode, centsField, decimalField, percentOfField } from "./fields";
import { parseInput } from "./parse";
import { uniqueIds } from "./uniqueIds";

const faultOf = (schema: z.ZodType, input: unknown): [string, string] => {
  try {
    parseInput(schema, input);
  } catch (error) {
    if (error instanceof CalcError) return [error.code, error.path];
    throw error;
  }
  return ["", ""];
};

describe("cents", () => {
  it.each([
    [0, ""],
    [9_007_199_254_740_991, ""],
    [9_007_199_254_740_992, "out-of-range"],
    [-1, "negative"],
    [1.5, "not-whole"],
    ["1", "wrong-type"],
    [null, "missing"],
    [undefined, "missing"],
    [true, "wrong-type"],
  ])("%p: %p", (value, code) => {
    expect(faultOf(centsField, value)[0]).toBe(code);
  });
});

describe("decimals", () => {
  it.each([
    [0, ""],
    [1.2345, ""],
    [1.23456, "too-many-decimals"],
    [-0.1, "negative"],
    [1e13, "out-of-range"],
    [[], "wrong-type"],
  ])("%p: %p", (value, code) => {
    expect(faultOf(decimalField, value)[0]).toBe(code);
  });
  it.each([
    [100, ""],
    [100.0001, "out-of-range"],
  ])("a share of %p: %p", (value, code) => {
    expect(faultOf(percentOfField, value)[0]).toBe(code);
  });
});

describe("paths", () => {
  it.each([
    [["jobs", 0, "lines", 2, "price"], "jobs[0].lines[2].price"],
    [[], ""],
    [[3], "[3]"],
    [["a"], "a"],
  ])("%p is %p", (path, text) => {
    expect(formatPath(path)).toBe(text);
  });
});

it("tells where, in lists in objects", () => {
  const schema = z.strictObject({ list: z.array(z.strictObject({ n: centsField })) });
  expect(faultOf(schema, { list: [{ n: 1 }, { n: -1 }] })).toEqual(["negative", "list[1].n"]);
  expect(faultOf(schema, { list: [{ n: 1, m: 2 }] })).toEqual(["unknown-key", "list[0].m"]);
  expect(faultOf(schema, { list: {} })).toEqual(["wrong-type", "list"]);
});

it("keeps to the published codes whatever a refinement says", () => {
  const schema = z.strictObject({ a: z.string().refine(() => false, asCode("unreadable", "cannot be read")) });
  expect(faultOf(schema, { a: "x" })).toEqual(["unreadable", "a"]);
  expect(
    faultOf(
      z.string().refine(() => false, "no code"),
      "x",
    ),
  ).toEqual(["not-allowed", ""]);
});

it("tells the second of two equal ids", () => {
  expect([...uniqueIds([{ id: "a" }, { id: "b" }], "list")]).toEqual(["a", "b"]);
  const twice = (): unknown => uniqueIds([{ id: "a" }, { id: "a" }], "list");
  expect(twice).toThrow(new CalcError("duplicate-id", '"a" is there twice', "list[1].id"));
});
