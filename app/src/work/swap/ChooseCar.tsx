import { useState } from "react";
import type { Vehicle, WorkOrderView } from "@mechanon/contract";
import { CustomerSearch } from "../../search/CustomerSearch";
import { Button } from "../../ui/Button";
import { Words } from "../../ui/Words";
import { NewCarSection } from "./NewCarSection";
import { carName, carTarget, type SwapTarget } from "./swapTarget";
import { useCustomerSheet } from "../../customers/useCustomerSheet";

const NO_CARS = "No car is kept for them. Choose one that is not kept here yet, or another customer.";

interface ChooseCarProps {
  view: WorkOrderView;
  onChoose: (target: SwapTarget) => void;
  /** null: what was said before no longer holds. */
  onFault: (words: string | null) => void;
}

/** Which car it is instead: another of the customer's, one of somebody else, a new one, or none. */
export function ChooseCar({ view: { customer, vehicle }, onChoose, onFault }: ChooseCarProps) {
  const [others, setOthers] = useState<Vehicle[]>([]);
  const [isFinding, setFinding] = useState(false);
  const { data } = useCustomerSheet(customer?.id);
  const cars = [...(data?.vehicles ?? []), ...others].filter(
    ({ id }, index, all) => id !== vehicle?.id && all.findIndex((car) => car.id === id) === index,
  );
  return (
    <>
      <Words strong>Which car is it?</Words>
      {cars.map((car) => (
        <Button key={car.id} label={carName(car)} onPress={() => onChoose(carTarget(car))} />
      ))}
      <CustomerSearch
        label="Or a car of somebody else, by plate, VIN or name"
        verb="Cars of"
        onChoose={({ vehicles }) => {
          setOthers(vehicles);
          onFault(vehicles.length > 0 ? null : NO_CARS);
        }}
      />
      {isFinding ? <NewCarSection customer={customer} onKept={(car, keep) => onChoose(carTarget(car, keep))} /> : null}
      {customer && !isFinding ? (
        <Button label="A car that is not kept here yet" onPress={() => setFinding(true)} testID="swap-new-car" />
      ) : null}
      {vehicle ? (
        <Button label="None of these: take the car off" onPress={() => onChoose({ kind: "detach", name: "no car" })} />
      ) : null}
    </>
  );
}
