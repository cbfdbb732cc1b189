import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render, screen } from "@testing-library/react-native";
import type { KnownVehicle } from "@mechanon/contract";
import { FaceProvider } from "../ui/face";
import { fakeServer } from "../testing/harness";
import { sheetSample, vehicleSample } from "../testing/samples";
import { ConfirmKnown } from "./ConfirmCar";
import { useDraft } from "./draft";

const known = (over: Parameters<typeof vehicleSample>[0]): KnownVehicle => ({
  vehicle: vehicleSample(over),
  customerName: "Maren Oyelaran",
  people: [],
  openWork: [],
});

it("goes on with the car that is looked up now, not with the one a plate was written down for before", async () => {
  const first = known({ id: "car-1", plate: "LRK9001" });
  const second = known({ id: "car-2", plate: "LRK7781", model: "Corolla" });
  fakeServer({
    "GET /api/customers/customer-1": { body: sheetSample() },
    "PATCH /api/vehicles/car-1": { body: { ...first.vehicle, plate: "FRY5083", version: 2 } },
  });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } });
  const shown = (car: KnownVehicle) => (
    <QueryClientProvider client={queries}>
      <FaceProvider>
        <ConfirmKnown known={car} newPlate={{ plate: "FRY5083", region: "WA" }} />
      </FaceProvider>
    </QueryClientProvider>
  );
  const { rerender } = render(shown(first));
  fireEvent.press(screen.getByTestId("new-plate"));
  expect(await screen.findByText(/FRY5083 WA/)).toBeTruthy();
  rerender(shown(second));
  fireEvent.press(await screen.findByTestId("confirm-known"));
  expect(useDraft.getState().draft.car).toMatchObject({ kind: "kept", vehicle: { id: "car-2", plate: "LRK7781" } });
});
