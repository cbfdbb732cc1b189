import type { Wait } from "@mechanon/core";

/** How each thing a work order can wait for is named. */
export const WAIT_WORDS: Readonly<Record<Wait, { title: string; line: string; empty: string }>> = {
  answer: { title: "An answer", line: "Waits for an answer", empty: "Every quote is answered." },
  parts: { title: "Parts", line: "Waits for parts", empty: "No part is missing." },
  time: { title: "A time", line: "Waits for a time", empty: "Everything has its visit." },
  work: { title: "Work", line: "Waits for work", empty: "Nothing is left to do." },
  money: { title: "Money", line: "Waits for money", empty: "Nobody owes anything." },
};
