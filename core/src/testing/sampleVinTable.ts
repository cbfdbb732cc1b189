import { encodeVinTable } from "../vin/table/encode";
import { readVinTable, type VinTable } from "../vin/table/read";

/** A small table of made-up makers, through the real encoder and reader. */
export function sampleVinTable(): VinTable {
  return readVinTable(
    encodeVinTable({
      makers: [
        {
          wmi: "1TZ",
          maker: "TERN MOTOR WORKS",
          make: "Tern",
          country: "UNITED STATES (USA)",
          kind: "car",
          schemas: [
            { schema: 0, yearFrom: 2010, yearTo: null },
            { schema: 1, yearFrom: 2015, yearTo: 2020 },
            { schema: 2, yearFrom: 1981, yearTo: 2009 },
          ],
        },
        {
          wmi: "WZZ",
          maker: "ZEEMEEUW BV",
          make: null,
          country: "NETHERLANDS",
          kind: "car",
          schemas: [{ schema: 1, yearFrom: 1981, yearTo: null }],
        },
        {
          wmi: "1T9123",
          maker: "TINY TERN TRAILERS",
          make: "Tiny Tern",
          country: "UNITED STATES (USA)",
          kind: "truck",
          schemas: [],
        },
        {
          wmi: "5HM",
          maker: "HERON CYCLES",
          make: null,
          country: "UNITED STATES (USA)",
          kind: "motorcycle",
          schemas: [{ schema: 3, yearFrom: 1981, yearTo: null }],
        },
        {
          wmi: "4HT",
          maker: "HERON TRUCKS",
          make: "Heron",
          country: "UNITED STATES (USA)",
          kind: "truck",
          schemas: [{ schema: 4, yearFrom: 1990, yearTo: null }],
        },
        {
          wmi: "2HV",
          maker: "HERON VANS",
          make: "Heron",
          country: "CANADA",
          kind: "mpv",
          schemas: [
            { schema: 4, yearFrom: 2012, yearTo: null },
            { schema: 5, yearFrom: 1981, yearTo: null },
          ],
        },
      ],
      schemas: [
        // Shared by all models of the maker.
        [
          {
            key: "*****|*A",
            facts: { plantCity: "LARKHAVEN", plantState: "WASHINGTON", plantCountry: "UNITED STATES (USA)" },
          },
          { key: "AB", facts: { bodyClass: "Wagon", doors: "5" } },
        ],
        // The model's own.
        [
          { key: "AB", facts: { model: "Tern\tSandpiper", bodyClass: "Sedan/Saloon", doors: "4" } },
          { key: "AB[1-3]", facts: { model: "Tern\tSandpiper GT", engineModel: "T20", trim: "AWD Sport" } },
          { key: "AC", facts: { model: "Tern\tCurlew", cubicCentimeters: "1496", fuel: "Diesel" } },
        ],
        [{ key: "A", facts: { model: "Tern\tOld Sandpiper" } }],
        [{ key: "A", facts: { model: "Heron\tWader", liters: "0.9" } }],
        [{ key: "A", facts: { model: "Heron\tHauler", gvwr: "Class 6: 19,501 - 26,000 lb (8,845 - 11,794 kg)" } }],
        [
          { key: "B", facts: { model: "Heron\tStilt", gvwr: "Class 1: 6,000 lb or less (2,722 kg or less)" } },
          { key: "C", facts: { model: "Heron\tBittern", gvwr: "Class 3: 10,001 - 14,000 lb (4,536 - 6,350 kg)" } },
        ],
      ],
      engines: [
        {
          name: "T20",
          facts: {
            cylinders: "4",
            configuration: "In-Line",
            liters: "2.0",
            fuel: "Gasoline",
            turbo: "Yes",
            horsepower: "210",
          },
        },
      ],
    }),
  );
}
