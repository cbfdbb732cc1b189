import { showPhone, showVehicle } from "@mechanon/core";
import type { RequestMatches } from "@mechanon/contract";
import { likenessLine } from "../customers/likenessWords";
import { Choices } from "../ui/Choices";
import { Heading } from "../ui/Heading";
import { Words } from "../ui/Words";
import type { Match } from "./likelyMatch";

interface MatchChoiceProps {
  matches: RequestMatches;
  value: Match;
  onChange: (match: Match) => void;
  /** As they call themselves. */
  name: string;
  /** As they told of it; empty: they did not. */
  car: string;
}

const NEW = "new";

/** Who may be asking and which car, with why; for us only. */
export function MatchChoice({ matches: { customers, car: kept }, value, onChange, name, car }: MatchChoiceProps) {
  const chosen = customers.find(({ customer }) => customer.id === value.customerId);
  const cars = [
    ...(chosen?.cars ?? []).map((vehicle) => ({ vehicle, whose: "" })),
    ...(kept && !chosen?.cars.some(({ id }) => id === kept.vehicle.id)
      ? [{ vehicle: kept.vehicle, whose: kept.ownerName }]
      : []),
  ];
  return (
    <>
      {customers.length > 0 ? (
        <>
          <Heading level={2}>Who is it?</Heading>
          <Choices
            label="Who is it?"
            options={[
              ...customers.map(({ customer, likenesses }) => ({
                value: customer.id,
                label: `${customer.name} (${likenessLine(likenesses)})${phoneOf(customer.phones)}`,
              })),
              { value: NEW, label: `${name}, new` },
            ]}
            value={value.customerId ?? NEW}
            onChoose={(id) => {
              const customerId = id === NEW ? null : id;
              const isTheirs = kept?.ownerId === customerId;
              onChange({ customerId, vehicleId: isTheirs ? (kept?.vehicle.id ?? null) : null });
            }}
            testID="match-customer"
          />
        </>
      ) : (
        <Words tone="muted">Nobody like them is kept here: a new customer.</Words>
      )}
      {cars.length > 0 ? (
        <>
          <Heading level={2}>Which car?</Heading>
          <Choices
            label="Which car?"
            options={[
              ...cars.map(({ vehicle, whose }) => ({
                value: vehicle.id,
                label: [showVehicle(vehicle), vehicle.plate ?? "", whose === "" ? "" : `kept for ${whose}`]
                  .filter(Boolean)
                  .join(" · "),
              })),
              { value: NEW, label: car === "" ? "Not known yet" : `${car}, new` },
            ]}
            value={value.vehicleId ?? NEW}
            onChoose={(id) => onChange({ ...value, vehicleId: id === NEW ? null : id })}
            testID="match-car"
          />
        </>
      ) : null}
    </>
  );
}

function phoneOf(phones: readonly { number: string }[]): string {
  const [first] = phones;
  return first ? `, ${showPhone(first.number)}` : "";
}
