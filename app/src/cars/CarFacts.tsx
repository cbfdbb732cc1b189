import { View } from "react-native";
import { carMarks } from "@mechanon/core";
import type { Vehicle, VehicleGuess } from "@mechanon/contract";
import { Words } from "../ui/Words";

/** What is known of a car, in a few short lines. */
export function CarFacts({ car }: { car: Vehicle | VehicleGuess }) {
  const marks = carMarks({
    unitNumber: "unitNumber" in car ? car.unitNumber : null,
    nickname: "nickname" in car ? car.nickname : null,
    color: car.color,
  });
  const build = [car.trim, car.engine, car.drive, car.transmission].filter(Boolean).join(" · ");
  return (
    <View>
      {build === "" ? null : <Words tone="muted">{build}</Words>}
      {marks === "" ? null : <Words tone="muted">{marks}</Words>}
      <Words mono size="small" tone="muted">
        {[car.plate === null ? null : `${car.plate} ${car.region ?? ""}`, car.vin].filter(Boolean).join("  ")}
      </Words>
    </View>
  );
}
