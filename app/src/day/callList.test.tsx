import { fireEvent, screen } from "@testing-library/react-native";
import { Linking } from "react-native";
import { BUSINESS, fakeServer, givenCommands as given, resetSync, show } from "../testing/harness";
import { CallList } from "./CallList";

const QUOTE = {
  ...{ workOrderId: "order-1", number: 1005, customerName: "Maren Oyelaran", vehicleName: "2019 Honda Accord" },
  ...{ phone: "+13605550110", totalCents: 49_380, sentAt: "2026-11-20T17:00:00.000Z" },
};
const open = (quotes: object[]): void => {
  fakeServer({ "GET /api/call-list": { body: { quotes } }, "GET /api/business": { body: BUSINESS } });
  show(<CallList />);
};
beforeEach(() => resetSync());

it("asks again about what was put off until now", async () => {
  open([{ ...QUOTE, putOff: "Wiper blades" }]);
  fireEvent.press(await screen.findByRole("button", { name: "To call, 1 answer to ask for" }));
  expect(screen.getByText(/^Wiper blades, \$493.80, put off .*: ask again$/)).toBeTruthy();
});

it("calls by the number, and stands there no more once what came of it was noted", async () => {
  const dial = jest.spyOn(Linking, "openURL").mockResolvedValue(true);
  open([QUOTE, { ...QUOTE, workOrderId: "order-2", customerName: "Bram Castellanos", phone: null }]);
  fireEvent.press(await screen.findByRole("button", { name: "To call, 2 answers to ask for" }));
  fireEvent.press(screen.getByRole("button", { name: "Call (360) 555-0110" }));
  expect(dial).toHaveBeenCalledWith("tel:+13605550110");
  expect(screen.getByText("No phone is kept of them.")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Thinks it over: Maren Oyelaran" }));
  expect(given()).toMatchObject([{ type: "noteCall", outcome: "thinks" }]);
  expect(screen.queryByText("Maren Oyelaran")).toBeNull();
  expect(screen.getByRole("button", { name: "To call, 1 answer to ask for" })).toBeTruthy();
});

it("is not there while nobody is to be called", async () => {
  open([]);
  await Promise.resolve();
  expect(screen.queryByText("To call")).toBeNull();
});
