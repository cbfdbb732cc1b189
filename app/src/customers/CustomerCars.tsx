import { useRouter } from "expo-router";
import { showVehicle } from "@mechanon/core";
import type { CustomerSheetView } from "@mechanon/contract";
import { CarFacts } from "../cars/CarFacts";
import { Press } from "../ui/Press";
import { Words } from "../ui/Words";

/** The cars a customer owns, and those they drive for somebody else. */
export function CustomerCars({ vehicles, drives }: Pick<CustomerSheetView, "vehicles" | "drives">) {
  const router = useRouter();
  if (vehicles.length + drives.length === 0)
    return <Words tone="muted">No car yet. It comes with the first work order.</Words>;
  return (
    <>
      {vehicles.map((vehicle) => (
        <Press
          key={vehicle.id}
          role="link"
          label={`Car ${showVehicle(vehicle)}, ${vehicle.plate ?? "no plate"}`}
          onPress={() => router.navigate(`/cars/${vehicle.id}`)}
        >
          <Words strong tone="petrol">
            {showVehicle(vehicle)}
          </Words>
          <CarFacts car={vehicle} />
        </Press>
      ))}
      {drives.map(({ vehicle, ownerName, role }) => (
        <Press
          key={vehicle.id}
          role="link"
          label={`${role} of ${showVehicle(vehicle)}, ${ownerName}'s`}
          onPress={() => router.navigate(`/cars/${vehicle.id}`)}
        >
          <Words strong tone="petrol">
            {showVehicle(vehicle)}
          </Words>
          <Words tone="muted">{`${role}; it belongs to ${ownerName}`}</Words>
        </Press>
      ))}
    </>
  );
}
