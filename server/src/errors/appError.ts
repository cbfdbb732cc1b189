import type { Problem, ProblemCode } from "@mechanon/contract";

/** An error a person can meet: its code gives the status, the detail says what happened, what was kept, what to do. */
export class AppError extends Error {
  constructor(
    readonly code: ProblemCode,
    message: string,
    readonly options: Partial<Pick<Problem, "fields" | "keptId">> & {
      cause?: unknown;
      retryAfterSeconds?: number;
    } = {},
  ) {
    super(message, { cause: options.cause });
    this.name = "AppError";
  }
}
