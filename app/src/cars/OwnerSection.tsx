import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showDate, showVehicle } from "@mechanon/core";
import type { FoundCustomer, VehicleSheetView } from "@mechanon/contract";
import { CustomerSearch } from "../search/CustomerSearch";
import { useBusiness } from "../session/useSession";
import { give } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

const ROLES = ["Driver", "Spouse", "Fleet manager", "Pays for it"] as const;

/** Whose the car is, who drives it, whose it was; moved or linked from here. */
export function OwnerSection({ sheet }: { sheet: VehicleSheetView }) {
  const zone = useBusiness()?.timeZone ?? "UTC";
  const { vehicle, owner, people, moves } = sheet;
  const [wanted, setWanted] = useState<"move" | "link" | null>(null);
  const [role, setRole] = useState<(typeof ROLES)[number]>("Driver");
  const [chosen, setChosen] = useState<FoundCustomer["customer"] | null>(null);
  const settle = (customerId: string, name: string): void => {
    setWanted(null);
    setChosen(null);
    const becomes = wanted === "move" ? { becomes: "owner" as const } : { becomes: "driver" as const, role };
    void give([{ kind: "vehicleOwner", target: vehicle.id, customerId, name, ...becomes }]);
  };
  return (
    <View style={styles.list}>
      <Words>{`Belongs to ${owner.name}.`}</Words>
      {people.map(({ customerId, name, role: theirs }) => (
        <View key={customerId} style={styles.row}>
          <Words style={styles.grow}>{`${theirs}: ${name}`}</Words>
          <Button
            kind="quiet"
            label={`Take ${name} off`}
            onPress={() => void give([{ kind: "personOff", target: vehicle.id, customerId }])}
          />
        </View>
      ))}
      {moves.map(({ at, by, fromName, toName }) => (
        <Words
          key={at}
          size="small"
          tone="muted"
        >{`${showDate(at, zone)}: from ${fromName} to ${toName}, by ${by}`}</Words>
      ))}
      {wanted === null ? (
        <View style={styles.row}>
          <Button label="It changed hands" onPress={() => setWanted("move")} />
          <Button label="Somebody drives it" onPress={() => setWanted("link")} />
        </View>
      ) : chosen === null ? (
        <>
          {wanted === "link" ? (
            <Choices
              label="What they are to the car"
              options={ROLES.map((value) => ({ value, label: value }))}
              value={role}
              onChoose={setRole}
            />
          ) : null}
          <CustomerSearch
            label={wanted === "move" ? "Whose is it now?" : "Who is it?"}
            verb="Choose"
            onChoose={({ customer }) => setChosen(customer)}
          />
          <Button kind="quiet" label="Leave it as it is" onPress={() => setWanted(null)} />
        </>
      ) : (
        <>
          <Words>
            {wanted === "move"
              ? `${showVehicle(vehicle)} and its history go to ${chosen.name}. Open work and bills stay ${owner.name}'s.`
              : `${chosen.name} is found by this car from now on. It stays ${owner.name}'s.`}
          </Words>
          <Button
            label={wanted === "move" ? `Give it to ${chosen.name}` : `Link ${chosen.name}`}
            onPress={() => settle(chosen.id, chosen.name)}
            testID="settle-owner"
          />
          <Button kind="quiet" label="Somebody else" onPress={() => setChosen(null)} />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  row: { flexDirection: "row", gap: SPACE.s, flexWrap: "wrap", alignItems: "center" },
  grow: { flex: 1 },
});
