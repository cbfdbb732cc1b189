import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { CarFront, MapPin, UserRound } from "../ui/icons";
import { accessAt, carMarks, mainPlace, priceWorkOrder, showMoney, showPlace, showCustomer } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { ContactLinks } from "../customers/ContactLinks";
import { useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { SwapSection } from "./swap/SwapSection";

/** What the sheet is about: the customer, the car, the margin; beside it on a wide screen. */
export function AboutWork({ view }: { view: WorkOrderView }) {
  const router = useRouter();
  const colors = useColors();
  const { customer, vehicle, state } = view;
  const seesCost = useRight("seeCost");
  const links = (
    <View style={styles.links}>
      {customer ? (
        <>
          <ContactLinks customer={customer} />
          <Button
            kind="quiet"
            icon={UserRound}
            label="Customer"
            onPress={() => router.navigate(`/customers/${customer.id}`)}
          />
        </>
      ) : null}
      {vehicle ? (
        <Button kind="quiet" icon={CarFront} label="Car" onPress={() => router.navigate(`/cars/${vehicle.id}`)} />
      ) : null}
    </View>
  );
  const place = view.visits.at(-1)?.place ?? (customer && mainPlace(customer));
  const access = place && customer ? accessAt(customer, place) : "";
  const profit = priceWorkOrder(state, "all").profit;
  const facts = (
    vehicle === null
      ? []
      : [
          ["VIN", vehicle.vin],
          ["Plate", vehicle.plate === null ? null : `${vehicle.plate} ${vehicle.region ?? ""}`],
          ["Engine", vehicle.engine],
          ["Trim", vehicle.trim],
          ["Drive", vehicle.drive],
          ["Transmission", vehicle.transmission],
          ["Told apart by", carMarks(vehicle)],
        ]
  ).filter((fact): fact is [string, string] => Boolean(fact[1]));
  return (
    <View style={styles.panel}>
      <Heading level={2}>{showCustomer(customer)}</Heading>
      {links}
      {place ? (
        <View style={styles.place}>
          <MapPin size={20} color={colors.ink} />
          <Words style={styles.grow}>{showPlace(place)}</Words>
        </View>
      ) : null}
      {access ? <Words strong>{access}</Words> : null}
      {customer?.usualPayer ? <Words>{`${customer.usualPayer.name} usually pays`}</Words> : null}
      <Heading level={2}>The car</Heading>
      {facts.map(([name, value]) => (
        <View key={name}>
          <Words size="small" tone="muted">
            {name}
          </Words>
          <Words mono={name === "VIN" || name === "Plate"} selectable>
            {value}
          </Words>
        </View>
      ))}
      <SwapSection view={view} />
      {seesCost && state.jobs.length > 0 ? (
        <>
          <Heading level={2}>Margin</Heading>
          <Row left="Sold" right={showMoney(profit.revenue)} />
          <Row left="Cost" right={showMoney(profit.cost)} />
          <Row strong rule left="Left" right={`${showMoney(profit.gross)}, ${profit.marginPercent ?? "–"} %`} />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  links: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.m },
  panel: { padding: SPACE.l, gap: SPACE.s },
  place: { flexDirection: "row", gap: SPACE.s },
  grow: { flex: 1 },
});
