const STOP = ["stop", "stopall", "unsubscribe", "cancel", "end", "quit", "alto", "parar", "basta"];
const START = ["start", "unstop", "empezar", "comenzar"];

/** What a customer's text means to us by itself: no more texts, texts again, or words for a person. */
export type ReplyMeaning = "stop" | "start" | "words";

/** @example replyMeaning(" Stop. ") //=> "stop" */
export function replyMeaning(text: string): ReplyMeaning {
  const word = text.toLowerCase().replace(/[^\p{Letter}]/gu, "");
  if (STOP.includes(word)) return "stop";
  return START.includes(word) ? "start" : "words";
}
