import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { ReceiptSettings } from "./ReceiptSettings";

const SAVE = "PATCH /api/business/receipt-links";

it("changes how long receipts open, in whole months", async () => {
  const server = fakeServer({ [SAVE]: { body: { receiptLinkMonths: 6 } }, "GET /api/business": { body: BUSINESS } });
  show(<ReceiptSettings />);
  expect(screen.getByLabelText("Months").props.value).toBe("18");
  fireEvent.changeText(screen.getByLabelText("Months"), "a year");
  expect(await screen.findByText("✕ a whole number from 1 to 120")).toBeTruthy();
  fireEvent.press(screen.getByTestId("save-receipts"));
  expect(server.asked).toEqual([]);
  fireEvent.changeText(screen.getByLabelText("Months"), "6");
  fireEvent.press(screen.getByTestId("save-receipts"));
  expect(await screen.findByText(/Links open for 6 months/)).toBeTruthy();
  await waitFor(() => expect(server.asked.find(({ method }) => method === "PATCH")?.body).toEqual({ months: 6 }));
});

it("says why it could not be saved", async () => {
  fakeServer({ [SAVE]: problemReply(403, "rights/missing", "You may not change settings.") });
  show(<ReceiptSettings />);
  fireEvent.press(screen.getByTestId("save-receipts"));
  expect(await screen.findByText("You may not change settings.")).toBeTruthy();
});
