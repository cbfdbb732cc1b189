import { languageOf } from "./language";
import { showDayIn, showMomentIn, showTimeIn } from "./momentIn";

it.each([
  [["es-MX", "en"], "es"],
  [["fr", "es"], "es"],
  [["ES"], "es"],
  [["de-DE"], "en"],
  [[], "en"],
  [["esperanto"], "en"],
] as const)("of %s it is %s", (wished, language) => expect(languageOf(wished)).toBe(language));

const AT = "2026-12-05T18:30:00.000Z";
const ZONE = "America/Los_Angeles";

it("writes moments as each language does", () => {
  expect(showMomentIn("en", AT, ZONE)).toBe("Sat Dec 5, 10:30 am");
  expect(showMomentIn("es", AT, ZONE)).toBe("sáb 5 dic, 10:30 a. m.");
  expect(showTimeIn("es", AT, ZONE)).toBe("10:30 a. m.");
  expect(showDayIn("es", AT, ZONE)).toBe("sáb 5 dic");
  expect(showDayIn("en", AT, ZONE)).toBe("Sat Dec 5");
});
