import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { OpenMessage } from "@mechanon/contract";
import { fakeServer, problemReply, show, type Reply } from "../testing/harness";
import { TIME, matchesSample, requestSample } from "../testing/requestSamples";
import { visited } from "../testing/router";
import { messageSample } from "../testing/samples";
import { likelyMatch } from "./likelyMatch";
import { RequestScreen } from "./RequestScreen";
import { RequestsScreen } from "./RequestsScreen";
import { takenLine } from "./requestWords";
import { stripOf } from "./WaitingStrip";

const AGREE = "POST /api/requests/request-1/agreement";
const openMessage = (over: Partial<OpenMessage> = {}): OpenMessage => ({
  ...messageSample({ id: "m1", kind: null, isIncoming: true, status: "received", text: "The gate is open" }),
  ...{ workOrderId: "order-1", customerId: "c", customerName: "Maren Oyelaran" },
  ...over,
});

beforeEach(() => {
  visited.length = 0;
});

describe("the strip", () => {
  const none = { requests: [], messages: [], justTaken: [] };
  const taken = requestSample({ status: "agreed", takenBy: { id: "t", name: "Tomas Breck" } });
  it.each([
    ["is not there while nothing waits", none, null, "/requests"],
    [
      "names the one request, and leads to it",
      { ...none, requests: [requestSample()] },
      "Perpetua Sand asks for a visit: Oil change is due, It hums",
      "/requests/request-1",
    ],
    [
      "counts several",
      { ...none, requests: [requestSample(), requestSample({ id: "2" })] },
      "2 requests for a visit",
      "/requests",
    ],
    [
      "tells of replies beside it",
      { ...none, requests: [requestSample()], messages: [openMessage()] },
      "Perpetua Sand asks for a visit: Oil change is due, It hums · Maren Oyelaran: The gate is open",
      "/requests/request-1",
    ],
    ["tells who took it", { ...none, justTaken: [taken] }, "Tomas took Perpetua Sand’s request", "/requests"],
  ])("%s", (_name, waiting, line, href) => expect(stripOf(waiting)).toEqual({ line, href }));
});

it.each([
  ["agreed", "Tomas took Perpetua Sand’s request"],
  ["offered", "Tomas offered Perpetua Sand other times"],
  ["declined", "Tomas declined Perpetua Sand’s request"],
  ["withdrawn", "Perpetua Sand took the request back"],
  ["waiting", "Perpetua Sand waits for an answer"],
] as const)("a request that is %s says what became of it", (status, words) => {
  expect(takenLine(requestSample({ status, takenBy: { id: "t", name: "Tomas Breck" } }))).toBe(words);
});

describe("who it is taken for", () => {
  const matches = matchesSample();
  const [match] = matches.customers;
  it("is the surest, with the car that is theirs", () => {
    expect(likelyMatch(matches)).toEqual({ customerId: match?.customer.id, vehicleId: matches.car?.vehicle.id });
  });
  it("is nobody where only the town is the same, and no car of somebody else", () => {
    const likenesses: ["nameAndTown"] = ["nameAndTown"];
    const unsure = { ...matches, customers: matches.customers.map((each) => ({ ...each, likenesses })) };
    expect(likelyMatch(unsure)).toEqual({ customerId: null, vehicleId: null });
  });
});

function open(replies: Record<string, Reply> = {}, over = {}) {
  const body = { request: requestSample(over), matches: matchesSample() };
  const server = fakeServer({ "GET /api/requests/request-1": { body }, ...replies });
  show(<RequestScreen id="request-1" />);
  return server;
}
const posted = (server: ReturnType<typeof fakeServer>): unknown[] =>
  server.asked.filter(({ method }) => method === "POST").map(({ body }) => body);

