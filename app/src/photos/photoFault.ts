import type { WordKey } from "@mechanon/core";

/** Why a file is not taken. */
export interface PhotoFault {
  fault:
    "tooLarge" | "tooManyPixels" | "noPicture" | "damaged" | "nothingToSee" | "heic" | "clipTooLarge" | "clipTooLong";
}

const WORDS: Readonly<Record<PhotoFault["fault"], string>> = {
  tooLarge: "is larger than 40 MB. It was not kept; send a smaller one.",
  tooManyPixels: "says it has more pixels than any phone takes. It was not kept; send a smaller one.",
  noPicture: "is no picture or clip this device can read. It was not kept; take the photo again or pick another file.",
  damaged: "is damaged or cut off. It was not kept; take the photo again or pick another file.",
  nothingToSee: "is too small to see anything on. It was not kept; pick another file.",
  heic: "is a HEIC picture, which this browser cannot read. It was not kept; set the camera to JPEG (most compatible), or share it as JPEG.",
  clipTooLarge: "is larger than 15 MB. It was not kept; take a shorter clip.",
  clipTooLong: "is longer than 20 seconds. It was not kept; take a shorter clip.",
};

/** What a mechanic reads of a file that was not taken. */
export function photoFaultWords(name: string, { fault }: PhotoFault): string {
  return `${name || "This file"} ${WORDS[fault]}`;
}

/** The same for customers, in their words. */
export function photoFaultKey({ fault }: PhotoFault): WordKey {
  return `photo.${fault}`;
}

export function isPhotoFault(given: object): given is PhotoFault {
  return "fault" in given;
}
