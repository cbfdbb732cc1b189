import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { routes, type Vehicle } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Notice } from "../ui/Notice";
import { vinClient } from "../vin/vinClient";
import { AskedOnce, FACT_LABELS, OPEN_FACTS, type OpenFact } from "./AskedOnce";
import { changesOf } from "./changesOf";
import { openFacts } from "./openFacts";

/** What is still not known of a car: asked here once, and kept. */
export function OpenFacts({ vehicle, reload }: { vehicle: Vehicle; reload: () => void }) {
  const [fault, setFault] = useState<string | null>(null);
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
  const say = async (fact: OpenFact, value: string): Promise<void> => {
    try {
      await call(routes.changeVehicle, { params: { id: vehicle.id }, body: { ...changesOf(vehicle), [fact]: value } });
      reload();
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  const open = openFacts(vehicle, data.variants, data.likely);
  return (
    <>
      {fault ? <Notice text={fault} /> : null}
      <AskedOnce
        questions={OPEN_FACTS.map((fact) => ({ fact, label: FACT_LABELS[fact], choices: open[fact] ?? [] }))}
        said={{}}
        onSay={(fact, value) => void say(fact, value)}
      />
    </>
  );
}
