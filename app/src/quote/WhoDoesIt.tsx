import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { creditedHours, type LaborLine } from "@mechanon/core";
import { useBusiness, useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";
import { readAmount } from "./readAmount";

/** Who does a line; how many hours each is credited with, for who may see and change that. */
export function WhoDoesIt({ workOrderId, line }: { workOrderId: string; line: LaborLine }) {
  const people = useBusiness()?.people.filter(({ isMechanic }) => isMechanic) ?? [];
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  const assigned = line.assigned ?? [];
  const send = (next: { personId: string; hours?: number | null }[]): void =>
    sendCommand(workOrderId, { type: "assignLabor", lineId: line.id, assigned: next });
  const assign = (personId: string, isOn: boolean): void => {
    const others = assigned.filter((each) => each.personId !== personId).map((each) => ({ personId: each.personId }));
    send(isOn ? [...others, { personId }] : others);
  };
  const credit = (personId: string, hours: number | null): void =>
    send(assigned.map((each) => (each.personId === personId ? { personId, hours } : { personId: each.personId })));
  if (people.length === 0) return null;
  return (
    <View role="group" aria-label={`Who does ${line.description}`} style={styles.group}>
      <Words size="small" strong>
        Who does it
      </Words>
      <View style={styles.people}>
        {people.map(({ id, name }) => (
          <Tick
            key={id}
            label={name}
            value={assigned.some(({ personId }) => personId === id)}
            onChange={(isOn) => assign(id, isOn)}
          />
        ))}
      </View>
      {mayPrice && seesCost
        ? creditedHours(line).map(({ personId, hours }) => (
            <Credited
              key={personId}
              name={people.find(({ id }) => id === personId)?.name ?? "somebody who left"}
              hours={hours}
              isTyped={assigned.some((each) => each.personId === personId && each.hours !== null)}
              onType={(typed) => credit(personId, typed)}
            />
          ))
        : null}
    </View>
  );
}

/** The hours one person is credited with; emptied, they share what is billed with the others again. */
function Credited({
  name,
  hours,
  isTyped,
  onType,
}: {
  name: string;
  hours: number;
  isTyped: boolean;
  onType: (hours: number | null) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const isEmpty = typed?.trim() === "";
  const read = typed === null || isEmpty ? null : readAmount(typed);
  const isFault = typed !== null && !isEmpty && read === null;
  const save = (): void => {
    if (typed === null || isFault) return;
    if (isEmpty ? isTyped : read !== hours) onType(read);
    setTyped(null);
  };
  return (
    <Field
      label={`Hours credited to ${name}`}
      hint={isTyped || typed !== null ? "empty it to share what is billed" : "a share of what is billed"}
      inputMode="decimal"
      value={typed ?? String(hours)}
      onChangeText={setTyped}
      onBlur={save}
      onSubmitEditing={save}
      error={isFault ? "a number like 1 or 0.4" : null}
    />
  );
}

const styles = StyleSheet.create({
  group: { gap: SPACE.s },
  people: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.l },
});
