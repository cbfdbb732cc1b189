import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { Linking } from "react-native";
import { fakeServer, problemReply, show } from "../testing/harness";
import { receiptSample } from "../testing/samples";
import { LanguageProvider } from "./language";
import { ReceiptPage } from "./ReceiptPage";

describe("the customer's link", () => {
  it("shows the receipt without anybody signed in", async () => {
    fakeServer({ "GET /api/public/receipts/abc": { body: receiptSample() } });
    show(
      <LanguageProvider>
        <ReceiptPage token="abc" />
      </LanguageProvider>,
    );
    expect(await screen.findByText("Paid in full")).toBeTruthy();
    const opened = jest.spyOn(Linking, "openURL").mockResolvedValue(true);
    fireEvent.press(screen.getByRole("button", { name: "Open as PDF" }));
    await waitFor(() => expect(opened).toHaveBeenCalledWith("/api/public/receipts/abc/pdf?language=en"));
  });

  it("that leads nowhere says so", async () => {
    fakeServer({
      "GET /api/public/receipts/gone": problemReply(
        404,
        "receipt/not-found",
        "There is no receipt behind this link. Check that it was copied whole, or ask for it again.",
      ),
    });
    show(
      <LanguageProvider>
        <ReceiptPage token="gone" />
      </LanguageProvider>,
    );
    expect(await screen.findByText(/^There is no receipt behind this link/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Open as PDF" })).toBeNull();
  });
});
