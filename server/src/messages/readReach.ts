import { readPhone, type MessageWay } from "@mechanon/core";
import { emailField } from "@mechanon/contract";
import { AppError } from "../errors/appError";

/** How somebody is reached, from what was typed. @throws {AppError} `message/no-reach` for what is no phone and no address. */
export function readReach(typed: string): MessageWay {
  const address = emailField.safeParse(typed);
  if (address.success) return { channel: "mail", recipient: address.data };
  const phone = readPhone(typed);
  if (phone !== null && phone.extension === null) return { channel: "text", recipient: phone.number };
  throw new AppError(
    "message/no-reach",
    "This is no phone that takes texts and no email. Nothing was sent; put it right, then send it again.",
  );
}