describe("a request", () => {
  it("is agreed to in one tap, for who it is likely of, and leads to its work order", async () => {
    const server = open({ [AGREE]: { body: { workOrderId: "order-9" } } });
    fireEvent.press(await screen.findByTestId("agree"));
    await waitFor(() => expect(visited).toEqual(["/work/order-9"]));
    const { customers, car } = matchesSample();
    expect(posted(server)).toEqual([{ customerId: customers[0]?.customer.id, vehicleId: car?.vehicle.id, time: null }]);
  });

  it("may be of somebody new with the same car, and says who was first", async () => {
    const server = open({
      [AGREE]: problemReply(409, "visit-request/taken", "Tomas Breck took this request already."),
    });
    fireEvent.press(await screen.findByRole("radio", { name: "Perpetua Sand, new" }));
    fireEvent.press(screen.getByTestId("agree"));
    expect(await screen.findByText("Tomas Breck took this request already.")).toBeTruthy();
    expect(posted(server)).toEqual([{ customerId: null, vehicleId: null, time: null }]);
  });

  it("cannot be agreed to once its time is taken: other times are offered, three at most, or one booked at once", async () => {
    const offers = [9, 10, 11, 12].map((hour) => ({
      ...{ mechanicId: "me", date: "2026-12-07", latestStartsAt: null, addedMinutes: 3 },
      ...{ startsAt: `2026-12-07T${hour + 8}:00:00.000Z`, endsAt: `2026-12-07T${hour + 9}:00:00.000Z` },
    }));
    const server = open(
      {
        "POST /api/offered-times": { body: { offers, heldUntil: null } },
        "POST /api/requests/request-1/offer": { body: {} },
        [AGREE]: { body: { workOrderId: "order-9" } },
      },
      { isTimeFree: false },
    );
    expect(await screen.findByText(/: taken by now$/)).toBeTruthy();
    expect(screen.queryByTestId("agree")).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "Offer other times" }));
    const times = await screen.findAllByRole("checkbox");
    expect(times).toHaveLength(4);
    fireEvent.press(times[0] as (typeof times)[number]);
    fireEvent.press(screen.getByTestId("agree-other"));
    await waitFor(() => expect(visited).toEqual(["/work/order-9"]));
    for (const index of [1, 2, 3])
      fireEvent.press((await screen.findAllByRole("checkbox"))[index] as (typeof times)[number]);
    fireEvent.changeText(screen.getByLabelText("A word with them, if you like"), " Mornings are full. ");
    fireEvent.press(screen.getByRole("button", { name: "Offer these 3 times" }));
    await waitFor(() => expect(visited).toContain("/requests"));
    expect(posted(server).at(-1)).toMatchObject({ words: "Mornings are full.", times: [{}, {}, {}] });
  });

  it("is declined with a word", async () => {
    const server = open({ "POST /api/requests/request-1/refusal": { body: {} } });
    fireEvent.press(await screen.findByTestId("decline"));
    fireEvent.changeText(screen.getByLabelText("A word for them, if you like"), "Too far");
    fireEvent.press(screen.getByTestId("decline-sure"));
    await waitFor(() => expect(visited).toEqual(["/requests"]));
    expect(posted(server)).toEqual([{ words: "Too far" }]);
  });

  it("that somebody took shows who, and leads to the work order", async () => {
    open({}, { status: "agreed", takenBy: { id: "t", name: "Tomas Breck" }, workOrderId: "order-9", offered: [TIME] });
    expect(await screen.findByText("Tomas took Perpetua Sand’s request")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Open the work order" }));
    expect(visited).toEqual(["/work/order-9"]);
  });
});

describe("the list", () => {
  const LIST = {
    "GET /api/requests": { body: { requests: [requestSample()] } },
    "GET /api/messages": {
      body: {
        messages: [
          openMessage(),
          openMessage({ id: "m2", isIncoming: false, kind: "late", status: "asks", text: "We run late" }),
          openMessage({
            id: "m3",
            customerName: null,
            workOrderId: null,
            recipient: "+15415559999",
            text: "Who is this?",
          }),
        ],
      },
    },
  };
  it("shows requests and messages that wait, sends what asks first, and answers where a reply came from", async () => {
    const server = fakeServer({
      ...LIST,
      "POST /api/messages/m2/decision": { body: {} },
      "POST /api/messages/m3/answer": { body: {} },
      "POST /api/work-orders/order-1/messages": problemReply(409, "message/refused", "They want no messages."),
    });
    show(<RequestsScreen />);
    expect(await screen.findByText("Perpetua Sand")).toBeTruthy();
    expect(await screen.findByText("Send Maren Oyelaran “We run late”?")).toBeTruthy();
    expect(screen.getByText("(541) 555-9999, a number nobody here has")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Send" }));
    await waitFor(() => expect(posted(server)).toEqual([{ decision: "send" }]));
    fireEvent.press(screen.getByTestId("answer-m3"));
    fireEvent.changeText(screen.getByLabelText("Your answer"), "Your mechanic");
    fireEvent.press(screen.getByRole("button", { name: "Send the answer" }));
    await waitFor(() => expect(posted(server).at(-1)).toMatchObject({ text: "Your mechanic" }));
    fireEvent.press(screen.getByTestId("answer-m1"));
    fireEvent.changeText(screen.getByLabelText("Your answer"), "Hello");
    fireEvent.press(screen.getByRole("button", { name: "Send the answer" }));
    expect(await screen.findByText("They want no messages.")).toBeTruthy();
    expect(screen.getByDisplayValue("Hello")).toBeTruthy();
  });

  it("says what belongs there while nothing waits, and what is wrong where it cannot be loaded", async () => {
    fakeServer({ "GET /api/requests": { body: { requests: [] } }, "GET /api/messages": { body: { messages: [] } } });
    show(<RequestsScreen />);
    expect(await screen.findByText(/^Nobody waits for an answer/)).toBeTruthy();
    screen.unmount();
    fakeServer({});
    show(<RequestsScreen />);
    expect(await screen.findByText(/^No connection to the server/)).toBeTruthy();
  });
});
