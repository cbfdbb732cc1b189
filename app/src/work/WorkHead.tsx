import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { carMarks, showCustomer, showVehicle } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { CarFacts } from "../cars/CarFacts";
import { Heading } from "../ui/Heading";
import { ArrowLeft, CarFront, ChevronDown, ChevronUp, UserRound } from "../ui/icons";
import { Press } from "../ui/Press";
import { useColors } from "../ui/face";
import { IconLink } from "../ui/IconLink";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { ContactIcons } from "../customers/ContactIcons";
import { showNumber } from "./showNumber";
import { SwapSection } from "./swap/SwapSection";

/**
 * Whose work order it is and for which car, in two lines, and one of marks; on a phone with the ways to reach both, and
 * the rest behind a touch.
 */
export function WorkHead({ view }: { view: WorkOrderView }) {
  const router = useRouter();
  const colors = useColors();
  const isWide = useIsWide();
  const [isOpen, setOpen] = useState(false);
  const { customer, vehicle } = view;
  const number = showNumber(view.number);
  const marks = [number, customer?.knownFrom, vehicle?.plate, vehicle && carMarks(vehicle)].filter(Boolean).join(" · ");
  if (isWide)
    return (
      <View>
        <Heading level={1}>{showCustomer(customer)}</Heading>
        <Words>{showVehicle(vehicle)}</Words>
        <Words tone="muted" figures>
          {[`Work order ${number}`, customer?.knownFrom].filter(Boolean).join(" · ")}
        </Words>
      </View>
    );
  const Arrow = isOpen ? ChevronUp : ChevronDown;
  return (
    <View>
      <View style={styles.head}>
        <Press role="link" label="Back to the day" onPress={() => router.navigate("/")} style={styles.edge}>
          <ArrowLeft size={26} color={colors.petrol} />
        </Press>
        <View style={styles.who}>
          <Heading level={1} size="lead" numberOfLines={1}>
            {showCustomer(customer)}
          </Heading>
          <Words size="small" numberOfLines={1}>
            {showVehicle(vehicle)}
          </Words>
          <Words size="small" tone="muted" figures numberOfLines={1}>
            {marks}
          </Words>
        </View>
        <Press
          label={isOpen ? "Less about this work order" : "More about this work order"}
          aria-expanded={isOpen}
          onPress={() => setOpen(!isOpen)}
          style={styles.edge}
        >
          <Arrow size={22} color={colors.petrol} />
        </Press>
      </View>
      <View style={styles.ways}>
        {customer ? (
          <>
            <ContactIcons customer={customer} />
            <IconLink icon={UserRound} label="Customer" onPress={() => router.navigate(`/customers/${customer.id}`)} />
          </>
        ) : null}
        {vehicle ? (
          <IconLink icon={CarFront} label="Car" onPress={() => router.navigate(`/cars/${vehicle.id}`)} />
        ) : null}
      </View>
      {isOpen ? (
        <View style={styles.more}>
          {vehicle ? <CarFacts car={vehicle} /> : null}
          {customer && vehicle ? <SwapSection view={view} /> : null}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", alignItems: "center" },
  who: { flex: 1, minWidth: 0 },
  edge: { alignItems: "center" },
  ways: { flexDirection: "row", justifyContent: "space-around" },
  more: { gap: SPACE.s },
});
