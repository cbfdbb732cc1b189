import type { MessageKind } from "@mechanon/core";
import type { Message } from "@mechanon/contract";

/** What each kind of message is called here. */
export const KIND_WORDS: Readonly<Record<MessageKind, string>> = {
  asked: "We have your request",
  offered: "Other times",
  declined: "We cannot take it on",
  booked: "Booked",
  moved: "Moved",
  newTime: "A new time because of rain",
  calledOff: "Called off",
  dayBefore: "The day before",
  earlier: "An earlier time",
  onMyWay: "On my way",
  quoted: "What we found",
  nudge: "Reminder of the quote",
  answered: "Their answer, said back",
  takenBack: "What they took back",
  partsHere: "The parts are here",
  late: "We run late",
  done: "Done",
  receipt: "Receipt",
  sheet: "Mechanic’s sheet",
};

const STATES: Readonly<Record<Exclude<Message["status"], "received">, string>> = {
  asks: "asks you first",
  waiting: "waiting to go out",
  sent: "sent",
  delivered: "arrived",
  failed: "did not arrive",
  stopped: "not sent: they want none",
  dropped: "not sent",
};

/** Where a message stands. @example stateWords(message) //=> "Text, arrived" */
export function stateWords({ status, channel, isIncoming, lastError }: Message): string {
  const way = channel === "mail" ? "Mail" : channel === "page" ? "On their page" : "Text";
  if (isIncoming || status === "received") return `${way} from them`;
  return `${way}, ${status === "waiting" && lastError ? lastError : STATES[status]}`;
}
