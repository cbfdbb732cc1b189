import type { MoveAsk } from "@mechanon/contract";

/** Where asking about a new time stands. */
export type AskState = "ready" | "waits" | "silent" | "yes" | "no";

export const ASK_WORDS: Record<AskState, string> = {
  ready: "Ready to send",
  waits: "Asked",
  silent: "No answer",
  yes: "Said yes: moved",
  no: "Said no: stays",
};

type Asked = Pick<MoveAsk, "answer" | "sentAt" | "answerBy" | "recipient">;

/** Where asking somebody stands. @param now - ISO instant. */
export function askState({ answer, sentAt, answerBy }: Asked, now: string): AskState {
  if (answer !== null) return answer;
  if (answerBy <= now) return "silent";
  return sentAt === null ? "ready" : "waits";
}

/** Who has to be called: silent at the owner's hour, or not to be texted. */
export function isToCall(ask: Asked, now: string): boolean {
  return ask.answer === null && (askState(ask, now) === "silent" || ask.recipient === null);
}
