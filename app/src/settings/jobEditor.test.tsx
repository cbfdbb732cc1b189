import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { libraryJob, type LibraryJob } from "@mechanon/core";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { JobEditor } from "./JobEditor";
import { changedJob, readJob, typedJobOf } from "./typedJob";
import { fittedWords } from "./fittedWords";

const SAVE = "PATCH /api/library/jobs";
const [KEPT] = BUSINESS.library;
if (!KEPT) throw new Error("the sample has no job");
const FULL: LibraryJob = libraryJob.parse({
  id: "oil",
  title: "Oil",
  area: "Service",
  curesPoints: ["oil"],
  answersConcerns: [],
  words: { customer: "c", mechanic: "m" },
  needs: { skill: "engine", place: ["dry"], rights: ["refrigerant"] },
  lines: [
    { id: "l", kind: "labor", description: "Do", hours: 0.5, rateCents: 10_000, wageCents: 3_000, paidHours: 0.4 },
    {
      id: "p",
      kind: "part",
      description: "Oil",
      quantity: 5,
      costCents: 400,
      markup: "standard",
      priceCents: null,
      partNumber: "N",
      brand: "B",
    },
    { id: "f", kind: "fee", description: "Waste", quantity: 1, priceCents: 350 },
    { id: "c", kind: "core", description: "Core", quantity: 1, priceCents: 900 },
  ],
  fits: [
    { lineId: "l", operations: ["oil"] },
    { lineId: "p", count: { by: "spec", key: "oilCapacityQuarts", unit: 1, whole: false }, spec: "oilGrade" },
  ],
  variants: [
    {
      id: "v",
      title: "Better",
      parts: [{ lineId: "p", description: "O", costCents: 1, priceCents: null, partNumber: null, brand: null }],
    },
  ],
});
const RULES = SETTINGS_SAMPLE.rules;
const read = (over: object): LibraryJob => changedJob(FULL, readJob.parse({ ...typedJobOf(FULL), ...over }), RULES);
const open = (reply: Parameters<typeof fakeServer>[0][string] = { status: 204, body: null }, isNew = false) => {
  const server = fakeServer({ [SAVE]: reply, "GET /api/business": { body: BUSINESS } });
  show(<JobEditor id={isNew ? "01900000-0000-7000-8000-000000000009" : KEPT.id} isNew={isNew} />);
  return server;
};
const sent = (server: ReturnType<typeof fakeServer>): unknown =>
  server.asked.find(({ method }) => method === "PATCH")?.body;

it("a job that is opened and saved is as it was; what is not typed here stays", () => {
  expect(read({})).toEqual(FULL);
});

it("a line that is taken off takes its fit and its other qualities along", () => {
  const lines = typedJobOf(FULL).lines.filter(({ id }) => id !== "p");
  expect(read({ lines })).toMatchObject({ fits: [{ lineId: "l" }], variants: [{ id: "v", parts: [] }] });
});

it("a rate of its own is kept as one, emptied it follows the house's again", () => {
  const [labor, ...others] = typedJobOf(FULL).lines;
  const own = read({ lines: [{ ...labor, price: "99" }, ...others] });
  expect(own.lines[0]).toMatchObject({ rateCents: 9_900, priceByHand: true, paidHours: 0.4 });
  const back = changedJob(own, readJob.parse({ ...typedJobOf(own), lines: typedJobOf(FULL).lines }), RULES);
  expect(back.lines[0]).toEqual({ ...FULL.lines[0], rateCents: RULES.laborRateCents });
});

it.each([
  ["no title", { title: " " }, "title"],
  ["hours that are none", { lines: [{ ...typedJobOf(FULL).lines[0], amount: "many" }] }, "lines.0.amount"],
  ["a part with neither price nor table", { lines: [{ ...typedJobOf(FULL).lines[1], markup: "" }] }, "lines.0.price"],
  ["a fee without a price", { lines: [{ ...typedJobOf(FULL).lines[2], price: "" }] }, "lines.0.price"],
])("says at its place: %s", (_name, over, path) => {
  const result = readJob.safeParse({ ...typedJobOf(FULL), ...over });
  expect(result.error?.issues.map((issue) => issue.path.join("."))).toEqual([path]);
});

it("says how a line fits itself to the car", () => {
  expect(fittedWords(FULL, "l", BUSINESS.guide)).toMatch(/^The guide’s hours/);
  expect(fittedWords(FULL, "p", BUSINESS.guide)).toMatch(/^Fits itself to the car: as many as the car holds/);
  expect(fittedWords(FULL, "f", BUSINESS.guide)).toBeNull();
});

it("sends the job as it was and as it is to be", async () => {
  const server = open();
  fireEvent.changeText(screen.getByLabelText("Title"), "Ours");
  fireEvent.press(screen.getByRole("button", { name: "Add a fee" }));
  fireEvent.changeText(screen.getByLabelText("Fee"), "Call-out");
  fireEvent.press(screen.getByTestId("save-job"));
  expect(await screen.findByText(/Something above does not fit yet/)).toBeTruthy();
  fireEvent.changeText(screen.getAllByLabelText("Price each").at(-1) ?? screen.getByLabelText("Fee"), "25");
  fireEvent.press(screen.getByTestId("save-job"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      changes: [{ from: { id: KEPT.id, title: KEPT.title }, to: { id: KEPT.id, title: "Ours" } }],
    }),
  );
  expect(await screen.findByText(/Saved\. Quotes keep/)).toBeTruthy();
});

it("begins a new one, and keeps what was typed where the server says no", async () => {
  const server = open(problemReply(409, "list/too-long", "The library holds 2000 jobs at most."), true);
  fireEvent.changeText(screen.getByLabelText("Title"), "Tow hook");
  fireEvent.changeText(screen.getByLabelText("Area"), "Body");
  fireEvent.press(screen.getByTestId("save-job"));
  await waitFor(() => expect(sent(server)).toMatchObject({ changes: [{ from: null, to: { title: "Tow hook" } }] }));
  expect(await screen.findByText(/holds 2000 jobs at most/)).toBeTruthy();
  expect(screen.getByLabelText("Title").props.value).toBe("Tow hook");
});

it("is for who may see cost, and says where a job is gone", () => {
  fakeServer({});
  show(<JobEditor id={KEPT.id} />, { rights: ["settings"] });
  expect(screen.getByText(/Jobs have costs in them/)).toBeTruthy();
  screen.unmount();
  show(<JobEditor id="gone" />);
  expect(screen.getByText(/in the library no more/)).toBeTruthy();
});
