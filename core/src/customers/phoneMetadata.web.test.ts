import metadata from "libphonenumber-js/metadata.min.json";
import parse from "libphonenumber-js/core";
import { HOME_METADATA } from "./homeMetadata";
import { knowAllCountries, phoneMetadata } from "./phoneMetadata.web";

it("is what the library knows of the home country", () => {
  expect(HOME_METADATA).toEqual({
    version: metadata.version,
    country_calling_codes: { 1: ["US"] },
    nonGeographic: {},
    countries: { US: metadata.countries.US },
  });
});

it("reads home numbers at once, and those of other countries when they are loaded", async () => {
  const read = (typed: string) => parse(typed, { defaultCountry: "US" }, phoneMetadata());
  expect(read("(541) 555-0123 ext. 4")).toMatchObject({ number: "+15415550123", ext: "4" });
  expect(read("(541) 555-0123")?.formatNational()).toBe("(541) 555-0123");
  // Of a neighbor under the same code.
  expect(read("+1 604 555 0123")?.isPossible()).toBe(true);
  expect(read("+44 20 7946 0018")).toBeUndefined();
  await knowAllCountries(() => Promise.resolve(metadata));
  expect(read("+44 20 7946 0018")?.formatInternational()).toBe("+44 20 7946 0018");
});
