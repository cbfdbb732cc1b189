/** Texts to customers. @see sendMessage, which sends what is queued. */
export interface Messenger {
  /** @param key - the same key is sent once. */
  send(key: string, to: string, text: string): Promise<void>;
}
