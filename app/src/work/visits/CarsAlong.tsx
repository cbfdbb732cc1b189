import { View } from "react-native";
import { showVehicle, type VisitState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useCustomerSheet } from "../../customers/useCustomerSheet";
import { sendVisitCommand } from "../../sync/give";
import { Button } from "../../ui/Button";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";

/** The other cars of the household or yard: one trip takes them along, and leaves them out again. */
export function CarsAlong({ visit, view }: { visit: VisitState; view: WorkOrderView }) {
  const { data } = useCustomerSheet(view.customer?.id);
  const others = (data?.openWork ?? []).filter(({ id }) => id !== view.state.id);
  const isAlong = (id: string): boolean => visit.workOrderIds.includes(id);
  const unseen = visit.workOrderIds.filter((id) => id !== view.state.id && !others.some((order) => order.id === id));
  return (
    <View style={{ gap: SPACE.s }}>
      <Words>{`On this trip: ${[showVehicle(view.vehicle), ...others.filter(({ id }) => isAlong(id)).map((order) => order.vehicleName)].join(" + ")}`}</Words>
      {others.map((order) => (
        <Button
          key={order.id}
          label={`${isAlong(order.id) ? "Leave out" : "Take along"}: ${order.vehicleName}, ${order.concerns.join("; ") || `work order ${order.number}`}`}
          onPress={() =>
            sendVisitCommand(visit.id, view.state.id, {
              type: isAlong(order.id) ? "leaveOut" : "takeAlong",
              workOrderId: order.id,
            })
          }
        />
      ))}
      {unseen.map((id) => (
        <Button
          key={id}
          label="Leave out a car of somebody else"
          onPress={() => sendVisitCommand(visit.id, view.state.id, { type: "leaveOut", workOrderId: id })}
        />
      ))}
      {data && others.length === 0 ? (
        <Words tone="muted">
          No other work is open for this customer. Open a work order for the other car first; then it comes along here.
        </Words>
      ) : null}
    </View>
  );
}
