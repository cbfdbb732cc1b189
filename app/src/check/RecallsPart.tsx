import { useQuery } from "@tanstack/react-query";
import { StyleSheet, View } from "react-native";
import { showDate } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

const KEPT_MS = 10 * 60_000;

/** Open recalls of the car: the customer is told, it is noted, and they are sent to the dealer, who does it for nothing. */
export function RecallsPart({ view, business }: { view: WorkOrderView; business: Business }) {
  const { state, vehicle, customer } = view;
  const id = vehicle?.id ?? "";
  // Where the source is out of reach nothing is said here; the car's own sheet tells why.
  const { data } = useQuery({
    queryKey: ["recalls", id],
    queryFn: () => call(routes.vehicleRecalls, { params: { id } }),
    enabled: vehicle !== null && vehicle.vin !== null,
    staleTime: KEPT_MS,
    retry: false,
  });
  const open = data?.recalls.filter((recall) => recall.open) ?? [];
  if (open.length === 0) return null;
  return (
    <View style={styles.list} role="group" aria-label="Open recalls">
      {open.map(({ campaign, title, remedy }) => {
        const told = state.recallsTold.find((each) => each.campaign === campaign);
        return (
          <View key={campaign} style={styles.list}>
            <Words strong tone="alarm">{`✕ Open recall: ${title}`}</Words>
            <Words size="small" tone="muted">
              {`${remedy}. A dealer does it for nothing. Campaign ${campaign}${data?.simulated ? ", simulated" : ""}.`}
            </Words>
            {told ? (
              <Words size="small">{`${told.name} was told ${showDate(told.at, business.timeZone)}, sent to the dealer`}</Words>
            ) : (
              <Button
                label="They were told, and sent to the dealer"
                onPress={() =>
                  sendCommand(state.id, { type: "tellRecall", campaign, title, name: customer?.name ?? "The customer" })
                }
                testID={`recall-${campaign}`}
              />
            )}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
