export { encodeVinTable } from "./table/encode";
export { readVinTable } from "./table/read";
export type { VinFacts, VinField } from "./table/fields";
export type { VinMakerSource, VinRow, VinVehicleKind } from "./table/source";
export { cleanVin } from "./cleanVin";
export { expectedCheckDigit } from "./checkDigit";
export { decodeVin, type VinContext, type VinReport } from "./decodeVin";
export {
  catalogMakes,
  catalogVariants,
  catalogYears,
  splitTrims,
  type CatalogGroup,
  type CatalogMake,
  type Variants,
} from "./catalog";
export { describeVehicle } from "./describeVehicle";
export { likelyAnswers, type LikelyAnswers } from "./likelyAnswers";
export { MOST_UNSURE, type Look, type SeenLine, type Sighting } from "./scan/looks";
export { isAgreed, vinsInLooks, type SeenVin } from "./scan/vinsInLooks";
export { isCertainPlate, platesInLooks, type SeenPlate } from "./scan/platesInLooks";
export { evenLight } from "./scan/evenLight";
export { stretchContrast } from "./scan/stretchContrast";
export { textAngle } from "./scan/textAngle";
export { vinsFromCode } from "./scan/vinFromCode";
