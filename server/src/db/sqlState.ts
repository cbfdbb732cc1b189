import { BaseError } from "sequelize";

interface DatabaseFault {
  code?: string;
  constraint?: string;
  message?: string;
}

/** What PostgreSQL said was wrong; null for an error that is not its own. */
export function faultOf(error: unknown): DatabaseFault | null {
  if (!(error instanceof BaseError) || !("parent" in error)) return null;
  const { parent } = error;
  return typeof parent === "object" && parent !== null ? parent : null;
}

/**
 * Whether a row cannot be stored whatever is tried: the data does not fit its type, a constraint forbids it, or it is
 * too large.
 * @see PostgreSQL: Appendix A, classes 22, 23 and 54
 */
export function cannotBeStored(error: unknown): boolean {
  return /^(22|23|54)/.test(faultOf(error)?.code ?? "");
}

/** Whether two transactions stood in each other's way, so that one of them is worth trying again. */
export function stoodInTheWay(error: unknown): boolean {
  return ["40001", "40P01"].includes(faultOf(error)?.code ?? "");
}

/** Whether the connection or the server went away, so that it is not known what became of the statement. @see classes 08, 57P */
export function isLostConnection(error: unknown): boolean {
  const { code = "", message = "" } = faultOf(error) ?? {};
  return /^(08|57P)/.test(code) || ["ECONNREFUSED", "ECONNRESET", "EPIPE"].includes(code) || LOST.test(message);
}

/** What the driver says where no answer came, without a code. */
const LOST = /^Connection terminated|^Client has encountered a connection error|^Query read timeout/;
