import { dayOf } from "@mechanon/core";
import { routes, type ChangeEvent } from "@mechanon/contract";

/** What is known of a change: all of it from the stream, its id alone from elsewhere. */
export type KnownChange = Pick<ChangeEvent, "id" | "revision"> & Partial<ChangeEvent>;

/** Keys of what shows many: what a change may put into it or take out of it. */
const LISTS: ReadonlySet<unknown> = new Set([
  "day",
  "days",
  "moveAsks",
  "openWork",
  "openWorkPage",
  "offeredTimes",
  "openMessages",
  "callList",
  "request",
  "requests",
  "search",
  "customer",
  "car",
]);

/**
 * Whether an answer of the server that this device has may be another after a change.
 *
 * @param key - of the question, its name first.
 * @param answer - as it is known; undefined: it is being asked.
 * @param zone - of the business.
 */
export function showsChange(change: KnownChange, key: readonly unknown[], answer: unknown, zone: string): boolean {
  const [name, of] = key;
  if (!LISTS.has(name)) return false;
  // Whatever is booked or moved takes and frees times, and may be what somebody was asked about.
  if (name === "offeredTimes" || name === "moveAsks") return change.kind === undefined || change.kind === "visit";
  // Requests and messages are lists of their own; a booking may take the time somebody asked for.
  if (name === "openMessages") return change.kind === "message" || change.kind === undefined;
  if (name === "requests" || name === "request")
    return change.kind === undefined || change.kind === "request" || change.kind === "visit";
  if (name === "callList") return change.kind === undefined || change.kind === "message" || change.kind === "workOrder";
  if (change.kind === "request" || change.kind === "message") return false;
  if (change.kind === undefined || answer === undefined) return true;
  if (name === "openWorkPage")
    return (
      change.isListed !== false &&
      // Keyed by where it begins: it is another when something on it changed, or something new came to the end.
      (isLastPage(answer) || mentions(answer, [change.id, ...(change.workOrderIds ?? [])]))
    );
  if (change.kind === "visit") {
    const days = change.startsAt?.map((at) => dayOf(at, zone));
    // A booking changes what its work orders wait for.
    if (name === "openWork" || days === undefined) return true;
    return (
      (name === "day" && days.some((day) => day === of)) ||
      (name === "days" && days.some((day) => String(of) <= day && day <= String(key[2]))) ||
      mentions(answer, [change.id, ...(change.workOrderIds ?? [])])
    );
  }
  // Something beside its state, or of an older server.
  if (change.isListed === undefined) return true;
  if (name === "car") return isOf(change.vehicleIds, of);
  if (!change.isListed) return false;
  if (name === "openWork") return true;
  return (name === "customer" && isOf(change.customerIds, of)) || mentions(answer, [change.id]);
}

function isOf(ids: readonly string[] | undefined, id: unknown): boolean {
  return typeof id === "string" && (ids?.includes(id) ?? true);
}

/** Whether a page of open work is the last of its kind. */
function isLastPage(answer: unknown): boolean {
  const read = routes.openWork.answer.safeParse(answer);
  return !read.success || read.data.groups.every(({ next }) => next === null);
}

/** Whether any of these ids stands somewhere in an answer. */
function mentions(answer: unknown, ids: readonly string[]): boolean {
  const text = JSON.stringify(answer);
  return ids.some((id) => text.includes(id));
}
