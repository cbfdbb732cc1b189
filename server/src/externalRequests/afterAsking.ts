import { AppError } from "../errors/appError";

/**
 * What is done once the outside was asked: whatever fails then, it is not known here what the outside did, and nobody
 * is told that nothing was.
 *
 * @param words - what may have been done, who finds out, and what not to do meanwhile.
 * @throws {AppError} `request/outcome-unknown`, or what the work itself has to say to a person.
 */
export async function afterAsking<T>(words: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof AppError) throw error;
    throw new AppError("request/outcome-unknown", words, { cause: error, retryAfterSeconds: 10 });
  }
}
