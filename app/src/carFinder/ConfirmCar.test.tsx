import { fireEvent, screen } from "@testing-library/react-native";
import type { KnownVehicle } from "@mechanon/contract";
import { CarSearching } from "../testing/CarSearching";
import { fakeServer, givenActs, resetSync, show } from "../testing/harness";
import { sheetSample, vehicleSample } from "../testing/samples";
import { ConfirmKnown } from "./ConfirmCar";

const known = (over: Parameters<typeof vehicleSample>[0]): KnownVehicle => ({
  vehicle: vehicleSample(over),
  customerName: "Maren Oyelaran",
  people: [],
  openWork: [],
});

beforeEach(() => resetSync());

it("goes on with the car that is looked up now, not with the one a plate was written down for before", async () => {
  const first = known({ id: "car-1", plate: "LRK9001" });
  const second = known({ id: "car-2", plate: "LRK7781", model: "Corolla" });
  fakeServer({
    "GET /api/customers/customer-1": { body: sheetSample() },
  });
  const newPlate = { plate: "FRY5083", region: "WA" };
  const onChange = jest.fn();
  const onOwner = jest.fn();
  const confirm = (of: KnownVehicle) => (
    <CarSearching onChange={onChange} onOwner={onOwner}>
      <ConfirmKnown known={of} newPlate={newPlate} />
    </CarSearching>
  );
  show(confirm(first));
  fireEvent.press(screen.getByTestId("new-plate"));
  expect(await screen.findByText(/FRY5083 WA/)).toBeTruthy();
  expect(givenActs()).toMatchObject([
    { kind: "vehicleChange", target: "car-1", was: { plate: "LRK9001" }, becomes: { plate: "FRY5083" } },
  ]);
  screen.rerender(confirm(second));
  fireEvent.press(await screen.findByTestId("confirm-known"));
  expect(onChange).toHaveBeenLastCalledWith(
    expect.objectContaining({ car: { kind: "kept", then: "nothing", vehicle: second.vehicle } }),
  );
  expect(onOwner).toHaveBeenCalledWith(expect.objectContaining({ id: "customer-1" }));
});
