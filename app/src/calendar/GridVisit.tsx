import { useDraggable } from "@dnd-kit/core";
import { StyleSheet, View, type ViewProps, type ViewStyle } from "react-native";
import { showTime, visitStanding } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { Words } from "../ui/Words";
import { useCalendar } from "./calendarStore";
import { visitLabel } from "./visitName";

/** From so many pixels on there is room for a second line, and for a third. */
const TALL = 40;
const TALLER = 64;

interface GridVisitProps {
  stop: DayVisit;
  zone: string;
  place: Pick<ViewStyle, "left" | "width"> & { top: number; height: number };
  isDraggable: boolean;
}

/** A visit in the grid: tapped it is picked, dragged it shows where it would go. */
export function GridVisit({ stop, zone, place, isDraggable }: GridVisitProps) {
  const colors = useColors();
  const { visit, workOrders } = stop;
  const { selectedId, select } = useCalendar();
  const standing = visitStanding(visit);
  const canMove = standing === "booked" && !visit.isLocked;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: visit.id,
    disabled: !isDraggable || !canMove,
  });
  const isSelected = selectedId === visit.id;
  const isOver = standing === "over";
  const time = showTime(visit.startsAt, zone).replace(/ (am|pm)/, "");
  const name = workOrders[0]?.customerName ?? "Visit";
  return (
    <View
      ref={(node) => setNodeRef(node as unknown as HTMLElement | null)}
      onPointerDown={listeners?.onPointerDown as ViewProps["onPointerDown"]}
      style={[
        styles.at,
        place,
        transform ? { transform: [{ translateX: transform.x }, { translateY: transform.y }] } : null,
        isDragging ? styles.above : null,
      ]}
    >
      <Press
        label={visitLabel(stop, zone)}
        aria-current={isSelected ? "true" : undefined}
        onPress={() => select(isSelected ? null : visit.id)}
        style={[
          styles.visit,
          {
            backgroundColor: isOver ? colors.inset : colors.paper,
            borderColor: isSelected ? colors.petrol : colors.hairline,
            borderLeftColor: isSelected ? colors.petrol : colors.ink,
            borderLeftWidth: isSelected ? 8 : 5,
          },
        ]}
      >
        <Words size="small" strong tone={isOver ? "muted" : "ink"} figures numberOfLines={1}>
          {place.height < TALL ? `${time} ${name}` : `${time}${visit.isLocked ? " locked" : ""}`}
        </Words>
        {place.height < TALL ? null : (
          <Words size="small" strong tone={isOver ? "muted" : "ink"} numberOfLines={1}>
            {name}
          </Words>
        )}
        {place.height < TALLER ? null : (
          <Words size="small" tone="muted" numberOfLines={1}>
            {workOrders.map(({ vehicleName }) => vehicleName).join(" + ")}
          </Words>
        )}
      </Press>
    </View>
  );
}

const styles = StyleSheet.create({
  at: { position: "absolute", padding: 1 },
  above: { zIndex: 10, opacity: 0.85 },
  visit: {
    flex: 1,
    minHeight: 0,
    minWidth: 0,
    borderWidth: 1,
    borderRadius: 3,
    paddingHorizontal: 4,
    justifyContent: "flex-start",
    overflow: "hidden",
  },
});
