import { showTime, type MoveBreak } from "@mechanon/core";

const WORDS: Record<
  Exclude<MoveBreak["what"], "overlap" | "busy" | "skills" | "carries" | "late" | "promise" | "place">,
  string
> = {
  locked: "It is locked to its time.",
  past: "That time has passed.",
  off: "They are off that day.",
  hours: "It is outside their hours.",
  pause: "It is in their break.",
  height: "Their van is too high for the place.",
  parts: "Its parts are not there by then.",
};

/** What a move breaks, as it is said. @param nameOf - of another visit. */
export function moveBreakWords(broken: MoveBreak, zone: string, nameOf: (visitId: string) => string): string {
  switch (broken.what) {
    case "overlap":
      return `It runs into ${nameOf(broken.visitId)}.`;
    case "busy":
      return `Something else is in their calendar at ${showTime(broken.startsAt, zone)}.`;
    case "skills":
      return `They do not do ${broken.missing.join(", ")}.`;
    case "carries":
      return `Their van does not carry ${broken.missing.join(", ")}.`;
    case "late":
      return `${nameOf(broken.visitId)} starts ${broken.minutes} min late.`;
    case "promise":
      return `It is ready ${broken.minutes} min after what was promised.`;
    case "place":
      return broken.condition === "dry" ? "It will be wet then." : "It is dark then.";
    default:
      return WORDS[broken.what];
  }
}
