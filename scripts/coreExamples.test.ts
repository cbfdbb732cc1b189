import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { runInNewContext } from "node:vm";

const CORE = join(__dirname, "..", "core", "src");
/** What a docstring shows: `call(...) //=> what comes of it`, on one line or several. */
const EXAMPLE = /@example\s([\s\S]*?)(?=\n\s*\*\s*@|\*\/|$)/g;

interface Example {
  /** Where it stands, for who has to mend it. */
  at: string;
  file: string;
  call: string;
  gives: string;
}

function examplesOf(file: string): Example[] {
  const source = readFileSync(file, "utf8");
  const docstrings = [...source.matchAll(/\/\*\*[\s\S]*?\*\//g)];
  return docstrings.flatMap((docstring) =>
    [...docstring[0].matchAll(EXAMPLE)].flatMap(([, text = ""]) => {
      const shown = text.replace(/^\s*\*\s?/gm, "").trim();
      const line = source.slice(0, docstring.index).split("\n").length;
      const at = `${relative(CORE, file)}:${line}`;
      const pairs = [...shown.matchAll(/([\s\S]*?)\/\/=>(.*)/g)];
      if (pairs.length === 0) return [{ at, file, call: shown, gives: "nothing is said to come of it" }];
      return pairs.map(([, call = "", gives = ""]) => ({ at, file, call: call.trim(), gives: gives.trim() }));
    }),
  );
}

/** Worked out where the names of the module are known, and those core gives to others. */
function workOut(expression: string, file: string): unknown {
  const names = {
    ...jest.requireActual<Record<string, unknown>>(join(CORE, "index")),
    ...jest.requireActual<Record<string, unknown>>(file),
  };
  return runInNewContext(`(${expression})`, names);
}

const files = readdirSync(CORE, { recursive: true, encoding: "utf8" })
  .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts") && !name.endsWith(".d.ts"))
  .map((name) => join(CORE, name));
const examples = files.flatMap(examplesOf);

it("has examples to run", () => expect(examples.length).toBeGreaterThan(40));

it.each(examples.map((example) => [example.at, example.call, example] as const))(
  "%s: %s",
  (_at, _call, { file, call, gives }) => expect(workOut(call, file)).toEqual(workOut(gives, file)),
);
