import type { FittingWord } from "./findWords";
import { likelyWords, wordsAsTyped } from "./likelyWords";

const word = (text: string, way: FittingWord["way"], customers: number): FittingWord => ({
  word: text,
  way,
  fit: 0,
  customers,
});
const texts = (words: readonly FittingWord[]): string[] => words.map(({ word: text }) => text);

describe("words", () => {
  const ver = [
    word("ver", "whole", 20),
    word("verla", "beginning", 20),
    word("silver", "part", 15_000),
    word("averby", "part", 20),
    word("vera", "near", 2000),
    word("ber", "near", 20),
  ];
  it("are as typed when they are whole, begin with it, or are spelled another way", () => {
    expect(texts(wordsAsTyped([...ver, word("street", "spelling", 9000)]))).toEqual(["ver", "verla", "street"]);
  });
  it("are likely without what thousands have and only contain or resemble", () => {
    expect(texts(likelyWords("ver", ver))).toEqual(["ver", "verla", "averby", "ber"]);
  });
  it("that thousands have are no slip of anything", () => {
    const ford = [word("ford", "whole", 20_000), word("lord", "near", 20), word("ashford", "part", 20)];
    expect(texts(likelyWords("ford", ford))).toEqual(["ford", "ashford"]);
  });
  it("of digits are no slip of another number", () => {
    expect(texts(likelyWords("148", [word("148", "whole", 20), word("149", "near", 20)]))).toEqual(["148"]);
  });
  it("are all likely when nothing else is left", () => {
    expect(texts(likelyWords("vre", [word("ver", "near", 2000), word("silvre", "part", 5000)]))).toEqual([
      "ver",
      "silvre",
    ]);
  });
});
