import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import type { ReactNode } from "react";
import { StyleSheet, View, type ViewProps, type ViewStyle } from "react-native";
import { useColors } from "../ui/face";
import { GripVertical } from "../ui/icons";

/** So many pixels it is dragged before it is no tap. */
const DRAG_FROM = 6;

interface DragLinesProps {
  /** @param on - the id of a line, or the end of a job. */
  onDrop: (lineId: string, on: string) => void;
  children: ReactNode;
}

/** Around lines that are put elsewhere by dragging. */
export function DragLines({ onDrop, children }: DragLinesProps) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }));
  const drop = ({ active, over }: DragEndEvent): void => {
    if (over) onDrop(String(active.id), String(over.id));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={drop}>
      {children}
    </DndContext>
  );
}

interface DragLineProps {
  id: string;
  isFixed: boolean;
  children: ReactNode;
}

/** A line that is dragged by its grip; where another would land on it, it says so by its edge. */
export function DragLine({ id, isFixed, children }: DragLineProps) {
  const colors = useColors();
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id, disabled: isFixed });
  const { setNodeRef: setDropRef, isOver } = useDroppable({ id });
  return (
    <View
      ref={(node) => setDropRef(node as unknown as HTMLElement | null)}
      style={[styles.row, { borderColor: isOver && !isDragging ? colors.petrol : "transparent" }]}
    >
      <View
        ref={(node) => setNodeRef(node as unknown as HTMLElement | null)}
        onPointerDown={listeners?.onPointerDown as ViewProps["onPointerDown"]}
        // Keys and buttons do the same for who cannot drag.
        aria-hidden
        testID={`grip-${id}`}
        style={[
          styles.grip,
          NO_SCROLL,
          transform ? { transform: [{ translateX: transform.x }, { translateY: transform.y }] } : null,
        ]}
      >
        {isFixed ? null : <GripVertical size={18} color={colors.muted} />}
      </View>
      <View style={styles.line}>{children}</View>
    </View>
  );
}

/** The end of a job, where a line can be dropped. */
export function DropEnd({ id, children }: { id: string; children?: ReactNode }) {
  const colors = useColors();
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <View
      ref={(node) => setNodeRef(node as unknown as HTMLElement | null)}
      style={[styles.end, { borderColor: isOver ? colors.petrol : "transparent" }]}
    >
      {children}
    </View>
  );
}

/** What is dragged does not scroll the page; the web alone knows of that. */
const NO_SCROLL = { touchAction: "none" } as unknown as ViewStyle;

const styles = StyleSheet.create({
  row: { flexDirection: "row", borderTopWidth: 2 },
  grip: { width: 22, height: 38, alignItems: "center", justifyContent: "center", zIndex: 2 },
  line: { flex: 1, minWidth: 0 },
  end: { borderTopWidth: 2, minHeight: 8 },
});
