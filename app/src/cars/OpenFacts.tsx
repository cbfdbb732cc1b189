import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { splitTrims } from "@mechanon/core/vin";
import { routes, type Vehicle } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { Notice } from "../ui/Notice";
import { vinClient } from "../vin/vinClient";
import { AskedOnce, type OpenFact } from "./AskedOnce";
import { changesOf } from "./changesOf";

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
  const { variants, likely } = data;
  const ask = (fact: OpenFact, choices: readonly string[]): readonly string[] =>
    vehicle[fact] === null ? choices : [];
  return (
    <>
      {fault ? <Notice text={fault} /> : null}
      <AskedOnce
        questions={[
          { fact: "trim", label: "Which trim?", choices: ask("trim", variants.trims.flatMap(splitTrims)) },
          { fact: "engine", label: "Which engine?", choices: ask("engine", variants.engines) },
          { fact: "drive", label: "Which drive?", choices: ask("drive", likely.drives) },
          { fact: "transmission", label: "Which transmission?", choices: ask("transmission", likely.transmissions) },
        ]}
        said={{}}
        onSay={(fact, value) => void say(fact, value)}
      />
    </>
  );
}
