import { expectedCheckDigit, CHECK_DIGIT_INDEX } from "../checkDigit";

/** @see AAMVA, D20 data elements in bar codes of vehicle documents: VAD is the VIN */
const REGISTRATION_FIELD = "VAD";
const VIN = /^[A-HJ-NPR-Z0-9]{17}$/;

/**
 * The VINs a barcode holds, those whose check digit holds first. Labels put an `I` before the VIN of an import, frames
 * of `*` around it, or the VIN into an address or a list of fields.
 *
 * @param text - what the barcode says.
 */
export function vinsFromCode(text: string): string[] {
  const runs = text.toUpperCase().split(/[^A-Z0-9]+/);
  const found = runs.flatMap((run) => {
    if (run.length === 18 && run.startsWith("I")) return [run.slice(1)];
    // In the code of registration papers the name of the field stands before what it holds.
    if (run.length === 20 && run.startsWith(REGISTRATION_FIELD)) return [run.slice(REGISTRATION_FIELD.length)];
    // Part of a longer run of letters and digits is no VIN but a serial number.
    return run.length === 17 ? [run] : [];
  });
  const sound = [...new Set(found)].filter((run) => VIN.test(run) && /\d/.test(run));
  return sound.sort((a, b) => Number(checkHolds(b)) - Number(checkHolds(a)));
}

function checkHolds(vin: string): boolean {
  return expectedCheckDigit(vin) === vin.charAt(CHECK_DIGIT_INDEX);
}
