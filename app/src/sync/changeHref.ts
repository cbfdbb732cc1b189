import type { Href } from "expo-router";
import type { Pending } from "./pending";

/** Where what was not taken can be put right. */
export function changeHref(item: Pending): Href {
  switch (item.kind) {
    case "workOrder":
      return `/work/${item.target}`;
    case "visit":
      return `/work/${item.workOrderId}`;
    case "customer":
    case "customerChange":
    case "agreement":
    case "merge":
      return `/customers/${item.target}`;
    case "vehicle":
    case "vehicleOwner":
    case "vehicleChange":
    case "specCorrection":
    case "personOff":
      return `/cars/${item.target}`;
  }
}
