import type { Likeness } from "@mechanon/core";

const WORDS: Readonly<Record<Likeness, string>> = {
  phone: "same phone",
  email: "same email",
  nameAndStreet: "same name, same street",
  soundAndStreet: "name sounds alike, same street",
  nameAndTown: "same name, same town",
};

/** Why two may be one. @example likenessLine(["phone", "email"]) //=> "same phone, same email" */
export function likenessLine(likenesses: readonly Likeness[]): string {
  return likenesses.map((each) => WORDS[each]).join(", ");
}
