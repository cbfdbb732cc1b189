import type { InspectionPoint } from "@mechanon/core";

/** What is looked at on every car. */
export const INSPECTION: InspectionPoint[] = [
  {
    id: "tread",
    title: "Tire tread, lowest",
    area: "Wheels",
    measure: { name: "Tread", unit: "/32 in", step: 1, start: 7, most: 14, watchBelow: 5, actBelow: 4 },
  },
  {
    id: "frontPads",
    title: "Front brake pads",
    area: "Brakes",
    measure: { name: "Pad", unit: "mm", step: 0.5, start: 7, most: 14, watchBelow: 5, actBelow: 3 },
  },
  {
    id: "rearPads",
    title: "Rear brake pads",
    area: "Brakes",
    measure: { name: "Pad", unit: "mm", step: 0.5, start: 7, most: 14, watchBelow: 5, actBelow: 3 },
  },
  {
    id: "battery",
    title: "Battery at rest",
    area: "Electrics",
    measure: { name: "Voltage", unit: "V", step: 0.1, start: 12.6, most: 14, watchBelow: 12.4, actBelow: 12 },
  },
  { id: "oil", title: "Engine oil", area: "Fluids", measure: null },
  { id: "coolant", title: "Coolant", area: "Fluids", measure: null },
  { id: "steering", title: "Steering and suspension", area: "Underneath", measure: null },
  { id: "wipers", title: "Wipers and lights", area: "Outside", measure: null },
];
