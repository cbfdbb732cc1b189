import { View } from "react-native";
import type { Vehicle, VehicleGuess } from "@mechanon/contract";
import { Words } from "../ui/Words";

/** What is known of a car, in one or two lines. */
export function CarFacts({ car }: { car: Vehicle | VehicleGuess }) {
  return (
    <View>
      <Words tone="muted">{[car.trim, car.engine, car.drive, car.color].filter(Boolean).join(" · ")}</Words>
      <Words mono size="small" tone="muted">
        {[car.plate === null ? null : `${car.plate} ${car.region ?? ""}`, car.vin].filter(Boolean).join("  ")}
      </Words>
    </View>
  );
}
