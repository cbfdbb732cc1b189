const SYSTEMS: readonly [RegExp, string][] = [
  [/iPhone/, "iPhone"],
  [/iPad/, "iPad"],
  [/Android/, "Android"],
  [/Windows/, "Windows"],
  [/Mac OS X|Macintosh/, "Mac"],
  [/CrOS/, "Chromebook"],
  [/Linux/, "Linux"],
];
const BROWSERS: readonly [RegExp, string][] = [
  [/Edg\//, "Edge"],
  [/OPR\//, "Opera"],
  [/Firefox\/|FxiOS\//, "Firefox"],
  [/Chrome\/|CriOS\//, "Chrome"],
  [/Safari\//, "Safari"],
];

/** What a person knows a device by, of what its browser says of itself; "Unknown device" where it says nothing of it. */
export function deviceName(userAgent: string): string {
  const named = (list: readonly [RegExp, string][]): string | undefined =>
    list.find(([pattern]) => pattern.test(userAgent))?.[1];
  const [browser, system] = [named(BROWSERS), named(SYSTEMS)];
  if (browser && system) return `${browser} on ${system}`;
  return browser ?? system ?? "Unknown device";
}
