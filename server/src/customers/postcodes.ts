import { POSTCODES } from "@mechanon/demo";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import type { Outside } from "../outside/outside";
import type { Town } from "../outside/postcodes/port";

/**
 * The towns of a postcode: of the region from the table that ships, of others from the postcode service.
 * @throws {AppError} `postcode/unreachable`.
 */
export async function lookUpPostcode(outside: Pick<Outside, "postcodes">, typed: string): Promise<Town[]> {
  // "98099-1204": the four behind the dash tell the block, not the town.
  const postcode = typed
    .trim()
    .toUpperCase()
    .replace(/^(\d{5})-?\d{4}$/, "$1");
  const shipped = POSTCODES.filter((entry) => entry.postcode === postcode);
  if (shipped.length > 0) return shipped.map(({ town, region }) => ({ town, region }));
  try {
    return await outside.postcodes.townsOf(postcode);
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "postcode/unreachable",
        "The postcode service does not answer. What you typed is kept; type town and state.",
        { cause: error },
      );
    throw error;
  }
}
