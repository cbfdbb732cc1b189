import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { Asked, Reply } from "../../testing/harness";
import { fakeServer, problemReply, show } from "../../testing/harness";
import { ASK_PAGE, TIME } from "../../testing/requestSamples";
import { LanguageProvider } from "../language";
import { AskPage } from "./AskPage";
import { askFaults, askedOf, canLookForTimes, emptyAsking, type TypedAsking } from "./askForm";

const ASK = "/api/public/ask/larkhaven";
type Replies = Record<string, Reply | ((asked: Asked) => Reply)>;
const later = { ...TIME, startsAt: "2026-12-07T18:30:00.000Z", endsAt: "2026-12-07T19:30:00.000Z" };

function open(replies: Replies = {}) {
  const server = fakeServer({
    [`GET ${ASK}`]: { body: ASK_PAGE },
    [`POST ${ASK}/times`]: { body: { times: [TIME, later] } },
    [`POST ${ASK}/held`]: { body: { heldUntil: "2026-12-04T08:10:00.000Z" } },
    [`POST ${ASK}/town`]: { body: { towns: [{ town: "Larkhaven", region: "WA" }] } },
    [`POST ${ASK}/car`]: {
      body: { cars: [{ plate: "LRK1204", region: "WA", vin: "", year: 2019, make: "Honda", model: "Accord" }] },
    },
    ...replies,
  });
  show(
    <LanguageProvider>
      <AskPage slug="larkhaven" />
    </LanguageProvider>,
  );
  return server;
}
const type = (label: string, typed: string): void => fireEvent.changeText(screen.getByLabelText(label), typed);
const sent = (server: { asked: Asked[] }) => server.asked.filter(({ path }) => path.includes("/requests/"));

/** Fills all that is needed, and picks the first time. */
async function fill(): Promise<void> {
  fireEvent.press(await screen.findByRole("checkbox", { name: "Oil and filter" }));
  type("Plate", "lrk 1204");
  fireEvent.press(screen.getByTestId("find-car"));
  fireEvent.press(await screen.findByRole("button", { name: /2019 Honda Accord/ }));
  type("Street and number", "3 Ebb Court");
  type("ZIP code", "98099");
  // While the place is typed times are asked for anew, and none can be taken.
  fireEvent.press(await screen.findByRole("radio", { name: "Sat Dec 5, 10:30 am", disabled: false }));
  type("Name", "Perpetua Sand");
  type("Phone", "360 555 0177");
  fireEvent.press(screen.getByRole("checkbox", { name: /^By text/ }));
  fireEvent.press(screen.getByRole("checkbox", { name: /^I have read/ }));
}

it("sends what was said, with the town of the postcode, the confirmed car and the terms as they were accepted", async () => {
  const server = open();
  const page = { body: { page: "https://garage.example/c/abc" } };
  await fill();
  await waitFor(() => expect(screen.getByDisplayValue("Larkhaven")).toBeTruthy());
  const answering = fakeServerFor(server, page);
  fireEvent.press(screen.getByTestId("send-request"));
  expect(await screen.findByText("We have your request")).toBeTruthy();
  const [request] = sent(answering);
  expect(request?.body).toMatchObject({
    ...{ language: "en", name: "Perpetua Sand", phone: "360 555 0177", wishIds: ["oil"], time: TIME, isThere: true },
    ...{ mayText: true, mayMail: false, terms: ASK_PAGE.terms.en },
    place: { street: "3 Ebb Court", town: "Larkhaven", region: "WA", postcode: "98099" },
    car: { plate: "LRK1204", make: "Honda" },
  });
});

/** The same server, which takes requests under any id from now on. */
function fakeServerFor(before: { asked: Asked[] }, reply: Reply | (() => Reply)): { asked: Asked[] } {
  const fetchBefore = globalThis.fetch;
  globalThis.fetch = ((address: string, init: RequestInit = {}) => {
    if (!address.includes("/requests/")) return fetchBefore(address, init);
    before.asked.push({
      ...{ method: "POST", path: address, key: null },
      body: JSON.parse(init.body as string) as unknown,
    });
    const answer = typeof reply === "function" ? reply() : reply;
    if (answer === "down") return Promise.reject(new TypeError("no network"));
    const status = answer.status ?? 200;
    return Promise.resolve(new Response(JSON.stringify(answer.body), { status }));
  }) as typeof fetch;
  return before;
}

