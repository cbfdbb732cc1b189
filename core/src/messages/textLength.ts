import { SegmentedMessage } from "sms-segments-calculator";

/** How a text goes out. */
export interface TextLength {
  /** Messages it is sent as, each paid for. */
  messages: number;
  /** Whether one of its characters is not in the alphabet of plain texts, so that fewer fit into one. */
  isWide: boolean;
}

/**
 * How many messages a text is sent as.
 *
 * @see GSM 03.38 and 03.40: 160 characters in one message, 153 in each of several; 70 and 67 with other characters
 * @example
 * textLength("On my way") //=> { messages: 1, isWide: false }
 */
export function textLength(text: string): TextLength {
  if (text === "") return { messages: 0, isWide: false };
  const measured = new SegmentedMessage(text);
  return { messages: measured.segmentsCount, isWide: measured.encodingName === "UCS-2" };
}
