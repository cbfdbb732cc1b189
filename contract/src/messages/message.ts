import { z } from "zod";
import { MESSAGE_KINDS } from "@mechanon/core";

/**
 * Where a message stands: it asks somebody first, waits to go out, went out, arrived, did not arrive, was not sent since its
 * customer said no, was dropped by us, or came in.
 */
export const MESSAGE_STATUSES = [
  "asks",
  "waiting",
  "sent",
  "delivered",
  "failed",
  "stopped",
  "dropped",
  "received",
] as const;
export type MessageStatus = (typeof MESSAGE_STATUSES)[number];

/** A message to or from a customer. */
export const message = z
  .object({
    id: z.string(),
    /** Null: of no kind the owner sets. */
    kind: z.enum(MESSAGE_KINDS).nullable(),
    /** A page: written on their private page. */
    channel: z.enum(["text", "mail", "page"]),
    isIncoming: z.boolean(),
    /** Whom it goes to, or is from. */
    recipient: z.string(),
    subject: z.string().nullable(),
    text: z.string(),
    status: z.enum(MESSAGE_STATUSES),
    at: z.string(),
    lastError: z.string().nullable(),
    /** Of one that came in: when somebody saw to it. */
    answeredAt: z.string().nullable(),
  })
  .meta({ id: "Message" });
export type Message = z.infer<typeof message>;
