import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { OwnSession } from "@mechanon/contract";
import { fakeServer, problemReply, show } from "../testing/harness";
import { OwnSessions } from "./OwnSessions";

const AT = "2026-11-23T17:00:00.000Z";
const here: OwnSession = { id: "s1", device: "Chrome on Android", startedAt: AT, seenAt: AT, isThis: true };
const there: OwnSession = { ...here, id: "s2", device: "Firefox on Linux", isThis: false };

it("shows where a person is signed in, and signs out elsewhere", async () => {
  let sessions = [here, there];
  const server = fakeServer({
    "GET /api/sessions": () => ({ body: { sessions } }),
    "DELETE /api/sessions/s2": () => {
      sessions = [here];
      return { status: 204, body: null };
    },
  });
  show(<OwnSessions zone="America/Los_Angeles" />);
  expect(await screen.findByText("This device")).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Sign out Chrome on Android" })).toBeNull();
  fireEvent.press(screen.getByRole("button", { name: "Sign out Firefox on Linux" }));
  await waitFor(() => expect(screen.queryByText("Firefox on Linux")).not.toBeOnTheScreen());
  expect(server.asked.some(({ method }) => method === "DELETE")).toBe(true);
});

it("says why another device could not be signed out, and keeps it in the list", async () => {
  fakeServer({
    "GET /api/sessions": { body: { sessions: [here, there] } },
    "DELETE /api/sessions/s2": problemReply(503, "database/unreachable", "The database does not answer."),
  });
  show(<OwnSessions zone="America/Los_Angeles" />);
  fireEvent.press(await screen.findByRole("button", { name: "Sign out Firefox on Linux" }));
  expect(await screen.findByText("The database does not answer.")).toBeTruthy();
  expect(screen.getByText("Firefox on Linux")).toBeTruthy();
});

it("offers to ask again where the list does not come", async () => {
  fakeServer({});
  show(<OwnSessions zone="America/Los_Angeles" />);
  expect(await screen.findByRole("button", { name: "Try again" })).toBeTruthy();
});
