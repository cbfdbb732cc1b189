import { z } from "zod";
import { Unreachable } from "../api/problem";
import { forgetKept, orKept } from "./orKept";

const schema = z.object({ cars: z.number() });
const unreachable = (): Promise<never> => Promise.reject(new Unreachable(new TypeError("network")));

beforeEach(forgetKept);

it("answers with the last answer where the server cannot be reached", async () => {
  expect(await orKept("day", schema, () => Promise.resolve({ cars: 3 }))).toEqual({ cars: 3 });
  expect(await orKept("day", schema, () => Promise.resolve({ cars: 4 }))).toEqual({ cars: 4 });
  expect(await orKept("day", schema, unreachable)).toEqual({ cars: 4 });
});

it("keeps apart what was asked apart", async () => {
  await orKept("day", schema, () => Promise.resolve({ cars: 3 }));
  await expect(orKept("other", schema, unreachable)).rejects.toThrow(Unreachable);
});

it("does not cover up what the server says", async () => {
  await orKept("day", schema, () => Promise.resolve({ cars: 3 }));
  await expect(orKept("day", schema, () => Promise.reject(new Error("401")))).rejects.toThrow("401");
});

it("does not pass on what an older version of the app kept", async () => {
  await orKept("day", z.object({ trucks: z.number() }), () => Promise.resolve({ trucks: 1 }));
  await expect(orKept("day", schema, unreachable)).rejects.toThrow(Unreachable);
});

it("forgets it all when somebody signs out, and nothing else", async () => {
  localStorage.setItem("theirs", "stays");
  await orKept("day", schema, () => Promise.resolve({ cars: 3 }));
  forgetKept();
  await expect(orKept("day", schema, unreachable)).rejects.toThrow(Unreachable);
  expect(localStorage.getItem("theirs")).toBe("stays");
});

it("takes nothing from an answer when there is no room to keep it, and reads nothing that was cut off", async () => {
  const put = jest.spyOn(localStorage, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  jest.spyOn(globalThis, "reportError").mockImplementation(() => undefined);
  expect(await orKept("day", schema, () => Promise.resolve({ cars: 3 }))).toEqual({ cars: 3 });
  put.mockRestore();
  localStorage.setItem("mechanon-kept-day", '{"car');
  await expect(orKept("day", schema, unreachable)).rejects.toThrow(Unreachable);
});
