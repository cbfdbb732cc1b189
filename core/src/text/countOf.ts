/** A number with its noun. @example countOf(2, "job") //=> "2 jobs" */
export function countOf(count: number, noun: string, plural = `${noun}s`): string {
  return `${count} ${count === 1 ? noun : plural}`;
}
