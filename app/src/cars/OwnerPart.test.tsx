import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { fakeServer, problemReply, show } from "../testing/harness";
import { carSheetSample, customerSample, foundSample } from "../testing/samples";
import { OwnerPart } from "./OwnerPart";

const NOOR = foundSample({ customer: customerSample({ id: "customer-2", name: "Noor Haddad-Bell" }) });
const reload = jest.fn();

function open(over: Parameters<typeof carSheetSample>[0], replies: Parameters<typeof fakeServer>[0]) {
  const server = fakeServer({ "GET /api/search": { body: { customers: [NOOR], workOrders: [] } }, ...replies });
  show(<OwnerPart sheet={carSheetSample(over)} reload={reload} />);
  return server;
}
const pick = async (label: string): Promise<void> => {
  fireEvent.changeText(screen.getByLabelText(label), "noor");
  fireEvent.press(await screen.findByRole("button", { name: "Choose Noor Haddad-Bell" }));
};
beforeEach(() => reload.mockClear());

it("gives the car to somebody else after it is said what stays", async () => {
  const server = open({}, { "POST /api/vehicles/car-1/move": { body: carSheetSample().vehicle } });
  fireEvent.press(screen.getByRole("button", { name: "It changed hands" }));
  await pick("Whose is it now?");
  expect(screen.getByText(/Open work and bills stay Maren Oyelaran's/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("settle-owner"));
  await waitFor(() => expect(reload).toHaveBeenCalled());
  expect(server.asked.at(-1)?.body).toEqual({ customerId: "customer-2", version: 1 });
});

it("links who drives it, as what they are to the car", async () => {
  const server = open({}, { "POST /api/vehicles/car-1/people": { body: {} } });
  fireEvent.press(screen.getByRole("button", { name: "Somebody drives it" }));
  fireEvent.press(screen.getByRole("radio", { name: "Fleet manager" }));
  await pick("Who is it?");
  fireEvent.press(screen.getByRole("button", { name: "Somebody else" }));
  await pick("Who is it?");
  fireEvent.press(screen.getByRole("button", { name: "Link Noor Haddad-Bell" }));
  await waitFor(() => expect(server.asked.at(-1)?.body).toEqual({ customerId: "customer-2", role: "Fleet manager" }));
});

it("takes a driver off, and shows whose it was", async () => {
  const server = open(
    {
      people: [{ customerId: "customer-3", name: "Lazlo Quint", role: "Driver" }],
      moves: [{ at: "2026-03-02T18:00:00.000Z", by: "Odile Farrow", fromName: "Delphine Marsh", toName: "Maren Oyelaran" }],
    },
    { "DELETE /api/vehicles/car-1/people/customer-3": { body: {} } },
  ); // prettier-ignore
  expect(screen.getByText(/Mar 2, 2026: from Delphine Marsh to Maren Oyelaran, by Odile Farrow/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Take Lazlo Quint off" }));
  await waitFor(() => expect(server.asked.at(-1)).toMatchObject({ method: "DELETE", path: "/api/vehicles/car-1/people/customer-3" })); // prettier-ignore
});

it("says so when the owner cannot drive it, and keeps the choice", async () => {
  const refusal = problemReply(409, "vehicle/owner-driver", "It is theirs already.");
  open({}, { "POST /api/vehicles/car-1/people": refusal });
  fireEvent.press(screen.getByRole("button", { name: "Somebody drives it" }));
  await pick("Who is it?");
  fireEvent.press(screen.getByTestId("settle-owner"));
  expect(await screen.findByText("It is theirs already.")).toBeTruthy();
  expect(screen.getByTestId("settle-owner")).toBeTruthy();
  expect(reload).not.toHaveBeenCalled();
});
