import {
  catalogMakes,
  catalogVariants,
  decodeVin,
  describeVehicle,
  likelyAnswers,
  platesInLooks,
  readVinTable,
  vinsFromCode,
  vinsInLooks,
  type CatalogGroup,
  type CatalogMake,
  type LikelyAnswers,
  type Look,
  type SeenPlate,
  type SeenVin,
  type Variants,
  type VinContext,
  type VinReport,
} from "@mechanon/core/vin";
import type { VehicleGuess } from "@mechanon/contract";

/** What a VIN says, what it leaves open, and how it is probably answered. */
export interface DecodedVin {
  report: VinReport;
  guess: VehicleGuess;
  variants: Variants;
  likely: LikelyAnswers;
}

export interface PickedModel {
  year: number;
  make: string;
  model: string;
}

/** All that the VIN data answers; it runs in a worker. */
export interface VinEngine {
  decode(vin: string): DecodedVin;
  makes(year: number, group: CatalogGroup): CatalogMake[];
  variants(car: PickedModel): { variants: Variants; likely: LikelyAnswers };
  /** The VINs several looks at a photo may show. */
  readVins(looks: readonly Look[]): SeenVin[];
  /** The plates, as plates of the state read. */
  readPlates(looks: readonly Look[], region: string): SeenPlate[];
  readCode(text: string): string[];
}

/** @param bytes - the compact VIN data. */
export function vinEngine(bytes: Uint8Array, currentYear: number): VinEngine {
  const context: VinContext = { table: readVinTable(bytes), currentYear };
  const { table } = context;
  const makes = new Map<string, CatalogMake[]>();
  return {
    decode(vin) {
      const report = decodeVin(vin, context);
      const { modelYear: year, make, model } = report;
      const variants =
        year !== null && make !== null && model !== null
          ? catalogVariants(table, { year, make, model }, report.vin)
          : { trims: [], engines: [], drives: [] };
      return {
        report,
        guess: { ...describeVehicle(report), plate: null, region: null, color: null },
        variants,
        likely: likelyAnswers({ bodyClass: report.bodyClass, year, known: variants.drives }),
      };
    },
    makes(year, group) {
      const key = `${year}/${group}`;
      const known = makes.get(key) ?? catalogMakes(table, year, group);
      makes.set(key, known);
      return known;
    },
    variants(car) {
      const variants = catalogVariants(table, car);
      return { variants, likely: likelyAnswers({ bodyClass: null, year: car.year, known: variants.drives }) };
    },
    readVins: (looks) => vinsInLooks(looks, context),
    readPlates: platesInLooks,
    readCode: vinsFromCode,
  };
}
