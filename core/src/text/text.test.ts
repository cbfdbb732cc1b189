import { isText, text } from "./text";

it.each([
  ["letters of any kind", "Ångström, 北, 👍🏽", true],
  ["several lines", "one\r\n\ttwo", true],
  ["nothing", "", true],
  ["a zero", "a\u0000b", false],
  ["half a pair in front", "\ud83d and more", false],
  ["half a pair at the end", "cut \udc4d", false],
  ["a bell", "\u0007", false],
])("knows whether %s is text", (_name, value, is) => {
  expect(isText(value)).toBe(is);
  expect(text(100).safeParse(value).success).toBe(is);
});

it("is cut of blanks before it is measured, and bounded", () => {
  expect(text(3).parse("  abc  ")).toBe("abc");
  expect(text(3).safeParse("abcd").error?.issues[0]?.message).toBe("at most 3 characters");
});
