import { rebuildLedger } from "./rebuildLedger";

/** npm run -s ledger [-- --write]: one JSON line for each list that differs, then the count. Exit 1 when any did. */
async function main(): Promise<void> {
  const databaseUrl = process.env.DATABASE_OWNER_URL;
  if (!databaseUrl) throw new Error("DATABASE_OWNER_URL is not set; npm run ledger sets it");
  const write = process.argv.includes("--write");
  const done = await rebuildLedger(databaseUrl, write, (difference) =>
    process.stdout.write(`${JSON.stringify(difference)}\n`),
  );
  process.stdout.write(`${JSON.stringify({ ...done, written: write })}\n`);
  process.exitCode = done.differences > 0 && !write ? 1 : 0;
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(2);
});
