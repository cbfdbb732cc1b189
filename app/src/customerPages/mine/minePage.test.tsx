import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { Linking } from "react-native";
import type { CustomerPage } from "@mechanon/contract";
import { fakeServer, problemReply, show, type Reply } from "../../testing/harness";
import { foundSample, TIME, customerPageSample, pageOrderSample, pageVisitSample } from "../../testing/requestSamples";
import { LanguageProvider } from "../language";
import { MinePage } from "./MinePage";
import { minutesLeft } from "./minutesLeft";

const PAGE = "/api/public/pages/abc";
function open(page: CustomerPage, replies: Record<string, Reply> = {}) {
  const server = fakeServer({ [`GET ${PAGE}`]: { body: page }, ...replies });
  show(
    <LanguageProvider>
      <MinePage token="abc" />
    </LanguageProvider>,
  );
  return server;
}
const bodies = (server: ReturnType<typeof fakeServer>): unknown[] =>
  server.asked.filter(({ method }) => method === "POST").map(({ body }) => body);

it("shows every stage of a repair", async () => {
  const opened = jest.spyOn(Linking, "openURL").mockResolvedValue(true);
  open(
    customerPageSample({
      orders: [
        pageOrderSample({
          found: [foundSample({ note: "thin", pictures: [{ photoId: "p1", media: "photo", moment: null }] })],
          fine: [{ en: "Horn", es: "Claxon" }],
          jobs: [{ title: "Front brakes", totalCents: 41260, answer: "yes", isDone: true }],
          ...{ totalCents: 44973, paidCents: 10000, dueCents: 34973, receipt: "/r/xyz" },
          words: [{ id: "w", isOurs: true, text: "We bring the pads", at: TIME.startsAt }],
        }),
      ],
    }),
  );
  expect(await screen.findByText("Odile comes Sat Dec 5, 10:30 am")).toBeTruthy();
  for (const words of ["2014 Fennick Rover, No. 1042", "✓ Checked and fine", "$449.73", "$349.73", "Done", "thin"])
    expect(screen.getByText(words)).toBeTruthy();
  fireEvent.press(screen.getByTestId("receipt-order-1"));
  expect(opened).toHaveBeenCalledWith("/r/xyz");
});

it("tells the arrival only while somebody is on the way", async () => {
  const driving = pageVisitSample({ standing: "driving", arrivesAt: TIME.startsAt });
  open(customerPageSample({ orders: [pageOrderSample({ visits: [driving] })] }));
  expect(await screen.findByText("Odile is on the way")).toBeTruthy();
  expect(screen.getByText(/^There at about 10:30 am/)).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Call it off" })).toBeNull();
  expect(minutesLeft("2026-12-05T18:30:00.000Z", new Date("2026-12-05T18:18:10.000Z"))).toBe(12);
  expect(minutesLeft("2026-12-05T18:30:00.000Z", new Date("2026-12-05T19:00:00.000Z"))).toBe(0);
});

it("moves a visit, says why it was not moved, and calls it off once it was asked twice", async () => {
  const moved = customerPageSample({
    orders: [pageOrderSample({ visits: [pageVisitSample({ standing: "cancelled" })] })],
  });
  const server = open(customerPageSample(), {
    [`GET ${PAGE}/visits/visit-1/times`]: { body: { times: [TIME] } },
    [`POST ${PAGE}/visits/visit-1/time`]: problemReply(409, "ask/time-gone", "Gone."),
    [`POST ${PAGE}/visits/visit-1/call-off`]: { body: moved },
  });
  fireEvent.press(await screen.findByRole("button", { name: "Another time" }));
  fireEvent.press(await screen.findByRole("radio", { name: "Sat Dec 5, 10:30 am" }));
  expect(await screen.findByText(/^This time was taken meanwhile/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Leave it as it is" }));
  fireEvent.press(screen.getByRole("button", { name: "Call it off" }));
  fireEvent.changeText(screen.getByLabelText("Why, if you like"), " It runs again ");
  fireEvent.press(screen.getByTestId("call-off-visit-1"));
  expect(await screen.findByText("Called off: Sat Dec 5, 10:30 am")).toBeTruthy();
  expect(bodies(server)).toMatchObject([{ time: TIME }, { words: "It runs again" }]);
});

it("opens everything by a code that was sent", async () => {
  const server = open(customerPageSample(), {
    [`POST ${PAGE}/codes`]: { body: {} },
    [`POST ${PAGE}/proof`]: { body: customerPageSample({ isProven: true, ways: [] }) },
  });
  fireEvent.press(await screen.findByTestId("see-all"));
  fireEvent.press(screen.getByRole("button", { name: "Text to …77" }));
  fireEvent.changeText(await screen.findByLabelText("The code, six digits"), "123456");
  fireEvent.press(screen.getByTestId("prove"));
  expect(await screen.findByText("This is everything of yours.")).toBeTruthy();
  expect(bodies(server)).toEqual([{ way: 0 }, { code: "123456" }]);
});

it("takes one of the times that were offered, and words that are sent once more under their id", async () => {
  const request = {
    ...{
      id: "r1",
      status: "offered" as const,
      at: TIME.startsAt,
      car: "2014 Fennick Rover",
      words: "hums",
      time: TIME,
    },
    ...{ wishes: [], offered: [TIME], answer: "Mornings are full.", photoIds: [] },
    said: [{ id: "s", isOurs: true, text: "Which Saturday?", at: TIME.startsAt }],
  };
  const server = open(customerPageSample({ requests: [request], orders: [] }), {
    [`POST ${PAGE}/requests/r1/pick`]: { body: customerPageSample() },
    [`POST ${PAGE}/messages`]: problemReply(503, "database/unreachable", "Away."),
  });
  expect(await screen.findByText(/Which Saturday\?$/)).toBeTruthy();
  fireEvent.changeText(await screen.findByLabelText("Ask or tell us something"), "Is it far?");
  fireEvent.press(screen.getByRole("button", { name: "Send" }));
  expect(await screen.findByText(/^The server cannot be reached/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Send" }));
  await waitFor(() => expect(bodies(server)).toHaveLength(2));
  expect(new Set(bodies(server).map((body) => (body as { messageId: string }).messageId)).size).toBe(1);
  fireEvent.press(screen.getByRole("radio", { name: "Yes, come Sat Dec 5, 10:30 am" }));
  expect(await screen.findByText("Odile comes Sat Dec 5, 10:30 am")).toBeTruthy();
});

it("says of a link that it ended", async () => {
  fakeServer({ [`GET ${PAGE}`]: problemReply(410, "page/ended", "Ended.") });
  show(
    <LanguageProvider>
      <MinePage token="abc" />
    </LanguageProvider>,
  );
  expect(await screen.findByText(/^This link has ended/)).toBeTruthy();
});
