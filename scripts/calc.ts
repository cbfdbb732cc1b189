import { readFileSync } from "node:fs";
import { CalcError, answerText, calculations } from "@mechanon/core/calc";
import { readVinTable, type VinContext } from "@mechanon/core/vin";
import { VIN_TABLE_FILE } from "./vinTableFile";

let context: VinContext | null = null;
const vinContext = (): VinContext =>
  (context ??= { table: readVinTable(readFileSync(VIN_TABLE_FILE)), currentYear: new Date().getFullYear() });

/** Answers `npm run -s calc -- NAME [--lines]` from standard input; see docs/calc.md. */
function main(): void {
  const [name = "", ...flags] = process.argv.slice(2);
  const all = calculations(vinContext);
  const calculate = Object.hasOwn(all, name) ? all[name] : undefined;
  if (!calculate)
    return fail(new CalcError("unknown-calculation", `"${name}" is none of ${Object.keys(all).join(", ")}`, ""));
  const input = readFileSync(0, "utf8");
  if (flags.includes("--lines")) {
    const answers = input
      .split(/\r?\n/)
      .filter((line) => line.trim() !== "")
      .map((line) => {
        const answer = answerText(calculate, line);
        return JSON.stringify(answer.ok ? answer.value : { error: answer.error });
      });
    if (answers.length > 0) process.stdout.write(`${answers.join("\n")}\n`);
    return;
  }
  const answer = answerText(calculate, input);
  if (answer.ok) process.stdout.write(`${JSON.stringify(answer.value)}\n`);
  else fail(answer.error);
}

function fail({ code, message, path }: { code: string; message: string; path: string }): void {
  process.stderr.write(`${JSON.stringify({ error: { code, message, path } })}\n`);
  process.exitCode = 2;
}

main();
