import { readMoney, showMoney } from "./money";

describe("money", () => {
  it.each([
    [123456, "$1,234.56"],
    [5, "$0.05"],
    [-1050, "−$10.50"],
    [0, "$0.00"],
  ])("%p reads %p", (cents, words) => expect(showMoney(cents)).toBe(words));
  it.each([
    ["12", 1200],
    ["12.5", 1250],
    ["$1,234.56", 123456],
    [" 0.07 ", 7],
    ["1.005", null],
    ["-3", null],
    ["", null],
    ["1,23", null],
    ["ten", null],
    ["9".repeat(20), null],
  ])("%p is %p cents", (typed, cents) => expect(readMoney(typed)).toBe(cents));
});
