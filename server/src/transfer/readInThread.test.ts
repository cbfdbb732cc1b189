import { readInThread } from "./readInThread";

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

it("reads batch by batch while others are answered, each taken before the next is given", async () => {
  const text = `Name,Phone\n${Array.from({ length: 1200 }, (_, index) => `Person ${index},360 555 0100`).join("\n")}`;
  const [rows, batches]: [string[][], number[]] = [[], []];
  let [headings, inHand, turns]: [readonly string[], number, number] = [[], 0, 0];
  const ticking = setInterval(() => (turns += 1), 1);
  await readInThread(
    { bytes: bytes(text), encoding: "utf-8", format: "csv" },
    (table) => (headings = table.headings),
    async (batch) => {
      inHand += 1;
      expect(inHand).toBe(1);
      await new Promise((resolve) => setTimeout(resolve, 20));
      rows.push(...batch);
      batches.push(batch.length);
      inHand -= 1;
    },
  );
  clearInterval(ticking);
  expect(headings).toEqual(["Name", "Phone"]);
  expect(batches).toEqual([500, 500, 200]);
  expect(rows[1199]).toEqual(["Person 1199", "360 555 0100"]);
  expect(turns).toBeGreaterThan(10);
});

it.each([
  ["nothing", "", "csv", "the file has no rows"],
  ["no card", "hello", "vcard", "there is no card in it"],
] as const)("says what is wrong with %s", async (_name, text, format, words) => {
  const read = readInThread(
    { bytes: bytes(text), encoding: "utf-8", format },
    () => undefined,
    async () => undefined,
  );
  await expect(read).rejects.toThrow(words);
});

it("hands on what failed while a batch was kept, and ends the thread", async () => {
  const read = readInThread(
    { bytes: bytes("Name\nA"), encoding: "utf-8", format: "csv" },
    () => undefined,
    () => Promise.reject(new Error("the database is gone")),
  );
  await expect(read).rejects.toThrow("the database is gone");
});

it("gives a file up that takes too long", async () => {
  const read = readInThread(
    { bytes: bytes("Name\nA"), encoding: "utf-8", format: "csv" },
    () => undefined,
    async () => undefined,
    1,
  );
  await expect(read).rejects.toThrow("took too long");
});
