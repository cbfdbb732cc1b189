import { inspect } from "node:util";
import { readConfig } from "./config";
import { start } from "./start";

async function main(): Promise<void> {
  const running = await start(readConfig(process.env));
  process.stdout.write(`Mechanon ready: ${running.url}\n`);
  let stopping = false;
  for (const signal of ["SIGINT", "SIGTERM"] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      void running.stop().then(() => process.exit(0));
    });
  }
}

main().catch((error: unknown) => {
  const isTaken = error instanceof Error && "code" in error && error.code === "EADDRINUSE";
  process.stderr.write(
    isTaken
      ? `Port ${process.env.PORT ?? "4300"} is taken. Start with another: PORT=4400 ./start\n`
      : `${inspect(error)}\n`,
  );
  process.exit(1);
});
