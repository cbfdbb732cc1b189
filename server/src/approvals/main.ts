import { proveAgreed } from "./proveAgreed";

/** npm run -s agreed: one JSON line for each business in which something does not fit, then the count. Exit 1 when any did. */
async function main(): Promise<void> {
  const databaseUrl = process.env.DATABASE_OWNER_URL;
  if (!databaseUrl) throw new Error("DATABASE_OWNER_URL is not set; npm run agreed sets it");
  const proven = await proveAgreed(databaseUrl, (fault) => process.stdout.write(`${JSON.stringify(fault)}\n`));
  process.stdout.write(`${JSON.stringify(proven)}\n`);
  process.exitCode = proven.faults > 0 ? 1 : 0;
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(2);
});
