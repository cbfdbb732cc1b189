import { readPhone } from "@mechanon/core";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import type { Outside } from "../outside/outside";
import type { DirectoryEntry } from "../outside/phoneDirectory/port";

/**
 * Whose phone the directory says it is; null when it does not know, or when it is no whole phone yet.
 * @throws {AppError} `directory/unreachable`.
 */
export async function lookUpPhone(outside: Pick<Outside, "directory">, typed: string): Promise<DirectoryEntry | null> {
  const phone = readPhone(typed);
  if (phone === null) return null;
  try {
    return await outside.directory.whoseIs(phone.number);
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "directory/unreachable",
        "The phone directory does not answer. What you typed is kept; go on without it.",
        { cause: error },
      );
    throw error;
  }
}
