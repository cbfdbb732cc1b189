import { StyleSheet, View } from "react-native";
import { carMarks, differingMarks, mainPhone, matchMarks, readSearch, showPhone, showVehicle } from "@mechanon/core";
import type { FoundCustomer } from "@mechanon/contract";
import { useColors } from "../ui/face";
import { MarkedWords } from "../ui/MarkedWords";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

export interface CustomerLineProps {
  found: FoundCustomer;
  /** What was typed; what it matched is marked. */
  typed: string;
  /** What pressing it does, for screen readers; the name follows. */
  verb: string;
  role?: "link" | "button";
  onPress: () => void;
}

/** A customer found: who, which cars, what is open, and what matched. */
export function CustomerLine({ found, typed, verb, role = "link", onPress }: CustomerLineProps) {
  const colors = useColors();
  const query = readSearch(typed);
  const { customer, vehicles, vehicleCount, openWork, foundBy } = found;
  const phone = mainPhone(customer);
  const phoneText = phone ? showPhone(phone.number, phone.extension) : "";
  const marked = (text: string) => ({
    text,
    marks: found.isNear ? differingMarks(typed, text) : matchMarks(query, text),
  });
  return (
    <Press
      role={role}
      label={`${verb} ${customer.name}`}
      onPress={onPress}
      style={[styles.line, { borderColor: colors.hairline }]}
    >
      <View style={styles.row}>
        <MarkedWords {...marked(customer.name)} strong tone="petrol" style={styles.grow} />
        {customer.knownFrom ? <MarkedWords {...marked(customer.knownFrom)} size="small" tone="muted" /> : null}
        {phone ? <MarkedWords {...marked(phoneText)} size="small" figures /> : null}
      </View>
      {vehicles.map((vehicle) => (
        <View key={vehicle.id} style={styles.row}>
          <MarkedWords
            {...marked([showVehicle(vehicle), carMarks(vehicle)].filter(Boolean).join(" · "))}
            size="small"
            style={styles.grow}
          />
          {vehicle.plate ? <MarkedWords {...marked(vehicle.plate)} size="small" mono /> : null}
        </View>
      ))}
      {vehicleCount > vehicles.length ? (
        <Words size="small" tone="muted">{`and ${vehicleCount - vehicles.length} more cars`}</Words>
      ) : null}
      {foundBy.map(({ what, text }) => (
        <MarkedWords key={`${what} ${text}`} {...marked(text)} size="small" tone="muted" mono={what === "vin"} />
      ))}
      {role === "button" && openWork.length > 0 ? (
        <Words size="small" strong tone="muted" figures>
          {`○ Open: ${openWork.map(({ number }) => number).join(", ")}`}
        </Words>
      ) : null}
    </Press>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingVertical: SPACE.s, gap: 2 },
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "baseline", flexWrap: "wrap" },
  grow: { flex: 1 },
});
