import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { WorkOrderView } from "@mechanon/contract";
import { fakeServer, givenCommands, resetSync, show } from "../../testing/harness";
import {
  customerSample,
  foundSample,
  jobSample,
  sheetSample,
  stateSample,
  vehicleSample,
  viewSample,
} from "../../testing/samples";
import { useSync } from "../../sync/state";
import { SwapSection } from "./SwapSection";

const AT = "2026-11-23T17:00:00.000Z";
const OTHER = vehicleSample({ id: "car-2", plate: "LRK7781", year: 2011, make: "Toyota", model: "Corolla" });
const OTHER_NAME = "2011 Toyota Corolla, LRK7781";
const running: WorkOrderView = viewSample({
  state: stateSample({
    odometerMiles: { value: 61_240, at: AT },
    findings: [
      { pointId: "pads", grade: "act", measures: { value: 2.5 }, note: "", at: AT, by: "me" },
      { pointId: "oil", grade: "sound", measures: {}, note: "", at: AT, by: "me" },
    ],
    jobs: [jobSample({ answer: { value: "yes", approvalId: "a", totalCents: 4200 } })],
  }),
});
function open(view: WorkOrderView, replies: Parameters<typeof fakeServer>[0] = {}): void {
  fakeServer({
    "GET /api/customers/customer-1": { body: sheetSample({ vehicles: [vehicleSample(), OTHER] }) },
    ...replies,
  });
  show(<SwapSection view={view} />);
}

beforeEach(() => resetSync({ "order-1": running }));

it("offers the customer's other cars, and says what a swap means as it is chosen", async () => {
  open(running);
  fireEvent.press(screen.getByTestId("swap-car"));
  fireEvent.press(await screen.findByRole("button", { name: OTHER_NAME }));
  expect(screen.getByText(`1001: 2019 Honda Accord becomes ${OTHER_NAME}`)).toBeTruthy();
  expect(screen.getByText(/2 findings and the odometer: taken off/)).toBeTruthy();
  expect(screen.getByText(/1 answer: asked anew/)).toBeTruthy();
  fireEvent.press(screen.getByRole("radio", { name: "Yes, only the record was wrong" }));
  fireEvent.press(screen.getByRole("radio", { name: "Yes, they were meant for this" }));
  expect(screen.getByText(/2 findings and the odometer: kept/)).toBeTruthy();
  expect(screen.getByText(/1 answer: the customer's word still holds/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("swap"));
  expect(await screen.findByTestId("swap-car")).toBeTruthy();
  expect(useSync.getState().pending).toMatchObject([
    {
      command: { type: "changeVehicle", vehicleId: "car-2", keepFindings: true, keepAnswers: true },
      parties: { vehicle: { id: "car-2" } },
    },
  ]);
});

it("never offers the car that is on it already", async () => {
  open(running);
  fireEvent.press(screen.getByTestId("swap-car"));
  await screen.findByRole("button", { name: OTHER_NAME });
  expect(screen.queryByRole("button", { name: /LRK1204/ })).toBeNull();
});

it("takes the car off, and asks nothing where nothing hangs on it", async () => {
  open(viewSample());
  fireEvent.press(screen.getByTestId("swap-car"));
  fireEvent.press(await screen.findByRole("button", { name: "None of these: take the car off" }));
  expect(screen.queryByRole("radio")).toBeNull();
  expect(screen.getByText("• Nothing hangs on it yet.")).toBeTruthy();
  fireEvent.press(screen.getByTestId("swap"));
  await waitFor(() => expect(givenCommands()).toMatchObject([{ type: "changeVehicle", vehicleId: null }]));
});

it("makes it another customer's, found by name", async () => {
  const customer = customerSample({ id: "customer-2", name: "Noor Haddad-Bell" });
  open(running, {
    "GET /api/search": { body: { customers: [foundSample({ customer })], workOrders: [] } },
  });
  fireEvent.press(screen.getByTestId("swap-customer"));
  fireEvent.changeText(screen.getByLabelText("Whose work order is it?"), "noor");
  fireEvent.press(await screen.findByRole("button", { name: "Choose Noor Haddad-Bell" }));
  expect(screen.queryByText("Was the right car looked at?")).toBeNull();
  expect(screen.getByText(/the tax goes by the new customer's exemption/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("swap"));
  await waitFor(() =>
    expect(useSync.getState().pending).toMatchObject([
      {
        command: { type: "changeCustomer", customerId: "customer-2", keepAnswers: false },
        parties: { customer: { name: "Noor Haddad-Bell" } },
      },
    ]),
  );
});

it("says where to add a car when the other customer has none", async () => {
  open(running, {
    "GET /api/search": { body: { customers: [foundSample({ vehicles: [] })], workOrders: [] } },
  });
  fireEvent.press(screen.getByTestId("swap-car"));
  fireEvent.changeText(screen.getByLabelText(/somebody else/), "maren");
  fireEvent.press(await screen.findByRole("button", { name: "Cars of Maren Oyelaran" }));
  expect(screen.getByText(/No car is kept for them/)).toBeTruthy();
});

it("leaves all as it is when one thinks better of it", async () => {
  open(running);
  fireEvent.press(screen.getByTestId("swap-car"));
  fireEvent.press(await screen.findByRole("button", { name: OTHER_NAME }));
  fireEvent.press(screen.getByRole("button", { name: "Leave it as it is" }));
  expect(screen.getByTestId("swap-customer")).toBeTruthy();
  expect(givenCommands()).toEqual([]);
});
