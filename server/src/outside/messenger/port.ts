/** What goes out to a customer. */
export interface Outgoing {
  channel: "text" | "mail";
  to: string;
  /** Of a mail. */
  subject: string | null;
  text: string;
  /** Of a mail. */
  attachment: { name: string; type: "application/pdf"; base64: string } | null;
}

/** Texts and mails to customers. @see sendMessage, which sends what is queued. */
export interface Messenger {
  /** @param key - the same key is sent once; what becomes of it, and replies to it, are told under it. */
  send(key: string, message: Outgoing): Promise<void>;
}
