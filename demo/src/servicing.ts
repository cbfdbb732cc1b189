import type { BusinessSettings } from "@mechanon/core";

/** The owner's list of services. */
export const INTERVALS: BusinessSettings["intervals"] = [
  { id: "oil", title: "Oil and filter", miles: 5000, months: 6, jobIds: ["oil-service"] },
  { id: "coolant", title: "Coolant", miles: null, months: null, jobIds: ["coolant-service"] },
  { id: "wipers", title: "Wiper blades", miles: null, months: 12, jobIds: ["wipers"] },
  { id: "check-over", title: "Check-over", miles: 12000, months: 12, jobIds: ["check-over"] },
];
