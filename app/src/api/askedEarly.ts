/** Answers that were asked for before the app's own scripts were here, by their address. */
declare global {
  var mechanonAsked: Record<string, Promise<Response | null>> | undefined;
}

/** Older, an answer tells of before. */
const GOOD_FOR_MS = 20_000;

/** The answer that was asked for early; each is taken once. @returns undefined where none was. */
export async function takeEarly(address: string): Promise<Response | undefined> {
  const asked = globalThis.mechanonAsked;
  const answer = asked?.[address];
  if (!asked || !answer) return undefined;
  delete asked[address];
  if (performance.now() > GOOD_FOR_MS) return undefined;
  return (await answer) ?? undefined;
}

/** Lets go of what was asked early: something changes, who is signed in perhaps. */
export function forgetEarly(): void {
  globalThis.mechanonAsked = undefined;
}
