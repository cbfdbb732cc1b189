import { readPhone, showPhone } from "./phone";

describe("phones", () => {
  it.each([
    ["(541) 555-0123", "+15415550123"],
    ["541.555.0123", "+15415550123"],
    ["1 541 555 0123", "+15415550123"],
    ["+44 20 7946 0018", "+442079460018"],
    ["12", null],
    ["", null],
    ["call me", null],
  ])("%p is %p", (typed, stored) => expect(readPhone(typed)?.number ?? null).toBe(stored));
  it("are shown as the country writes them", () => {
    expect(showPhone("+15415550123")).toBe("(541) 555-0123");
    expect(showPhone("+442079460018")).toBe("+44 20 7946 0018");
  });
});
