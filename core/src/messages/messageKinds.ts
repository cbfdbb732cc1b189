/** What customers are told, in the order it happens. */
export const MESSAGE_KINDS = [
  "asked",
  "offered",
  "declined",
  "booked",
  "moved",
  "newTime",
  "calledOff",
  "dayBefore",
  "earlier",
  "onMyWay",
  "quoted",
  "nudge",
  "answered",
  "takenBack",
  "partsHere",
  "late",
  "done",
  "receipt",
  "sheet",
] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];

/** Those that only go when a person sends them, whatever the rule. */
export const SENT_BY_HAND = ["newTime", "quoted", "receipt", "sheet"] as const satisfies readonly MessageKind[];

/** Whether a message goes by itself, waits for somebody's yes, or is not written at all. */
export const MESSAGE_RULES = ["auto", "ask", "never"] as const;
