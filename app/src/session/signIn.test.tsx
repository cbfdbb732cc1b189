import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import { me } from "@mechanon/contract";
import { useReachable } from "../api/reachable";
import { keptOf } from "../offline/orKept";
import { sendCommand } from "../sync/give";
import { useSync } from "../sync/state";
import { fakeServer, ME, problemReply, resetSync, show, type Reply } from "../testing/harness";
import { MeScreen } from "./MeScreen";
import { SignIn } from "./SignIn";
import { settleSignOut } from "./signOut";

describe("signing in", () => {
  beforeEach(() => {
    resetSync();
    useReachable.setState({ isReachable: true });
  });
  const account = { login: "odile", password: "lantern-7", name: "Odile Farrow", role: "Owner" };
  it("takes one tap for a demo account", async () => {
    const server = fakeServer({
      "GET /api/demo-accounts": { body: { accounts: [account] } },
      "POST /api/session": { body: ME },
    });
    const queries = show(<SignIn />);
    queries.setQueryData(["me"], null);
    fireEvent.press(await screen.findByRole("button", { name: "Odile Farrow, Owner" }));
    await waitFor(() =>
      expect(server.asked.at(-1)).toMatchObject({ method: "POST", body: { login: "odile", password: "lantern-7" } }),
    );
  });
  it("stays signed in when who was there before is answered late", async () => {
    let isIn = false;
    let answer: (reply: Reply) => void = () => undefined;
    const server = fakeServer({
      "GET /api/demo-accounts": { body: { accounts: [account] } },
      "GET /api/session": () => new Promise<Reply>((replied) => (answer = replied)),
      "POST /api/session": () => {
        isIn = true;
        return { body: ME };
      },
    });
    const queries = show(<SignIn />);
    act(() => void queries.setQueryData(["me"], null));
    void queries.refetchQueries({ queryKey: ["me"] });
    await waitFor(() =>
      expect(server.asked).toContainEqual(expect.objectContaining({ method: "GET", path: "/api/session" })),
    );
    fireEvent.press(await screen.findByRole("button", { name: "Odile Farrow, Owner" }));
    await waitFor(() => expect(isIn).toBe(true));
    await waitFor(() => expect(queries.getQueryData(["me"])).toMatchObject({ id: ME.id }));
    await act(async () => {
      answer(problemReply(401, "session/missing", "Nobody is signed in."));
      await new Promise((heard) => setTimeout(heard));
    });
    expect(queries.getQueryData(["me"])).toMatchObject({ id: ME.id });
    expect(keptOf("me", me)).toMatchObject({ id: ME.id });
  });
  it("tells a wrong password without saying which was wrong", async () => {
    fakeServer({
      "GET /api/demo-accounts": { body: { accounts: [] } },
      "POST /api/session": problemReply(
        401,
        "session/wrong-password",
        "That name and password do not belong together.",
      ),
    });
    const queries = show(<SignIn />);
    queries.setQueryData(["me"], null);
    fireEvent.changeText(await screen.findByLabelText("Name"), "odile");
    fireEvent.changeText(screen.getByLabelText("Password or PIN"), "x");
    fireEvent.press(screen.getByRole("button", { name: "Sign in" }));
    await screen.findByText("That name and password do not belong together.");
  });
  it("asks before it lets go of what no device keeps", async () => {
    const server = fakeServer({ "DELETE /api/session": { status: 204, body: null } });
    resetSync();
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    act(() => useSync.setState({ keeping: "none" }));
    show(<MeScreen />);
    fireEvent.press(screen.getByRole("button", { name: "Sign out" }));
    expect(screen.getByText(/1 change could not be kept on this device/)).toBeTruthy();
    expect(server.asked.filter(({ method }) => method === "DELETE")).toEqual([]);
    act(() => useSync.setState({ sending: false }));
    fireEvent.press(screen.getByRole("button", { name: "Sign out all the same" }));
    await waitFor(() => expect(server.asked.filter(({ method }) => method === "DELETE")).toHaveLength(1));
  });
  it("says what it means without a signal before it signs out", async () => {
    fakeServer({});
    resetSync();
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    useSync.setState({ sending: false, keeping: "kept" });
    useReachable.setState({ isReachable: false });
    show(<MeScreen />);
    fireEvent.press(screen.getByRole("button", { name: "Sign out" }));
    await screen.findByText(/1 change stays on this device, sealed for you/);
    fireEvent.press(screen.getByRole("button", { name: "Stay signed in" }));
    expect(screen.queryByRole("button", { name: "Sign out all the same" })).toBeNull();
  });
  it("owes no sign-out of before, and ends nobody's session with it", async () => {
    localStorage.setItem("mechanon-sign-out-owed", "yes");
    const server = fakeServer({
      "GET /api/demo-accounts": { body: { accounts: [] } },
      "POST /api/session": { body: ME },
      "DELETE /api/session": { status: 204, body: null },
    });
    const queries = show(<SignIn />);
    act(() => void queries.setQueryData(["me"], null));
    fireEvent.changeText(await screen.findByLabelText("Name"), "odile");
    fireEvent.changeText(screen.getByLabelText("Password or PIN"), "x");
    fireEvent.press(screen.getByRole("button", { name: "Sign in" }));
    await waitFor(() => expect(queries.getQueryData(["me"])).toMatchObject({ id: ME.id }));
    expect(await settleSignOut()).toBe(false);
    expect(server.asked.filter(({ method }) => method === "DELETE")).toEqual([]);
  });
  it("ends under You", async () => {
    const server = fakeServer({ "DELETE /api/session": { status: 204, body: null } });
    show(<MeScreen />);
    fireEvent.press(screen.getByRole("radio", { name: "Night" }));
    expect(screen.getByRole("radio", { name: "Night", checked: true })).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Sign out" }));
    await waitFor(() =>
      expect(server.asked.filter(({ method }) => method !== "GET")).toMatchObject([
        { method: "DELETE", path: "/api/session" },
      ]),
    );
  });
});
