import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import { USUAL_PAPERS, digestOf, shownQuoteOf, type Job, type Signature } from "@mechanon/core";
import type { PageOrder } from "@mechanon/contract";
import { fakeServer, problemReply, show, type Reply } from "../../testing/harness";
import { customerPageSample, foundSample, pageOrderSample, TIME } from "../../testing/requestSamples";
import { jobSample, LIBRARY_SAMPLE, stateSample } from "../../testing/samples";
import { LanguageProvider } from "../language";
import { MinePage } from "./MinePage";

let sign: (strokes: Signature) => void = () => undefined;
jest.mock("../../answer/SignatureField", () => ({
  SignatureField: ({ onChange }: { onChange: (strokes: Signature) => void }) => {
    sign = onChange;
    return null;
  },
}));

const PAGE = "/api/public/pages/abc";
const STROKES = [[1, 2, 300, 400]];
const WITH = {
  points: [],
  before: [],
  specs: {},
  language: "en" as const,
  checksums: new Map(),
  papers: { ...USUAL_PAPERS, terms: { en: "Net on the day.", es: "" } },
};
const lines = LIBRARY_SAMPLE[0]?.lines ?? [];
const job = (over: Partial<Job>): Job =>
  jobSample({ answer: null, lines: lines.map((line) => ({ ...line, id: `${over.id}-${line.id}` })), ...over });

/** An order with this on the quote, as its page shows it. */
function asked(jobs: Job[], over: Partial<PageOrder> = {}): PageOrder {
  const shown = shownQuoteOf(stateSample({ jobs }), WITH);
  return pageOrderSample({ asked: { shown, digest: digestOf(shown) }, visits: [], ...over });
}
function open(order: PageOrder, replies: Record<string, Reply> = {}) {
  const server = fakeServer({ [`GET ${PAGE}`]: { body: customerPageSample({ orders: [order] }) }, ...replies });
  show(
    <LanguageProvider>
      <MinePage token="abc" />
    </LanguageProvider>,
  );
  return server;
}
const bodies = (server: ReturnType<typeof fakeServer>): object[] =>
  server.asked.flatMap(({ method, body }) => (method === "POST" ? [body as object] : []));
const choose = (title: string, answer: string): void =>
  fireEvent.press(
    screen.getAllByRole("radio", { name: answer })[title === "Brakes" ? 0 : 1] ??
      screen.getByRole("radio", { name: answer }),
  );
const agree = (): void => fireEvent.press(screen.getByTestId("agree"));
const ANSWERS = `POST ${PAGE}/orders/order-1/answers`;

it("what is signed is what stands there: the digest, each answer with why and when to ask again", async () => {
  const order = asked([job({ id: "a", title: "Brakes", pointIds: ["pads"] }), job({ id: "b", title: "Wipers" })], {
    found: [foundSample({ note: "thin" })],
  });
  const answered = { body: customerPageSample({ orders: [pageOrderSample({ visits: [] })] }) };
  const server = open(order, { [ANSWERS]: answered });
  expect(await screen.findByText("Front pads")).toBeTruthy();
  expect(screen.getByText("Net on the day.")).toBeTruthy();
  agree();
  expect(screen.getByText(/Please answer brakes, wipers with yes/)).toBeTruthy();
  choose("Brakes", "No");
  fireEvent.changeText(screen.getByLabelText("Why not, if you like"), " too dear ");
  choose("Wipers", "Later");
  fireEvent.press(screen.getByRole("radio", { name: "in 3 months" }));
  agree();
  expect(screen.getByText("Please sign in the field above.")).toBeTruthy();
  act(() => sign(STROKES));
  agree();
  expect(await screen.findByText("Your answer is kept, and we know of it.")).toBeTruthy();
  expect(bodies(server)[0]).toMatchObject({
    ...{ digest: order.asked?.digest, name: "Perpetua", signature: STROKES },
    answers: [
      { jobId: "a", answer: "no", otherId: null, reason: "too dear", askOn: null },
      { jobId: "b", answer: "later", reason: "", askOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) as unknown },
    ],
  });
});

it("the sum follows each tap, another way of a job too", async () => {
  const cheap = { id: "01900000-0000-7000-8000-000000000009", title: "Plain", lines: lines.slice(0, 1) };
  open(asked([job({ id: "a", title: "Brakes", way: { id: null, title: "Good" }, others: [cheap] })]));
  expect(await screen.findByRole("button", { name: "Sign my answer" })).toBeTruthy();
  choose("Brakes", "Yes");
  const [, whole] = /Agree to (\$[\d.]+)/.exec(screen.getByTestId("agree").props["accessibilityLabel"] as string) ?? [];
  fireEvent.press(screen.getByRole("radio", { name: /^Plain, / }));
  expect(screen.getByTestId("agree").props["accessibilityLabel"]).not.toBe(`Agree to ${whole}`);
});

it("an answer whose reply was lost is sent again as the same one; a quote that changed is told", async () => {
  const server = open(asked([job({ id: "a", title: "Brakes" })]), {
    [ANSWERS]: problemReply(409, "page/quote-changed", ""),
  });
  await screen.findByTestId("agree");
  choose("Brakes", "Yes");
  act(() => sign(STROKES));
  agree();
  expect(await screen.findByText(/The quote was changed while you had it open. Nothing was signed/)).toBeTruthy();
  agree();
  await waitFor(() => expect(bodies(server)).toHaveLength(2));
  const [one, two] = bodies(server) as { commandId: string }[];
  expect(one?.commandId).toBe(two?.commandId);
});

it("says what was agreed before and what it is now, and whose yes is there already", async () => {
  const seen = { cents: 1000, payerId: null, parts: ["Old part"] };
  const answer = { value: "yes" as const, approvalId: "x", totalCents: 1000, seen };
  open(asked([job({ id: "a", title: "Brakes", answer })], { agreedBefore: "Idris" }));
  expect(await screen.findByText("Idris agreed to this. It needs your yes, too.")).toBeTruthy();
  expect(screen.getByText(/^You agreed to \$10.00; now it is \$/)).toBeTruthy();
  expect(screen.getByText("Agreed: Old part")).toBeTruthy();
});

it("takes a yes back knowing what it costs, and picks a time for what was agreed", async () => {
  const order = pageOrderSample({
    ...{ visits: [], canPickTime: true },
    takingBack: [{ jobId: "a", title: "Brakes", staysCents: 6_000 }],
  });
  const server = open(order, {
    [`GET ${PAGE}/orders/order-1/times`]: { body: { times: [TIME] } },
    [`POST ${PAGE}/orders/order-1/time`]: problemReply(409, "ask/time-gone", ""),
    [`POST ${PAGE}/orders/order-1/taking-back`]: { body: customerPageSample({ orders: [pageOrderSample()] }) },
  });
  fireEvent.press(await screen.findByRole("radio", { name: /Dec 5/ }));
  expect(await screen.findByText(/This time was taken meanwhile/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Take back my yes to Brakes" }));
  expect(screen.getByText(/\$60.00 before taxes stays to pay/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("take-back-a"));
  await waitFor(() => expect(screen.queryByTestId("take-back-a")).toBeNull());
  expect(bodies(server).at(-1)).toMatchObject({ jobId: "a", staysCents: 6_000, name: "Perpetua" });
});
