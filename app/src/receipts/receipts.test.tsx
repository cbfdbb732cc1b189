import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { Linking } from "react-native";
import type { WorkOrderView } from "@mechanon/contract";
import { useSync } from "../sync/state";
import { fakeServer, givenCommands, problemReply, resetSync, show } from "../testing/harness";
import { visited } from "../testing/router";
import { customerSample, receiptSample, viewSample, visitSample, messageSample } from "../testing/samples";
import { ReceiptScreen } from "./ReceiptScreen";

const AT = "2026-11-23T17:00:00.000Z";
const TEXT = "POST /api/work-orders/order-1/receipt-messages";
const RECEIPT = { "GET /api/work-orders/order-1/receipt": { body: receiptSample() } };
const message = messageSample({ kind: "receipt", text: "Your receipt: http://x/r/abc", status: "waiting", at: AT });

function open(over: Partial<WorkOrderView> = {}, replies: Parameters<typeof fakeServer>[0] = RECEIPT) {
  const view = viewSample(over);
  resetSync({ "order-1": view });
  const server = fakeServer({ "GET /api/work-orders/order-1": { body: view }, ...replies });
  show(<ReceiptScreen id="order-1" />);
  return server;
}
beforeEach(() => {
  visited.length = 0;
});

describe("the receipt", () => {
  it("is texted, and the same text once however often it is tried", async () => {
    const failing = problemReply(503, "database/unreachable", "The database does not answer.");
    const sent = { body: { workOrder: viewSample({ revision: 2, messages: [message] }) } };
    let tries = 0;
    const server = open({}, { ...RECEIPT, [TEXT]: () => (tries++ === 0 ? failing : sent) });
    expect(await screen.findByText("Receipt 1001")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Text it to (360) 555-0111" }));
    expect(await screen.findByText("The database does not answer.")).toBeTruthy();
    fireEvent.press(screen.getByTestId("text-receipt"));
    expect(await screen.findByText("Text, waiting to go out")).toBeTruthy();
    const ids = server.asked
      .filter(({ method }) => method === "POST")
      .map(({ body }) => (body as { messageId: string }).messageId);
    expect(ids).toHaveLength(2);
    expect(new Set(ids).size).toBe(1);
    expect(useSync.getState().views["order-1"]?.revision).toBe(2);
  });

  it.each<[string, Partial<WorkOrderView>, string]>([
    ["went out", { messages: [{ ...message, status: "sent" }] }, "Text, sent"],
    ["waits", { messages: [{ ...message, lastError: "It is tried again." }] }, "Text, It is tried again."],
  ])("says that its text %s", async (_name, over, words) => {
    open(over);
    expect(await screen.findByText(words)).toBeTruthy();
  });

  it.each<[string, Parameters<typeof customerSample>[0], string]>([
    ["wants none", { textConsent: { given: false, at: AT, how: "On the phone" } }, "They want no texts"],
    ["has no phone", { phones: [] }, "No phone to text to"],
  ])("is not texted to who %s", async (_name, over, label) => {
    open({ customer: customerSample(over) });
    expect(await screen.findByRole("button", { name: label, disabled: true })).toBeTruthy();
  });

  it("tells which links open still, and calls them back", async () => {
    const link = { sentTo: "+13605550111", at: AT, endsAt: "2028-05-23T16:00:00.000Z" };
    const server = open(
      { receiptLinks: [link] },
      {
        ...RECEIPT,
        "DELETE /api/work-orders/order-1/receipt-links": { body: { workOrder: viewSample({ revision: 2 }) } },
      },
    );
    expect(await screen.findByText(/Link to \(360\) 555-0111, .*opens until/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("call-back"));
    await waitFor(() => expect(screen.queryByText(/Link to/)).not.toBeOnTheScreen());
    expect(server.asked.some(({ method }) => method === "DELETE")).toBe(true);
  });

  it("opens as PDF, and leads on to the day, leaving the visit", async () => {
    const opened = jest.spyOn(Linking, "openURL").mockResolvedValue(true);
    open({ visits: [visitSample({ setOffAt: AT, arrivedAt: AT })] });
    fireEvent.press(await screen.findByRole("button", { name: "Open as PDF" }));
    expect(opened).toHaveBeenCalledWith("/api/work-orders/order-1/receipt.pdf");
    fireEvent.press(screen.getByTestId("leave"));
    expect(givenCommands()).toEqual([{ type: "leave" }]);
    expect(visited).toEqual(["/"]);
  });

  it("that cannot be loaded can be asked for again", async () => {
    open({}, {});
    expect(await screen.findByText(/No connection to the server/)).toBeTruthy();
    fakeServer(RECEIPT);
    fireEvent.press(screen.getByRole("button", { name: "Try again" }));
    expect(await screen.findByText("Receipt 1001")).toBeTruthy();
  });
});
