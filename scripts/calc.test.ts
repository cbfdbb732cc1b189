import { execFileSync, spawnSync } from "node:child_process";
import { join } from "node:path";

const ROOT = join(__dirname, "..");
const calc = (args: string[], input: string) =>
  spawnSync("npm", ["run", "-s", "calc", "--", ...args], { cwd: ROOT, input, encoding: "utf8" });

it("answers on standard output with exit 0", () => {
  const { status, stdout } = calc(["tire"], '{"size":"215/55R17 94V"}');
  expect([status, JSON.parse(stdout)]).toMatchObject([0, { diameterMm: 668.3, loadKg: 670 }]);
});

it.each([
  ["bad input", ["tire"], '{"size":1}', { code: "wrong-type", path: "size" }],
  ["no JSON", ["tire"], "{", { code: "not-json", path: "" }],
  ["an unknown name", ["horoscope"], "{}", { code: "unknown-calculation", path: "" }],
  ["no name", [], "{}", { code: "unknown-calculation", path: "" }],
  ["a name every object has", ["toString"], "{}", { code: "unknown-calculation" }],
])("%s: nothing on standard output, the error on standard error, exit 2", (_name, args, input, error) => {
  const { status, stdout, stderr } = calc(args, input);
  expect([status, stdout]).toEqual([2, ""]);
  const lines = stderr.split("\n").filter((line) => line.startsWith("{"));
  expect(lines).toHaveLength(1);
  expect(JSON.parse(lines[0] ?? "")).toMatchObject({ error });
});

it("answers line by line, a bad one on its own line, blank ones skipped", () => {
  const { status, stdout } = calc(
    ["plate", "--lines"],
    '{"plate":"a1","region":"wa"}\n\n{"plate":"-","region":"wa"}\r\nx\n',
  );
  expect(status).toBe(0);
  expect(
    stdout
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line) as unknown),
  ).toMatchObject([{ plate: "A1" }, { error: { code: "unreadable", path: "plate" } }, { error: { code: "not-json" } }]);
});

it("decodes VINs of all kinds from the real data", () => {
  const vins = [
    "1HGCV1F34KA048217",
    "1FTEW1EP6KFA61904",
    "JTDKN3DU2A0152873",
    "5YJ3E1EAXJF031846",
    "4S4BRBCC8A3351072",
    "1C4RJFAG3FC642190",
    "WBA8E9G59GNT48206",
    "1HD1KB419BB612345",
  ];
  const output = execFileSync("npm", ["run", "-s", "calc", "--", "vin", "--lines"], {
    cwd: ROOT,
    input: vins.map((vin) => JSON.stringify({ vin })).join("\n"),
    encoding: "utf8",
  });
  const reports = output
    .trim()
    .split("\n")
    .map(
      (line) =>
        JSON.parse(line) as {
          make: string | null;
          model: string | null;
          modelYear: number;
          engine: { displacementL: number | null; fuel: string | null };
        },
    );
  expect(reports.map(({ make, model, modelYear }) => [make, model, modelYear]).slice(0, 7)).toEqual([
    ["Honda", "Accord", 2019],
    ["Ford", "F-150", 2019],
    ["Toyota", "Prius", 2010],
    ["Tesla", "Model 3", 2018],
    ["Subaru", "Outback", 2010],
    ["Jeep", "Grand Cherokee", 2015],
    ["BMW", "328i", 2016],
  ]);
  expect(reports.map(({ engine }) => engine.displacementL).slice(0, 4)).toEqual([1.5, 2.7, 1.8, null]);
});
