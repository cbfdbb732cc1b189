import { CalcError } from "../../calc/error";
import { normalizeTireSize, readTypedTire } from "./typedTire";

it.each([
  ["LT245/75R16 120/116Q E", { widthMm: 245, aspect: 75, rimInch: 16, loadKg: 1400, speedKmh: 160 }],
  ["lt245/75 r16 120/116q load range e", { widthMm: 245, loadKg: 1400, speedKmh: 160 }],
  ["185R14C", { widthMm: 185, aspect: null, rimInch: 14, diameterMm: 651.6, loadKg: null }],
  ["185 R 14 C 102/100R 8PR", { widthMm: 185, aspect: null, loadKg: 850, speedKmh: 170 }],
  ["245/40ZR18 XL (97Y)", { widthMm: 245, rimInch: 18, loadKg: 730, speedKmh: 300 }],
  ["245/40ZR18XL (97Y)", { loadKg: 730, speedKmh: 300 }],
  ["275/35R19 (99Y)", { loadKg: 775, speedKmh: 300 }],
  ["205/55R16 91H M+S", { loadKg: 615, speedKmh: 210 }],
  ["205/55R16 M+S 91H", { loadKg: 615, speedKmh: 210 }],
  ["205/55R16 94V XL 3PMSF", { loadKg: 670, speedKmh: 240 }],
  ["225/45R17 91W RFT", { loadKg: 615, speedKmh: 270 }],
  ["235/65R16C 115/113R", { loadKg: 1215, speedKmh: 170 }],
  ["33x12.50R15LT 108Q", { widthMm: 318, aspect: null, loadKg: 1000, speedKmh: 160 }],
  ["LT265/70R17 E", { widthMm: 265, loadKg: null, speedKmh: null }],
  ["205/55R16 91 H", { loadKg: 615, speedKmh: 210 }],
  ["215/55R17", { loadKg: null, speedKmh: null }],
  ["P225/60R16 97T TL", { loadKg: 730, speedKmh: 190 }],
])("%s is read", (typed, size) => {
  expect(readTypedTire(typed, "original")).toMatchObject(size);
});

it.each([
  ["205/55R71", /no road tire has a rim of 71 inches/],
  ["995/95R20", /mm across/],
  ["wide ones", /"wide ones" is not a tire size/],
  ["205/55R16 M+S all season", /is not a tire size/],
  ["", /is not a tire size/],
])("%j is refused at its own field", (typed, reason) => {
  const read = (): unknown => readTypedTire(typed, "other");
  expect(read).toThrow(reason);
  expect(read).toThrow(CalcError);
  expect(read).toThrow(expect.objectContaining({ path: "other" }) as Error);
});

it("leaves a size alone that the calculation reads as it is", () => {
  for (const size of ["215/55R17 94V", "LT265/70R17 121/118S", "31X10.50R15LT 109Q"])
    expect(normalizeTireSize(size)).toBe(size);
});
