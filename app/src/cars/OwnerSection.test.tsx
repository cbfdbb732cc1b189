import { fireEvent, screen } from "@testing-library/react-native";
import { fakeServer, givenActs, resetSync, show } from "../testing/harness";
import { carSheetSample, customerSample, foundSample } from "../testing/samples";
import { OwnerSection } from "./OwnerSection";

const NOOR = foundSample({ customer: customerSample({ id: "customer-2", name: "Noor Haddad-Bell" }) });

function open(over: Parameters<typeof carSheetSample>[0] = {}): void {
  fakeServer({ "GET /api/search": { body: { customers: [NOOR], workOrders: [] } } });
  show(<OwnerSection sheet={carSheetSample(over)} />);
}
const pick = async (label: string): Promise<void> => {
  fireEvent.changeText(screen.getByLabelText(label), "noor");
  fireEvent.press(await screen.findByRole("button", { name: "Choose Noor Haddad-Bell" }));
};
beforeEach(() => resetSync());

it("gives the car to somebody else after it is said what stays", async () => {
  open();
  fireEvent.press(screen.getByRole("button", { name: "It changed hands" }));
  await pick("Whose is it now?");
  expect(screen.getByText(/Open work and bills stay Maren Oyelaran's/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("settle-owner"));
  expect(givenActs()).toEqual([
    { kind: "vehicleOwner", target: "car-1", customerId: "customer-2", name: "Noor Haddad-Bell", becomes: "owner" },
  ]);
});

it("links who drives it, as what they are to the car", async () => {
  open();
  fireEvent.press(screen.getByRole("button", { name: "Somebody drives it" }));
  fireEvent.press(screen.getByRole("radio", { name: "Fleet manager" }));
  await pick("Who is it?");
  fireEvent.press(screen.getByRole("button", { name: "Somebody else" }));
  await pick("Who is it?");
  fireEvent.press(screen.getByRole("button", { name: "Link Noor Haddad-Bell" }));
  expect(givenActs()).toMatchObject([{ customerId: "customer-2", becomes: "driver", role: "Fleet manager" }]);
});

it("takes a driver off, and shows whose it was", async () => {
  open({
    people: [{ customerId: "customer-3", name: "Lazlo Quint", role: "Driver" }],
    moves: [
      { at: "2026-03-02T18:00:00.000Z", by: "Odile Farrow", fromName: "Delphine Marsh", toName: "Maren Oyelaran" },
    ],
  });
  expect(screen.getByText(/Mar 2, 2026: from Delphine Marsh to Maren Oyelaran, by Odile Farrow/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Take Lazlo Quint off" }));
  expect(givenActs()).toEqual([{ kind: "personOff", target: "car-1", customerId: "customer-3" }]);
});
