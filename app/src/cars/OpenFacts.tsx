import { useQuery } from "@tanstack/react-query";
import type { Vehicle } from "@mechanon/contract";
import { changeVehicle } from "../sync/changeKept";
import { vehicleRecord } from "../sync/keptRecords";
import { vinClient } from "../vin/vinClient";
import { AskedOnce, FACT_LABELS, OPEN_FACTS, type OpenFact } from "./AskedOnce";
import { openFacts } from "./openFacts";

/** What is still not known of a car: asked here once, and kept. */
export function OpenFacts({ vehicle }: { vehicle: Vehicle }) {
  const { vin, year, make, model } = vehicle;
  const isOpen = vehicle.drive === null || vehicle.transmission === null || vehicle.engine === null;
  const { data } = useQuery({
    queryKey: ["openFacts", vin, year, make, model],
    queryFn: async () =>
      vin !== null
        ? vinClient().decode(vin)
        : vinClient().variants({ year: year ?? 0, make: make ?? "", model: model ?? "" }),
    enabled: isOpen && (vin !== null || (year !== null && make !== null && model !== null)),
    staleTime: Infinity,
    networkMode: "always",
    retry: false,
  });
  if (!isOpen || !data) return null;
  const say = (fact: OpenFact, value: string): void =>
    void changeVehicle(vehicle.id, vehicleRecord(vehicle), { [fact]: value });
  const open = openFacts(vehicle, data.variants, data.likely);
  return (
    <AskedOnce
      questions={OPEN_FACTS.map((fact) => ({ fact, label: FACT_LABELS[fact], choices: open[fact] ?? [] }))}
      said={{}}
      onSay={say}
    />
  );
}
