import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { libraryJob, type LibraryJob } from "@mechanon/core";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { JobEditor } from "./JobEditor";
import { changedJob, newTypedVariant, newTypedVariantPart, readJob, typedJobOf } from "./typedJob";
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
      partKind: "fluid",
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
  show(
    <JobEditor
      id={isNew ? "01900000-0000-7000-8000-000000000009" : KEPT.id}
      {...(isNew ? { begin: "job" as const } : {})}
    />,
  );
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

it("a part is of a kind or of none; what was typed before there were kinds opens", () => {
  const [labor, part, ...others] = typedJobOf(FULL).lines;
  const of = (over: object): unknown => read({ lines: [labor, { ...part, ...over }, ...others] }).lines[1];
  expect(of({ partKind: "dealer" })).toMatchObject({ partKind: "dealer" });
  expect(of({ partKind: "" })).not.toHaveProperty("partKind");
  expect(of({ partKind: undefined })).not.toHaveProperty("partKind");
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

it("hours of the guide, places, counting and other qualities are typed", () => {
  const [labor, oil, ...others] = typedJobOf(FULL).lines;
  const changed = read({
    per: "corner",
    positions: ["leftFront", "left"],
    lines: [{ ...labor, operations: [] }, { ...oil, counts: "positions" }, ...others],
    variants: [
      {
        id: "w",
        title: "Best",
        parts: [
          { ...newTypedVariantPart("p"), description: "Oil, best", cost: "9.50" },
          { ...newTypedVariantPart("f"), description: "No part", price: "1" },
        ],
      },
    ],
  });
  expect(changed).toMatchObject({
    per: "corner",
    positions: ["leftFront"],
    fits: [{ lineId: "p", count: { by: "positions" }, spec: "oilGrade" }],
    variants: [{ id: "w", title: "Best", parts: [{ lineId: "p", description: "Oil, best", costCents: 950 }] }],
  });
  const unpriced = { ...newTypedVariantPart("p"), description: "Oil" };
  const variants = [{ ...newTypedVariant(), parts: [unpriced] }];
  const issues = readJob.safeParse({ ...typedJobOf(FULL), variants }).error?.issues ?? [];
  expect(issues.map(({ path }) => path.join("."))).toEqual(["variants.0.title", "variants.0.parts.0.cost"]);
});

it("a quality is added with the part that is another in it, and labor takes the guide's hours", async () => {
  const server = open();
  fireEvent.press(screen.getByRole("button", { name: "Add a quality" }));
  fireEvent.changeText(screen.getByLabelText("Quality"), "Winter");
  fireEvent.press(screen.getByRole("button", { name: "Another Wiper blade" }));
  fireEvent.changeText(screen.getByLabelText("Instead of Wiper blade"), "Wiper blade, winter");
  fireEvent.changeText(screen.getAllByLabelText("Cost each").at(-1) ?? screen.getByLabelText("Quality"), "12.90");
  fireEvent.changeText(screen.getByLabelText("Find labor of the guide"), "tie");
  fireEvent.press(screen.getByRole("checkbox", { name: "tieRodEnd" }));
  fireEvent.press(screen.getByRole("radio", { name: "Each wheel" }));
  fireEvent.press(screen.getByRole("checkbox", { name: "left front" }));
  fireEvent.press(screen.getByTestId("save-job"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      changes: [
        {
          to: {
            per: "wheel",
            positions: ["leftFront"],
            fits: expect.arrayContaining([expect.objectContaining({ operations: ["tieRodEnd"] })]) as unknown,
            variants: [{ title: "Winter", parts: [{ description: "Wiper blade, winter", costCents: 1290 }] }],
          },
        },
      ],
    }),
  );
});

it("a whole order is begun with the jobs it brings, and not without any", async () => {
  const server = fakeServer({ [SAVE]: { status: 204, body: null }, "GET /api/business": { body: BUSINESS } });
  show(<JobEditor id="01900000-0000-7000-8000-000000000008" begin="order" />);
  fireEvent.changeText(screen.getByLabelText("Title"), "Spring round");
  fireEvent.changeText(screen.getByLabelText("Area"), "Whole orders");
  fireEvent.press(screen.getByTestId("save-job"));
  expect(await screen.findByText(/brings a job at least/)).toBeTruthy();
  expect(sent(server)).toBeUndefined();
  fireEvent.changeText(screen.getByLabelText("Find a job to bring"), "wiper");
  fireEvent.press(screen.getByRole("checkbox", { name: "Wiper blades" }));
  fireEvent.press(screen.getByTestId("save-job"));
  await waitFor(() =>
    expect(sent(server)).toMatchObject({
      changes: [{ from: null, to: { brings: [{ libraryJobId: "wipers", positions: [], variantId: null }] } }],
    }),
  );
});

it("is for who may see cost, and says where a job is gone", () => {
  fakeServer({});
  show(<JobEditor id={KEPT.id} />, { rights: ["settings"] });
  expect(screen.getByText(/Jobs have costs in them/)).toBeTruthy();
  screen.unmount();
  show(<JobEditor id="gone" />);
  expect(screen.getByText(/in the library no more/)).toBeTruthy();
});
