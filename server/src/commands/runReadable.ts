import type { CommandOutcome } from "@mechanon/contract";
import type { SentCommand } from "./aggregate";

type Unreadable = { type: "unreadable" };

/**
 * Runs what can be read of commands sent together; what cannot is refused by itself, in its place.
 *
 * @param run - runs the others, in their order.
 */
export async function runReadable<Command extends { type: string }, Ran extends { outcomes: CommandOutcome[] }>(
  sent: readonly SentCommand<Command | Unreadable>[],
  run: (readable: readonly SentCommand<Command>[]) => Promise<Ran>,
): Promise<Ran> {
  const isReadable = (each: SentCommand<Command | Unreadable>): each is SentCommand<Command> =>
    each.command.type !== "unreadable";
  const ran = await run(sent.filter(isReadable));
  const left = [...ran.outcomes];
  const outcomes = sent.map((each): CommandOutcome => {
    const outcome = isReadable(each) ? left.shift() : undefined;
    return outcome ?? { id: each.id, outcome: "refused", refusal: "command/unreadable", conflicts: [] };
  });
  return { ...ran, outcomes };
}
