import { AppError } from "../errors/appError";
import type { Address } from "../outside/addresses/port";
import { OutsideError } from "../outside/http";
import type { Outside } from "../outside/outside";

/** Addresses that what was typed may mean. @throws {AppError} `address/unreachable`. */
export async function findAddresses(outside: Pick<Outside, "addresses">, typed: string): Promise<Address[]> {
  try {
    return await outside.addresses.find(typed);
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "address/unreachable",
        "The address service does not answer. What you typed is kept; the visit can be booked without it.",
        { cause: error },
      );
    throw error;
  }
}
