/** Choices are typed on one line, as people write lists. @example listed(["a", "b"]) //=> "a, b" */
export function listed(choices: readonly string[]): string {
  return choices.join(", ");
}

/** What was typed on one line, each once. */
export function readListed(typed: string): string[] {
  return [
    ...new Set(
      typed
        .split(",")
        .map((each) => each.trim())
        .filter(Boolean),
    ),
  ];
}