it("says all that is missing at its place, and sends nothing", async () => {
  const server = open();
  await screen.findByText("Ask for a visit");
  fireEvent.press(screen.getByTestId("send-request"));
  expect(await screen.findByText("✕ Pick something, or say it in your own words")).toBeTruthy();
  for (const words of [
    "Say where the car is",
    "Pick a time",
    "Say who you are",
    "A phone or an email, so that we can answer",
    "Accept the terms, or call us",
  ])
    expect(screen.getByText(`✕ ${words}`)).toBeTruthy();
  expect(screen.getByText(/^✕ \d things are missing$/)).toBeTruthy();
  expect(sent(server)).toEqual([]);
});

it("keeps everything where the time is gone by now, shows the newest, and sends under the same id", async () => {
  const server = open();
  await fill();
  let tries = 0;
  fakeServerFor(server, () =>
    tries++ === 0 ? problemReply(409, "ask/time-gone", "Gone.") : { body: { page: "/c/x" } },
  );
  fireEvent.press(screen.getByTestId("send-request"));
  expect(await screen.findByText(/^This time was taken meanwhile/)).toBeTruthy();
  expect(screen.getByDisplayValue("Perpetua Sand")).toBeTruthy();
  fireEvent.press(await screen.findByRole("radio", { name: "Mon Dec 7, 10:30 am", disabled: false }));
  fireEvent.press(screen.getByTestId("send-request"));
  expect(await screen.findByText("We have your request")).toBeTruthy();
  expect(new Set(sent(server).map(({ path }) => path)).size).toBe(1);
});

it("has what was typed again after the page was loaded anew, and lets it go when asked", async () => {
  open();
  fireEvent.press(await screen.findByRole("checkbox", { name: "Oil and filter" }));
  type("Name", "Perpetua Sand");
  screen.unmount();
  open();
  expect(await screen.findByDisplayValue("Perpetua Sand")).toBeTruthy();
  expect(screen.getByRole("checkbox", { name: "Oil and filter", checked: true })).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Start over" }));
  await waitFor(() => expect(screen.queryByDisplayValue("Perpetua Sand")).toBeNull());
});

it("says when nobody can ask, and that the page leads nowhere", async () => {
  open({ [`GET ${ASK}`]: { body: { ...ASK_PAGE, isOpen: false } } });
  expect(await screen.findByText(/Please call us: \(360\) 555-0100/)).toBeTruthy();
  screen.unmount();
  open({ [`GET ${ASK}`]: problemReply(404, "ask/page-not-found", "Nobody.") });
  expect(await screen.findByText(/^Nobody is asked for a visit at this address/)).toBeTruthy();
});

describe("what is typed", () => {
  const full: TypedAsking = {
    ...emptyAsking("WA"),
    ...{ wishIds: ["oil"], street: "3 Ebb Court", time: TIME, name: "Perpetua", phone: "360 555 0177", mayText: true },
    acceptsTerms: true,
  };
  const faults = (over: Partial<TypedAsking>): string[] =>
    Object.keys(askFaults({ ...full, ...over }, "Terms", (key) => key));
  it.each<[string, Partial<TypedAsking>, string[]]>([
    ["is enough", {}, []],
    ["an email mistyped by one letter", { email: "ana@example.com", emailAgain: "ana@exmaple.com" }, ["emailAgain"]],
    ["an email typed twice, in other case", { email: "Ana@example.com", emailAgain: "ana@Example.com" }, []],
    ["no email", { email: "ana", emailAgain: "ana" }, ["email"]],
    ["a phone that is none", { phone: "12" }, ["phone"]],
    ["a yes to texts without a phone", { phone: "", email: "a@example.com", emailAgain: "a@example.com" }, ["mayText"]],
    ["a plate nobody confirmed", { plate: "LRK1204" }, ["car"]],
    ["a plate left behind for a car by hand", { plate: "LRK1204", carWay: "hand" }, []],
    ["a key nobody finds", { isThere: false }, ["keyLies"]],
    ["terms not accepted", { acceptsTerms: false }, ["acceptsTerms"]],
  ])("%s", (_name, over, fields) => expect(faults(over)).toEqual(fields));

  it("is sent without what does not belong to the way that was taken", () => {
    const typed = {
      ...full,
      keyLies: "pot",
      vin: "1",
      year: "2014",
      make: "Fennick",
      carWay: "hand" as const,
      mayMail: true,
    };
    expect(askedOf(typed, TIME, "es", "T")).toMatchObject({
      ...{ language: "es", keyLies: "", mayMail: false, terms: "T" },
      car: { plate: "", vin: "", year: 2014, make: "Fennick" },
    });
    expect(askedOf({ ...typed, carWay: "plate" }, TIME, "en", "").car).toMatchObject({ year: null, make: "" });
    expect(canLookForTimes({ wishIds: [], words: " ", street: "x" })).toBe(false);
  });
});
