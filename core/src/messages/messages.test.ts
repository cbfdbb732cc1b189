import { LANGUAGES } from "../languages/language";
import { MESSAGE_KINDS } from "./messageKinds";
import { messageSettings, USUAL_MESSAGES } from "./messageSettings";
import { replyMeaning } from "./replyMeaning";
import { fillTemplate, unknownFields } from "./template";
import { textLength } from "./textLength";

describe("a template", () => {
  it.each([
    ["Hi {customer}, {day}", []],
    ["Hi {custmer} and {custmer}", ["{custmer}"]],
    ["open {day", ["{"]],
    ["{}", ["{}"]],
    ["a } b", ["}"]],
  ])("%s has these unknown fields", (typed, unknown) => expect(unknownFields(typed)).toEqual(unknown));

  it.each([
    ["{business}: come {day}.", { business: "Garage", day: "Sat" }, "Garage: come Sat."],
    ["Hi {customer}, come {day} {time}.", { customer: "Ana", day: "Sat" }, "Hi Ana, come Sat."],
    ["{words} Bye", {}, "Bye"],
    ["a\n{words}\nb", {}, "a\n\nb"],
    // What a value holds is no template.
    ["{words}", { words: "{link}" }, "{link}"],
  ])("%s is filled", (typed, values, words) => expect(fillTemplate(typed, values)).toBe(words));

  it("with an unknown field is refused where the owner sets it", () => {
    const kinds = { ...USUAL_MESSAGES.kinds };
    kinds.booked = { ...kinds.booked, es: { ...kinds.booked.es, text: "Hola {nombre}" } };
    const read = messageSettings.safeParse({ ...USUAL_MESSAGES, kinds });
    expect(read.error?.issues[0]).toMatchObject({
      path: ["kinds", "booked", "es", "text"],
      message: "no field is called {nombre}",
    });
  });
});

it("the usual templates fit, say who writes, and fit into three messages at most", () => {
  expect(messageSettings.parse(USUAL_MESSAGES)).toEqual(USUAL_MESSAGES);
  const link = `https://garage.example/c/${"x".repeat(32)}`;
  const values = { business: "Larkhaven Driveway Garage", mechanic: "Tomas", day: "sáb 5 dic", time: "10:30 a. m." };
  for (const kind of MESSAGE_KINDS)
    for (const language of LANGUAGES) {
      const text = fillTemplate(USUAL_MESSAGES.kinds[kind][language].text, { ...values, link });
      expect(text).toContain("Larkhaven");
      expect([kind, language, textLength(text).messages <= 4]).toEqual([kind, language, true]);
    }
});

it.each([
  ["", 0, false],
  ["a".repeat(160), 1, false],
  ["a".repeat(161), 2, false],
  ["a".repeat(307), 3, false],
  ["é".repeat(160), 1, false],
  ["í".repeat(70), 1, true],
  ["í".repeat(71), 2, true],
  // Braces take two places each.
  ["{".repeat(81), 2, false],
])("a text goes out as so many messages", (text, messages, isWide) => {
  expect(textLength(text)).toEqual({ messages, isWide });
});

it.each([
  ["STOP", "stop"],
  [" stop. ", "stop"],
  ["Alto!", "stop"],
  ["START", "start"],
  ["please stop by at noon", "words"],
  ["", "words"],
])("“%s” means %s", (text, meaning) => expect(replyMeaning(text)).toBe(meaning));
